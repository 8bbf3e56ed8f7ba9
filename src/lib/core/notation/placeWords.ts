import { alignmentOf } from '../atlas/graph';
import { labelOf, ownSideOf, PLACE_IDS, placeOf, SIDES, type PlaceRef } from '../atlas/places';
import { fillPath, type CheekRoute } from '../atlas/route';
import type { Aim } from '../vocabulary/vocabulary';
import { plain, type Reader } from './reader';

/** Every place by its label and by its id; either may name a side. */
export const PLACE_WORDS: ReadonlyMap<string, PlaceRef> = new Map(
	PLACE_IDS.flatMap((id): [string, PlaceRef][] =>
		[plain(labelOf(id)), id].flatMap((word): [string, PlaceRef][] => [
			[word, id],
			...SIDES.map((side): [string, PlaceRef] => [`${word}:${side}`, `${id}:${side}`])
		])
	)
);

/** A part of the body in plain words: its nodes, all of its skin, and the place that is mostly meant. */
interface PlaceSet {
	readonly nodes: readonly PlaceRef[];
	readonly skin: readonly PlaceRef[];
	readonly main: PlaceRef;
}
const set = (main: PlaceRef, skin: readonly PlaceRef[], nodes: readonly PlaceRef[] = []): PlaceSet => ({
	main,
	skin,
	nodes
});
const SETS: Readonly<Record<string, PlaceSet>> = {
	neck: set('sternocleidomastoid', ['throat', 'sternocleidomastoid', 'nape'], ['n:deep-cervical']),
	jaw: set('jawline', ['jawline', 'under-jaw', 'masseter'], ['n:submandibular']),
	collarbone: set('supraclavicular', ['supraclavicular'], ['n:terminus']),
	ears: set('ear', ['preauricular', 'ear', 'postauricular'], ['n:preauricular', 'n:postauricular']),
	'the-ear': set('preauricular', ['preauricular', 'ear', 'postauricular'], ['n:preauricular', 'n:postauricular']),
	'under-the-eyes': set('lower-eyelid', ['lower-eyelid']),
	'under-the-eye': set('lower-eyelid', ['lower-eyelid']),
	eyes: set('lower-eyelid', ['upper-eyelid', 'lower-eyelid', 'inner-canthus', 'outer-canthus']),
	cheeks: set('malar', ['malar', 'zygoma', 'buccal'], ['n:facial']),
	cheek: set('malar', ['malar', 'zygoma', 'buccal'], ['n:facial']),
	nose: set('nose-wing', ['nose-bridge', 'nose-wing']),
	mouth: set('marionette', ['upper-lip', 'lower-lip', 'marionette']),
	forehead: set('forehead-medial', ['forehead-medial', 'forehead-lateral']),
	chest: set('decollete', ['decollete'], ['n:axillary']),
	armpit: set('axilla', ['axilla'], ['n:axillary']),
	armpits: set('axilla', ['axilla'], ['n:axillary']),
	collarbones: set('supraclavicular', ['supraclavicular'], ['n:terminus']),
	'back-of-the-neck': set('nape', ['nape'], ['n:posterior-cervical']),
	'skull-base': set('nape', ['nape'], ['n:occipital']),
	'base-of-the-skull': set('nape', ['nape'], ['n:occipital']),
	shoulders: set('shoulder', ['shoulder']),
	temples: set('temple', ['temple']),
	brows: set('brow', ['brow']),
	cheekbones: set('zygoma', ['zygoma']),
	'smile-folds': set('nasolabial', ['nasolabial']),
	'smile-lines': set('nasolabial', ['nasolabial']),
	'side-of-the-nose': set('nose-wing', ['nose-bridge', 'nose-wing']),
	'chewing-muscles': set('masseter', ['masseter'])
};
/** Words for parts of the body; what is the id or the label of one place means that place. */
export const SET_WORDS: ReadonlyMap<string, PlaceSet> = new Map(
	Object.entries(SETS).filter(([word]) => !PLACE_WORDS.has(word))
);

