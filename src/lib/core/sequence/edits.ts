import { applyPatches, enablePatches, produceWithPatches, type Draft } from 'immer';
import type { Edit } from './edit.schema';
import { otherSide, type PlaceRef } from '../atlas/places';
import { isMidlinePlace } from '../atlas/midline';
import { stepTitle } from '../step/describe';
import { computable, isNoDearer, limitWords, overLimits } from './cost';
import type { Block, Phase, Sequence } from './sequence.schema';
import { sequenceProblems } from './sequenceProblems';
import { fieldWord } from '../step/stepFields';
import { stepProblems, type Problem } from '../step/stepProblems';
import { type Step, type StepSide } from '../step/step.schema';
import { findStep, stepsOf } from './walk';
import { peakLevel } from '../step/levelsOf';

enablePatches();

/** Makes an edit from a change of a draft. The sequence itself is left as it is. */
export function makeEdit(sequence: Sequence, label: string, change: (draft: Draft<Sequence>) => void): Edit {
	const [, patch, inverse] = produceWithPatches(sequence, change);
	return { label, patch: patch as Edit['patch'], inverse: inverse as Edit['inverse'] };
}

/** The sequence with patches on it, unchecked. @throws {Error} for a patch whose place is not there */
export const patched = (sequence: Sequence, patches: Edit['patch']): Sequence =>
	applyPatches(sequence, patches as Parameters<typeof applyPatches>[1]);

/** An edit that cannot be done, and why. */
export class EditRefused extends Error {
	override name = 'EditRefused';
	constructor(readonly problems: readonly Problem[]) {
		super(problems.map((p) => p.message).join('; '));
	}
}

/** Steps never change, so one that was right once is right: a long sequence is looked at as fast as a short one. */
const sound = new WeakSet<Step>();

/** The same sequence. @throws {EditRefused} if it contradicts itself */
function coherent(sequence: Sequence): Sequence {
	const problems = sequenceProblems(sequence);
	for (const { step } of stepsOf(sequence)) {
		if (sound.has(step)) continue;
		const found = stepProblems(step);
		problems.push(...found);
		if (!found.length) sound.add(step);
	}
	if (problems.length) throw new EditRefused(problems);
	return sequence;
}

/**
 * The sequence after an edit, looked at for what contradicts itself: its steps, their sides and ids, and its cost. Whether
 * every value is one that is allowed at all, `applyEdit` says: it goes before what is kept.
 * @throws {EditRefused} if the result contradicts itself (for example a step without a side), or asks for more than is
 * reckoned with; what is too much already may be made less
 */
export function edited(sequence: Sequence, edit: Edit): Sequence {
	const after = coherent(patched(sequence, edit.patch));
	if (computable(after) !== after && !isNoDearer(after, sequence))
		throw new EditRefused(overLimits(after).map((over) => ({ path: over.path, message: limitWords(over) })));
	return after;
}

/** The sequence before an edit. @throws {EditRefused} if that contradicts itself */
export const reverted = (sequence: Sequence, edit: Edit): Sequence => coherent(patched(sequence, edit.inverse));

export const blockOf = (draft: Draft<Sequence>, stepId: string) =>
	draft.phases.flatMap((p) => p.blocks).find((b) => b.steps.some((s) => s.id === stepId));
/** @throws {Error} for a step that is not in the sequence */
export const named = (sequence: Sequence, stepId: string): string => {
	const placed = findStep(sequence, stepId);
	if (!placed) throw new Error(`unknown step: ${stepId}`);
	return `${placed.number}, ${stepTitle(placed.step)}`;
};

/**
 * Changes fields of a step. A field set to `undefined` is removed.
 * @throws {Error} for a step that is not in the sequence
 */
export function setStep(sequence: Sequence, stepId: string, change: Partial<Step>, label?: string): Edit {
	const title =
		label ?? `Change ${[...new Set(Object.keys(change).map(fieldWord))].join(', ')} of step ${named(sequence, stepId)}`;
	return makeEdit(sequence, title, (draft) => {
		const step = blockOf(draft, stepId)?.steps.find((s) => s.id === stepId);
		if (!step) throw new Error(`unknown step: ${stepId}`);
		for (const [field, value] of Object.entries(change)) {
			if (value === undefined) delete (step as Record<string, unknown>)[field];
			else (step as Record<string, unknown>)[field] = value;
		}
	});
}

