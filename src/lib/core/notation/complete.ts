import { alignmentOf, neighboursOf } from '../atlas/graph';
import { labelOf, PLACE_IDS, placeOf, type PlaceId } from '../atlas/places';
import type { Technique } from '../technique/technique.schema';
import { AIMS, type Aim } from '../vocabulary/vocabulary';
import { CLAUSES } from './clauses';
import { HEAD_LINES } from './headLines';
import { PLACE_WORDS, SET_WORDS } from './placeWords';
import { plain, plainWords, tokensOf, type Token } from './reader';
import { AIM_WORDS } from './stepLine';

export interface Completion {
	/** What is written. */
	readonly text: string;
	/** What it is, beside it. */
	readonly detail: string;
	readonly kind: 'aim' | 'place' | 'clause' | 'move' | 'line';
	/** What it stands for, where it is not the only word for it. */
	readonly of?: string;
}
export interface Completions {
	/** Index in the line from which what is typed is replaced. */
	readonly from: number;
	readonly options: readonly Completion[];
}

export interface CompleteOptions {
	/** Moves of the library that suit an aim on these places, likeliest first. */
	readonly movesFor?: (aim: Aim, places: readonly PlaceId[]) => readonly Technique[];
	/** The line may also be of the head, a phase or a block: in a whole text, not in the command line. */
	readonly whole?: boolean;
}

/** A place by its label and by its id. */
const place = (id: PlaceId): Completion[] => {
	const label = labelOf(id).toLowerCase();
	return [
		{ text: label, detail: '', kind: 'place', of: id },
		...(label === id ? [] : [{ text: id, detail: labelOf(id), kind: 'place' as const, of: id }])
	];
};
/** Words for parts of the body, each with what it means mostly. */
const SETS: readonly Completion[] = [...SET_WORDS].map(([word, meant]) => ({
	text: word.replaceAll('-', ' '),
	detail: labelOf(placeOf(meant.main)),
	kind: 'place',
	of: JSON.stringify(meant)
}));

/** Places in anatomical order; those to which a stroke runs on from here come first, with the flow before the others. */
function placesAfter(from: PlaceId | null): Completion[] {
	if (!from) return [...PLACE_IDS.flatMap(place), ...SETS];
	const near = [...neighboursOf(from)].sort(
		(a, b) => Number(alignmentOf(from, b) === 'with') - Number(alignmentOf(from, a) === 'with')
	);
	return [...[...near, ...PLACE_IDS.filter((id) => !near.includes(id) && id !== from)].flatMap(place), ...SETS];
}

const lineStarts: readonly Completion[] = [
	{ text: '~ ', detail: 'a phase and its title', kind: 'line' },
	{ text: '~~ side by side', detail: 'a block: one side, then the other', kind: 'line' },
	{ text: '~~ one by one', detail: 'a block whose steps have their own sides', kind: 'line' },
	...HEAD_LINES.filter((h) => h.example).map((h): Completion => ({ text: `${h.key} `, detail: h.says, kind: 'line' }))
];
const aims: readonly Completion[] = (Object.keys(AIMS) as Aim[]).map((aim) => ({
	text: `${aim} `,
	detail: 'a step: what it is for',
	kind: 'aim'
}));

/** Of several words for the same, the one that stands first. */
const once = (options: readonly Completion[]): Completion[] => {
	const first = new Map(options.toReversed().map((option) => [option.of ?? option.text, option]));
	return options.filter((option) => first.get(option.of ?? option.text) === option);
};

/**
 * Options that go on from what is typed: those that begin so first, then those of which a word does, in their order; of
 * several words for the same the first. What says no more than what is typed is none: there Enter is free for the line itself.
 */
export function matching(options: readonly Completion[], typed: string): Completion[] {
	const wish = typed.trim().toLowerCase();
	if (!wish) return once(options);
	const words = wish.split(/[\s-]+/);
	const begins = ({ text }: Completion) => text.toLowerCase().startsWith(wish);
	const holds = ({ text, detail, kind }: Completion) => {
		const own = `${text} ${kind === 'clause' ? '' : detail}`.toLowerCase().split(/[\s:-]+/);
		return words.every((word) => own.some((w) => w.startsWith(word)));
	};
	const other = options.filter((o) => o.text.trim().toLowerCase() !== wish);
	return once([...other.filter(begins), ...other.filter((o) => !begins(o) && holds(o))]);
}