/** Words that mean nodes where nodes are worked; an id stays the place that it is. */
const NODE_WORDS: ReadonlyMap<string, PlaceSet> = new Map(
	Object.entries(SETS).filter(
		([word, { nodes }]) => nodes.length > 0 && !(PLACE_IDS as readonly string[]).includes(word)
	)
);
/** The longest of all words counts: “collarbone nodes” before “collarbone”. */
const PLACES_FIRST = new Map<string, PlaceRef | PlaceSet>([...SET_WORDS, ...PLACE_WORDS]);
const NODES_FIRST = new Map<string, PlaceRef | PlaceSet>([...PLACES_FIRST, ...NODE_WORDS]);
const opensNodes = (aim: Aim | undefined): boolean => aim === 'open' || aim === 'close';

/** Nodes where they are opened or closed, all of the skin where it is covered, else the place that is mostly meant. */
function placesOfSet({ nodes, skin, main }: PlaceSet, aim: Aim | undefined, alone: boolean): readonly PlaceRef[] {
	if (nodes.length && opensNodes(aim)) return nodes;
	if (aim && alone && COVERING.includes(aim)) return skin;
	return [main];
}
const COVERING: readonly Aim[] = ['prepare', 'cleanse', 'cool', 'settle', 'stimulate'];

/** A place that comes next. @throws {Misread} naming places that begin alike */
export function readPlace(reader: Reader): PlaceRef {
	const found = reader.phrase(PLACE_WORDS) ?? reader.phrase(SET_WORDS)?.main;
	return found ?? reader.fail(['a place, such as chin or nodes under the jaw'], unknownPlace(reader));
}

/** A place, or what a word for a part of the body means here. @throws {Misread} naming places that begin alike */
function readPlaces(reader: Reader, aim: Aim | undefined, alone: boolean): readonly PlaceRef[] {
	// “Open armpit” means its nodes, though a place is labelled so too.
	const found = reader.phrase(opensNodes(aim) ? NODES_FIRST : PLACES_FIRST);
	if (typeof found === 'string') return [found];
	return found ? placesOfSet(found, aim, alone) : [readPlace(reader)];
}

function unknownPlace(reader: Reader): string {
	const word = reader.next?.value;
	if (!word) return 'A place is missing here.';
	const alike = ([written]: readonly [string, unknown]) => written.startsWith(plain(word).slice(0, 3));
	const like = [
		...new Set([
			...[...PLACE_WORDS].filter(alike).map(([, ref]) => writePlace(placeOf(ref))),
			...[...SET_WORDS].filter(alike).map(([written]) => written.replaceAll('-', ' '))
		])
	].slice(0, 3);
	return `“${word}” is no place that we know.${like.length ? ` Did you mean ${like.join(', or ')}?` : ''}`;
}

/**
 * A way: `>` between two places fills what lies between by the route, `+` leaves the gap as it is.
 * @param context which cheek route the school takes where both exist, and what the step is for
 * @throws {Misread} naming places that begin alike
 */
export function readWay(
	reader: Reader,
	{ cheekRoute, aim }: { readonly cheekRoute: CheekRoute; readonly aim?: Aim | undefined }
): PlaceRef[] {
	const way: PlaceRef[] = [...readPlaces(reader, aim, true)];
	while (reader.next?.value === '>' || reader.next?.value === '+') {
		const fill = reader.eat('>');
		if (!fill) reader.need('+');
		const to = readPlaces(reader, aim, !fill);
		if (fill) way.push(...fillPath([way.at(-1)!, to[0]!], cheekRoute).slice(1));
		else way.push(...to);
	}
	return way;
}

const joined = (from: PlaceRef, to: PlaceRef): boolean =>
	placeOf(from) === placeOf(to) || alignmentOf(placeOf(from), placeOf(to)) !== null;

/** A place as it is written: by its label, where that is read as this place whatever the step is for; else by its id. */
export function writePlace(ref: PlaceRef): string {
	const [place, side] = [placeOf(ref), ownSideOf(ref)];
	const label = labelOf(place).toLowerCase();
	const word = NODES_FIRST.get(plain(label)) === place ? label : place;
	return side ? `${word}:${side}` : word;
}

/** A way as it is written; of a move that stays, or across a gap, the places are added up. */
export function writeWay(way: readonly PlaceRef[], stays = false): string {
	const joint = (i: number) => (i === 0 ? '' : !stays && joined(way[i - 1]!, way[i]!) ? ' > ' : ' + ');
	return way.map((ref, i) => joint(i) + writePlace(ref)).join('');
}