/** Where a step goes: after a step, before a step, or at the end of a phase. */
export type Spot = { readonly after: string } | { readonly before: string } | { readonly phase: string };
/** @throws {Error} for a step or a phase that is not in the sequence */
export function spotIn(draft: Draft<Sequence>, spot: Spot): { block: Draft<Block>; index: number } {
	if ('phase' in spot) {
		const phase = draft.phases.find((p) => p.id === spot.phase);
		if (!phase) throw new Error(`unknown phase: ${spot.phase}`);
		const last = phase.blocks.at(-1);
		if (last?.sides === 'asSteps') return { block: last, index: last.steps.length };
		phase.blocks.push({
			id: `${phase.id}-b${phase.blocks.length + 1}`,
			title: '',
			sides: 'asSteps',
			steps: []
		});
		return { block: phase.blocks.at(-1)!, index: 0 };
	}
	const id = 'after' in spot ? spot.after : spot.before;
	const block = blockOf(draft, id);
	if (!block) throw new Error(`unknown step: ${id}`);
	return { block, index: block.steps.findIndex((s) => s.id === id) + ('after' in spot ? 1 : 0) };
}

/** A step as it must look inside a block: with a side of its own, or without. */
export function fitted(step: Step, block: Pick<Block, 'sides'>): Step {
	if (block.sides === 'asSteps') return step.side === undefined ? { ...step, side: 'both' } : step;
	// What lies in the middle is worked once, in the first pass.
	if (step.side === 'midline') return step;
	const { side: _side, ...rest } = step;
	return rest;
}

/**
 * A move of one side has no place in a block that does one side and then the other.
 * @throws {Error} saying so, with what to do
 */
export function mustSuit(step: Step, block: Pick<Block, 'sides'>): void {
	if (block.sides === 'asSteps') return;
	const { side } = step;
	if (side === 'left' || side === 'right')
		throw new Error(
			`${stepTitle(step)} is worked on the ${side} only, and this block does one side and then the other. Let the step work both sides first, or put it before or after the block.`
		);
}

/** Puts some steps in at a spot, in their order; each gets the side that the block there asks for. */
export function insertSteps(sequence: Sequence, steps: readonly Step[], spot: Spot, label?: string): Edit {
	return makeEdit(sequence, label ?? `Add ${steps.length} steps`, (draft) => {
		const { block, index } = spotIn(draft, spot);
		block.steps.splice(index, 0, ...steps.map((s) => fitted(s, block) as Draft<Step>));
	});
}

/** Puts one step in at a spot. */
export const insertStep = (sequence: Sequence, step: Step, spot: Spot, label?: string): Edit =>
	insertSteps(sequence, [step], spot, label ?? `Add ${stepTitle(step)}`);

export function removeSteps(sequence: Sequence, stepIds: readonly string[]): Edit {
	const first = stepIds[0];
	const label =
		stepIds.length === 1 && first ? `Remove step ${named(sequence, first)}` : `Remove ${stepIds.length} steps`;
	return makeEdit(sequence, label, (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks) block.steps = block.steps.filter((s) => !stepIds.includes(s.id));
	});
}

/** Moves a step one place up or down; at the edge of its block into the next block, also across phases. */
export function moveStep(sequence: Sequence, stepId: string, by: -1 | 1): Edit | null {
	const placed = findStep(sequence, stepId);
	if (!placed) return null;
	const [p, b, s] = placed.at;
	const label = `Move step ${named(sequence, stepId)} ${by < 0 ? 'up' : 'down'}`;
	const within = placed.block.steps[s + by];
	const blocks = sequence.phases.flatMap((phase, pi) => phase.blocks.map((block, bi) => ({ block, pi, bi })));
	const next = blocks[blocks.findIndex((x) => x.pi === p && x.bi === b) + by];
	if (!within && !next) return null;
	return makeEdit(sequence, label, (draft) => {
		const from = draft.phases[p]!.blocks[b]!;
		const [step] = from.steps.splice(s, 1);
		const to = within ? from : draft.phases[next!.pi]!.blocks[next!.bi]!;
		const index = within ? s + by : by < 0 ? to.steps.length : 0;
		mustSuit(step as Step, to);
		to.steps.splice(index, 0, fitted(step as Step, to) as Draft<Step>);
	});
}

/**
 * Moves a step to stand before another one, or to the end of a phase.
 * @throws {Error} for a step that is not in the sequence
 */
export function relocateStep(sequence: Sequence, stepId: string, spot: Spot): Edit {
	const step = findStep(sequence, stepId)?.step;
	if (!step) throw new Error(`unknown step: ${stepId}`);
	return makeEdit(sequence, `Move step ${named(sequence, stepId)}`, (draft) => {
		const from = blockOf(draft, stepId)!;
		from.steps.splice(
			from.steps.findIndex((s) => s.id === stepId),
			1
		);
		const { block, index } = spotIn(draft, spot);
		block.steps.splice(index, 0, fitted(step, block) as Draft<Step>);
	});
}
/** @throws {Error} for a step that is not in the sequence */
export function duplicateStep(sequence: Sequence, stepId: string, newId: string): Edit {
	const step = findStep(sequence, stepId)?.step;
	if (!step) throw new Error(`unknown step: ${stepId}`);
	return insertStep(sequence, { ...step, id: newId }, { after: stepId }, `Duplicate step ${named(sequence, stepId)}`);
}

