import { dequal } from 'dequal';
import { diffArrays } from 'diff';
import type { Block, Phase, Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { PLAIN_HEAD } from './headLines';
import type { Parsed, ParsedBlock, ParsedPhase } from './parse';
import { writeStep } from './stepLine';

/** Lines that may differ before it is no longer worth looking for the longest common run. */
const MOST_EDITS = 2000;

/** Pairs of indexes of lines that are the same on both sides, in order on both: the longest such run. */
function commonRun(a: readonly string[], b: readonly string[]): [number, number][] {
	const parts = diffArrays([...a], [...b], { maxEditLength: MOST_EDITS }) ?? [];
	const pairs: [number, number][] = [];
	let [i, j] = [0, 0];
	for (const { added, removed, count } of parts) {
		if (added) j += count;
		else if (removed) i += count;
		else for (let k = 0; k < count; k++) pairs.push([i++, j++]);
	}
	return pairs;
}

/**
 * For each of the new lines, which of the old ones it is: the same lines in the same order first, then the same line
 * elsewhere (it was moved), then the same move on the same way, then what stands at the same place between two that stayed (it was changed). -1: it is new.
 */
export function alignLines(before: readonly string[], after: readonly string[], byPlace = true): number[] {
	const from = new Array<number>(after.length).fill(-1);
	const taken = new Set<number>();
	const pair = (i: number, j: number) => {
		from[j] = i;
		taken.add(i);
	};
	/** The lines that have no partner yet, by a name. */
	const linesBy = (nameOf: (line: string) => string): Map<string, number[]> => {
		const found = new Map<string, number[]>();
		for (const [i, line] of before.entries()) {
			if (taken.has(i)) continue;
			const same = found.get(nameOf(line));
			if (same) same.push(i);
			else found.set(nameOf(line), [i]);
		}
		return found;
	};
	const kept = commonRun(before, after);
	for (const [i, j] of kept) pair(i, j);
	const free = linesBy((line) => line);
	after.forEach((line, j) => {
		const i = from[j] === -1 ? free.get(line)?.shift() : undefined;
		if (i !== undefined) pair(i, j);
	});
	// The same move on the same way, told otherwise.
	const headOf = (line: string) => line.split(',', 1)[0]!;
	const alike = linesBy(headOf);
	after.forEach((line, j) => {
		const i = from[j] === -1 ? alike.get(headOf(line))?.shift() : undefined;
		if (i !== undefined) pair(i, j);
	});
	if (!byPlace) return from;
	const stops = [...kept, [before.length, after.length] as [number, number]];
	let [i0, j0] = [0, 0];
	for (const [i1, j1] of stops) {
		const olds = Array.from({ length: i1 - i0 }, (_, k) => i0 + k).filter((i) => !taken.has(i));
		for (let j = j0; j < j1; j++) {
			if (from[j] !== -1) continue;
			const old = olds.shift();
			if (old !== undefined) pair(old, j);
		}
		[i0, j0] = [i1 + 1, j1 + 1];
	}
	return from;
}

const lineOf = (step: Step): string => writeStep(step).join('\n');

/** Phases with the ids that they had: by title first, then by where they stand. */
function phaseOf(parsed: ParsedPhase, at: number, phases: readonly Phase[], taken: Set<string>): Phase | undefined {
	const free = phases.filter((p) => !taken.has(p.id));
	const found = free.find((p) => p.title === parsed.title) ?? free.find((p) => p.id === phases[at]?.id);
	if (found) taken.add(found.id);
	return found;
}

/** A block as its line says it, with an id and its steps. */
export const blockAs = ({ title, sides, passes }: ParsedBlock, id: string, steps: Step[]): Block => ({
	id,
	title,
	sides,
	...(passes === undefined ? {} : { passes }),
	steps
});

/** A phase as its line says it, with an id and its blocks. */
export const phaseAs = (
	{ title, exitAfter, exitTitle, passes, comment }: ParsedPhase,
	id: string,
	blocks: Block[]
): Phase => ({
	id,
	title,
	exitAfter,
	...(exitTitle === undefined ? {} : { exitTitle }),
	...(passes === undefined ? {} : { passes }),
	...(comment === undefined ? {} : { comment }),
	blocks
});

/**
 * The sequence as a text says it, its ids kept by aligning lines with what it was: history, mutes, the selection
 * and a session's record keep meaning the same steps.
 * @param parsed without troubles
 * @param newId gives an id for what is new
 */
export function withText(previous: Sequence, parsed: Parsed, newId: () => string): Sequence {
	const old = previous.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps));
	const drafts = parsed.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps.map((s) => s.step)));
	const from = alignLines(
		old.map(lineOf),
		drafts.map((d) => lineOf(d as Step))
	);
	let n = 0;
	const stepOf = (draft: Omit<Step, 'id'>): Step => {
		const known = old[from[n++]!];
		const made: Step = { ...draft, id: known?.id ?? newId() };
		return known && dequal(known, made) ? known : made;
	};
	const taken = new Set<string>();
	const matched = parsed.phases.map((phase, p) => phaseOf(phase, p, previous.phases, taken));
	const phases = parsed.phases.map((phase, p): Phase => {
		const known = matched[p];
		const blocks = phase.blocks.map((block, b) =>
			blockAs(
				block,
				known?.blocks[b]?.id ?? newId(),
				block.steps.map((s) => stepOf(s.step))
			)
		);
		return phaseAs(phase, known?.id ?? newId(), blocks);
	});
	const { leastSeconds: _l, choices: _c, course: _o, changed: _m, comment: _n, ...rest } = previous;
	const { title, school, budgetSeconds } = previous;
	return { ...rest, ...PLAIN_HEAD, title, school, budgetSeconds, ...parsed.head, phases };
}
