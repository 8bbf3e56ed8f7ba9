import { alignmentOf } from '../atlas/graph';
import { labelOf, PLACE_IDS, placeOf, SIDES, type PlaceRef } from '../atlas/places';
import { fillPath, type CheekRoute } from '../atlas/route';
import { plain, type Reader } from './reader';

/** Every place by its id and by its label; an id may name a side. */
export const PLACE_WORDS: ReadonlyMap<string, PlaceRef> = new Map<string, PlaceRef>([
	...PLACE_IDS.map((id) => [plain(labelOf(id)), id] as const),
	...PLACE_IDS.map((id) => [id, id] as const),
	...PLACE_IDS.flatMap((id) => SIDES.map((side) => [`${id}:${side}`, `${id}:${side}`] as [string, PlaceRef]))
]);

/** A place that comes next. @throws {Misread} naming places that begin alike */
export function readPlace(reader: Reader): PlaceRef {
	const found = reader.phrase(PLACE_WORDS);
	return found ?? reader.fail(['a place, such as chin or n:submandibular'], unknownPlace(reader));
}

function unknownPlace(reader: Reader): string {
	const word = reader.next?.value;
	if (!word) return 'A place is missing here.';
	const like = [...PLACE_WORDS.keys()].filter((w) => w.startsWith(plain(word).slice(0, 3))).slice(0, 3);
	return `“${word}” is no place that we know.${like.length ? ` Did you mean ${like.join(', or ')}?` : ''}`;
}

/**
 * A way: `>` between two places fills what lies between by the route, `+` leaves the gap as it is.
 * @param cheek which cheek route the school takes where both exist
 */
export function readWay(reader: Reader, cheek: CheekRoute): PlaceRef[] {
	const way: PlaceRef[] = [readPlace(reader)];
	while (reader.next?.value === '>' || reader.next?.value === '+') {
		const fill = reader.eat('>');
		if (!fill) reader.need('+');
		const to = readPlace(reader);
		const from = way.at(-1)!;
		if (fill) way.push(...fillPath([from, to], cheek).slice(1));
		else way.push(to);
	}
	return way;
}

const joined = (from: PlaceRef, to: PlaceRef): boolean =>
	placeOf(from) === placeOf(to) || alignmentOf(placeOf(from), placeOf(to)) !== null;

/** A way as it is written; of a move that stays, or across a gap, the places are added up. */
export function writeWay(way: readonly PlaceRef[], stays = false): string {
	return way.map((ref, i) => (i ? `${!stays && joined(way[i - 1]!, ref) ? ' > ' : ' + '}${ref}` : ref)).join('');
}
