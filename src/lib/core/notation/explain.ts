import { isNode, labelOf, nodeOf, placeOf } from '../atlas/places';
import { NODES } from '../atlas/nodes';
import { ZONES, type ZoneId } from '../atlas/zones';
import { AIMS } from '../vocabulary/vocabulary';
import { aimRow } from '../vocabulary/vocabulary';
import { CLAUSES } from './clauses';
import { HEAD_LINES } from './headLines';
import { PLACE_WORDS } from './placeWords';
import { clausesOf, Misread, plain, plainWords, Reader, tokensOf, type Token } from './reader';
import { AIM_WORDS } from './stepLine';
import { contactWord, motionWord } from './words';
import { LEVEL_NAMES } from '../step/levels';

export interface Explanation {
	/** Indexes in the line. */
	readonly from: number;
	readonly to: number;
	readonly text: string;
}

const anatomicalOf = (ref: Parameters<typeof placeOf>[0]): string => {
	const place = placeOf(ref);
	return isNode(place) ? NODES[nodeOf(place)!].anatomical : ZONES[place as ZoneId].anatomical;
};

/** Words of the longest label of a place. */
const LONGEST = Math.max(...[...PLACE_WORDS.keys()].map((words) => words.split('-').length));

/** The place of whose words one is meant: the longest run of words about it that names one. */
function placeAt(tokens: readonly Token[], index: number): Explanation | null {
	for (let length = LONGEST; length > 0; length--)
		for (let from = Math.max(0, index - length + 1); from <= index; from++) {
			const run = tokens.slice(from, from + length);
			const ref = PLACE_WORDS.get(plainWords(run));
			if (!ref) continue;
			return {
				from: run[0]!.column - 1,
				to: run.at(-1)!.endColumn - 1,
				text: `${labelOf(placeOf(ref))}: ${anatomicalOf(ref)}`
			};
		}
	return null;
}

/**
 * The clause that a reader holds, and whether it is well formed.
 * @throws {Misread} where it is no clause that we know
 */
function clauseOf(reader: Reader) {
	return CLAUSES.find((clause) => {
		try {
			return clause.read(new Reader(reader.tokens, reader.endColumn), { cheekRoute: 'either' }) !== null;
		} catch (error) {
			if (error instanceof Misread) return true;
			throw error;
		}
	});
}

/**
 * What a word of a line means, in plain words; null where there is nothing to say.
 * @param index in the line, from 0
 */
export function explain(line: string, index: number): Explanation | null {
	const head = HEAD_LINES.find((h) => new RegExp(`^\\s*${h.key}\\b`, 'i').test(line));
	if (head)
		return index <= line.indexOf(head.key) + head.key.length ? { from: 0, to: line.length, text: head.says } : null;
	if (/^\s*~~/.test(line))
		return {
			from: 0,
			to: line.length,
			text: 'A block of steps: one by one, or all on one side and then on the other.'
		};
	if (/^\s*~/.test(line)) return { from: 0, to: line.length, text: 'A phase, by its title.' };
	let readers: Reader[];
	try {
		const from = /^\s*(\.\.)?/.exec(line)![0].length;
		readers = clausesOf(tokensOf(line, from));
	} catch {
		return null;
	}
	const at = readers.findIndex((r) => r.tokens.some((t) => t.column - 1 <= index && index < t.endColumn));
	const token = readers[at]?.tokens.find((t) => t.column - 1 <= index && index < t.endColumn);
	if (!token) return null;
	const place = placeAt(readers[at]!.tokens, readers[at]!.tokens.indexOf(token));
	if (place) return place;
	const aim = at === 0 && !line.trimStart().startsWith('..') ? AIM_WORDS.get(plain(token.value)) : undefined;
	if (aim) {
		const d = aimRow(aim).usual;
		return {
			from: token.column - 1,
			to: token.endColumn - 1,
			text: `${AIMS[aim]}. Unless said otherwise: ${contactWord(d.contact)}, ${motionWord(d.spot)} on one place, ${motionWord(d.way)} along a path, ${LEVEL_NAMES[d.pressure]}.`
		};
	}
	const clause = clauseOf(readers[at]!);
	if (!clause) return null;
	const first = readers[at]!.tokens[0]!;
	return {
		from: first.column - 1,
		to: readers[at]!.tokens.at(-1)!.endColumn - 1,
		text: `${clause.says} Written: ${clause.form}`
	};
}