/** The other side of a one-sided choice; both and midline stay as they are. */
export function swappedSide(side: StepSide): StepSide {
	if (side === 'both' || side === 'midline') return side;
	if (side === 'left' || side === 'right') return otherSide(side);
	return { ...side, first: otherSide(side.first) };
}

/** A phase more: behind the phase of a step, else at the end. */
export function addPhase(sequence: Sequence, phase: Phase, afterStepId: string | null = null): Edit {
	return makeEdit(sequence, `Add the phase ${phase.title}`, (draft) => {
		const at = afterStepId === null ? undefined : findStep(sequence, afterStepId)?.at[0];
		draft.phases.splice(at === undefined ? draft.phases.length : at + 1, 0, phase as Draft<Phase>);
	});
}

export function removePhase(sequence: Sequence, phaseId: string): Edit {
	const phase = sequence.phases.find((p) => p.id === phaseId);
	return makeEdit(sequence, `Remove the phase ${phase?.title ?? phaseId}`, (draft) => {
		draft.phases = draft.phases.filter((p) => p.id !== phaseId);
	});
}

export function renamePhase(sequence: Sequence, phaseId: string, title: string): Edit {
	return makeEdit(sequence, `Rename a phase to ${title}`, (draft) => {
		const phase = draft.phases.find((p) => p.id === phaseId);
		if (phase) phase.title = title;
	});
}

/** Marks a phase as a place where a short version may end, or takes the mark away. */
export function setExit(sequence: Sequence, phaseId: string, exitAfter: boolean): Edit {
	const title = sequence.phases.find((p) => p.id === phaseId)?.title ?? phaseId;
	const label = exitAfter ? `A short version may end after ${title}` : `No short version ends after ${title}`;
	return makeEdit(sequence, label, (draft) => {
		const phase = draft.phases.find((p) => p.id === phaseId);
		if (phase) phase.exitAfter = exitAfter;
	});
}

/** Gives a step other places: one level for all of them, and stations only where they still lie on its way. */
export function setPlaces(sequence: Sequence, step: Step, places: readonly PlaceRef[]): Edit {
	const kept = step.stations?.places.filter((p) => places.includes(p)) ?? [];
	const midline = step.side === 'midline' && !places.every(isMidlinePlace);
	const change: Partial<Step> = {
		places: [...places],
		pressure: peakLevel(step),
		levels: undefined,
		stations: kept.length ? { ...step.stations!, places: kept } : undefined,
		...(midline ? { side: 'both' } : {})
	};
	return setStep(sequence, step.id, change, `Change the path of step ${named(sequence, step.id)}`);
}

type Head = Pick<
	Sequence,
	| 'title'
	| 'notes'
	| 'goals'
	| 'budgetSeconds'
	| 'leastSeconds'
	| 'choices'
	| 'course'
	| 'changed'
	| 'school'
	| 'performer'
	| 'orientation'
	| 'medium'
	| 'links'
	| 'media'
>;
/** Changes what stands at the head of a sequence: title, school, budget, notes. */
export function setHead(sequence: Sequence, change: Partial<Head>, label: string): Edit {
	return makeEdit(sequence, label, (draft) => {
		for (const [field, value] of Object.entries(change)) {
			if (value === undefined) delete (draft as Record<string, unknown>)[field];
			else (draft as Record<string, unknown>)[field] = value;
		}
	});
}

/** Moves several steps, in their order, to stand before another one. */
export function moveStepsBefore(sequence: Sequence, stepIds: readonly string[], before: string, label: string): Edit {
	return makeEdit(sequence, label, (draft) => {
		const taken: Step[] = [];
		for (const phase of draft.phases)
			for (const block of phase.blocks) {
				taken.push(...(block.steps.filter((s) => stepIds.includes(s.id)) as Step[]));
				block.steps = block.steps.filter((s) => !stepIds.includes(s.id));
			}
		const { block, index } = spotIn(draft, { before });
		block.steps.splice(index, 0, ...taken.map((s) => fitted(s, block) as Draft<Step>));
	});
}

/** One edit out of several that follow each other: done and taken back as one. */
export function joinEdits(label: string, edits: readonly Edit[]): Edit {
	return {
		label,
		patch: edits.flatMap((e) => e.patch),
		inverse: [...edits].reverse().flatMap((e) => e.inverse)
	};
}