/** The tokens up to the cursor; null inside of a text that is not closed yet, where nothing is offered. */
function tokensBefore(line: string): Token[] | null {
	try {
		return tokensOf(line);
	} catch {
		return null;
	}
}

const placesIn = (tokens: readonly Token[]): PlaceId[] =>
	tokens.flatMap((t) => {
		const found = PLACE_WORDS.get(plain(t.value));
		return found ? [placeOf(found)] : [];
	});

/** Clauses that one mostly wants next, in this order. */
const FIRST = ['dose', 'pressure', 'contact', 'side', 'motion', 'link', 'tool'];
const ONLY_FOR: Readonly<Record<string, Aim>> = { target: 'cleanse', strip: 'fix' };

function clauseOptions(done: readonly Token[][], aim: Aim | undefined, options: CompleteOptions): Completion[] {
	const written = done.map(plainWords);
	const used = CLAUSES.filter((c) => c.words.some((w) => written.includes(plain(w))));
	const places = placesIn(done[0] ?? []);
	const moves = aim && done.length === 1 ? (options.movesFor?.(aim, places) ?? []) : [];
	// What is said most comes first; what belongs to another aim is not offered.
	const fitting = CLAUSES.filter((c) => !c.below && !used.includes(c) && (!ONLY_FOR[c.id] || ONLY_FOR[c.id] === aim));
	const order = (id: string) => (FIRST.includes(id) ? FIRST.indexOf(id) : FIRST.length);
	return [
		...moves.map((t): Completion => ({ text: `as ${t.id}`, detail: t.title, kind: 'move' })),
		...[...fitting]
			.sort((a, b) => order(a.id) - order(b.id))
			.flatMap((c) =>
				c.words.map((text): Completion => ({ text, detail: c.says.split('. ')[0]!.replace(/\.$/, ''), kind: 'clause' }))
			)
	];
}

const JOINTS: readonly string[] = ['>', '+', 'then', 'stops', 'at'];

/**
 * What may be written at the end of a line that is being typed.
 * @param line the line up to the cursor
 */
export function complete(line: string, options: CompleteOptions = {}): Completions | null {
	if (/^\s*\.\./.test(line)) {
		const below = CLAUSES.filter((c) => c.below).flatMap((c) =>
			c.words.map((text): Completion => ({ text, detail: c.says, kind: 'clause' }))
		);
		return {
			from: line.lastIndexOf('..') + (line.endsWith('.') ? 2 : /\.\.\s*/.exec(line)![0].length),
			options: below
		};
	}
	const tokens = tokensBefore(line);
	if (!tokens || /^\s*~/.test(line)) return null;
	const open = tokens.at(-1);
	const typing = open?.kind === 'word' && open.endColumn - 1 === line.length;
	const start = typing ? open.column - 1 : line.length;
	const before = typing ? tokens.slice(0, -1) : tokens;
	if (!before.length) return { from: start, options: options.whole ? [...aims, ...lineStarts] : aims };
	const groups: Token[][] = [[]];
	for (const token of before) {
		if (token.value === ',' && token.kind === 'sign') groups.push([]);
		else groups.at(-1)!.push(token);
	}
	const clause = groups.at(-1)!;
	const aim = AIM_WORDS.get(plain(before[0]!.value));
	if (!aim) return null;
	const wayClause =
		groups.length === 1 || ['then', 'stops'].includes(clause[0]?.value ?? '') || clause.at(-1)?.value === 'at';
	if (wayClause) {
		const at = clause.findLastIndex((t, i) => JOINTS.includes(t.value) || (i === 0 && groups.length === 1));
		// The words since the joint: a label or a part of the body may have several.
		const begun = clause.slice(at + 1);
		if (at < 0 || begun.some((t) => t.kind !== 'word')) return null;
		// A place that is written whole asks for nothing more.
		if (!typing && PLACE_WORDS.has(plainWords(begun))) return null;
		const from = clause[at]!.value === '>' ? (placesIn(clause).at(-1) ?? null) : null;
		return { from: begun.length ? begun[0]!.column - 1 : start, options: placesAfter(from) };
	}
	if (clause.length) {
		// A clause of several words: what begins as it does.
		const first = clause[0]!;
		return { from: first.column - 1, options: clauseOptions(groups.slice(0, -1), aim, options) };
	}
	return { from: start, options: clauseOptions(groups.slice(0, -1), aim, options) };
}
