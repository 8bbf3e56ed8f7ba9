import type { Draft } from 'immer';
import { safeLevel } from '../pressure/caps';
import type { School } from '../school/school.schema';
import { isZone, placeOf } from '../atlas/places';
import { insertSteps, blockOf, fitted, makeEdit, mustSuit, named, spotIn, type Spot } from './edits';
import type { Edit } from './edit.schema';
import { mirroredStep } from './mirror';
import type { Block, Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';
import { findStep, stepsOf } from './walk';
import { peakLevel } from '../step/levelsOf';

const countWords = (n: number): string => `${n} ${n === 1 ? 'step' : 'steps'}`;

/** Of some ids, those that are steps of the sequence, in playing order. */
export const inOrder = (sequence: Sequence, ids: ReadonlySet<string>): Step[] =>
	stepsOf(sequence).flatMap(({ step }) => (ids.has(step.id) ? [step] : []));

/** Changes several steps at once; `change` says what of each. A field set to `undefined` is removed. */
export function setSteps(
	sequence: Sequence,
	ids: ReadonlySet<string>,
	change: (step: Step) => Partial<Step>,
	what: string
): Edit {
	return makeEdit(sequence, `${what} of ${countWords(inOrder(sequence, ids).length)}`, (draft) => {
		for (const { step } of stepsOf(draft as Sequence)) {
			if (!ids.has(step.id)) continue;
			for (const [field, value] of Object.entries(change(step))) {
				if (value === undefined) delete (step as Record<string, unknown>)[field];
				else (step as Record<string, unknown>)[field] = value;
			}
		}
	});
}

/** Moves some steps, in their order, to a spot. Before or after one of themselves they stay with it. */
export function moveSteps(sequence: Sequence, ids: ReadonlySet<string>, spot: Spot, label?: string): Edit {
	const steps = inOrder(sequence, ids);
	const anchor = 'phase' in spot ? null : 'before' in spot ? spot.before : spot.after;
	return makeEdit(sequence, label ?? `Move ${countWords(steps.length)}`, (draft) => {
		const { block, index } = spotIn(draft, spot);
		// Where the anchor itself moves, the place before it among those that stay is meant.
		const at = anchor && ids.has(anchor) ? block.steps.findIndex((s) => s.id === anchor) : index;
		for (const step of steps) mustSuit(step, block);
		const stay = block.steps.slice(0, at).filter((s) => !ids.has(s.id)).length;
		for (const phase of draft.phases)
			for (const b of phase.blocks)
				if (b.steps.some((s) => ids.has(s.id))) b.steps = b.steps.filter((s) => !ids.has(s.id));
		block.steps.splice(stay, 0, ...steps.map((s) => fitted(s, block) as Draft<Step>));
	});
}

/**
 * The steps of a block in a new order, some of which may come from another block: what a drop says.
 * @param dragged the step after which the edit is named
 */
export function setBlockSteps(sequence: Sequence, blockId: string, ids: readonly string[], dragged?: string): Edit {
	const known = new Map(stepsOf(sequence).map(({ step }) => [step.id, step]));
	const moved = new Set(ids);
	const came = ids.find((id) => findStep(sequence, id)?.block.id !== blockId);
	const first = dragged ?? came;
	const label = first ? `Move step ${named(sequence, first)}` : 'Move a step';
	return makeEdit(sequence, label, (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks) {
				if (block.id === blockId) {
					const steps = ids.flatMap((id) => known.get(id) ?? []);
					for (const step of steps) mustSuit(step, block);
					block.steps = steps.map((step) => fitted(step, block) as Draft<Step>);
				} else if (block.steps.some((s) => moved.has(s.id))) block.steps = block.steps.filter((s) => !moved.has(s.id));
			}
	});
}

/** Copies of steps behind the last of them. */
export function duplicateSteps(sequence: Sequence, ids: ReadonlySet<string>, newId: () => string): Edit | null {
	const steps = inOrder(sequence, ids);
	if (!steps.length) return null;
	const label =
		steps.length === 1 ? `Duplicate step ${named(sequence, steps[0]!.id)}` : `Duplicate ${countWords(steps.length)}`;
	return insertSteps(
		sequence,
		steps.map((s) => ({ ...s, id: newId() })),
		{ after: steps.at(-1)!.id },
		label
	);
}

const isOneSided = (step: Step): boolean => step.side === 'left' || step.side === 'right';

/**
 * The same moves for the other side, behind the last of them. Only steps that work one side have another one;
 * null where none of them does.
 */
export function repeatOnOtherSide(sequence: Sequence, ids: ReadonlySet<string>, newId: () => string): Edit | null {
	const steps = inOrder(sequence, ids).filter(isOneSided);
	if (!steps.length) return null;
	const copies = steps.map((s) => ({ ...mirroredStep(s), id: newId() }));
	const label = `Repeat ${steps.length === 1 ? `step ${named(sequence, steps[0]!.id)}` : countWords(steps.length)} on the other side`;
	return insertSteps(sequence, copies, { after: inOrder(sequence, ids).at(-1)!.id }, label);
}

/** Turns steps into their mirror image: left becomes right, and what began on one side begins on the other. */
export function mirrorSteps(sequence: Sequence, ids: ReadonlySet<string>): Edit {
	return setSteps(sequence, ids, mirroredStep, 'Mirror the sides');
}

/** The whole sequence as its mirror image. */
export function mirrorAll(sequence: Sequence): Edit {
	return makeEdit(sequence, 'Mirror the whole sequence', (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks) {
				if (block.sides !== 'asSteps') block.sides.first = block.sides.first === 'left' ? 'right' : 'left';
				block.steps = block.steps.map((s) => mirroredStep(s as Step) as Draft<Step>);
			}
	});
}

/**
 * Makes a block of steps of one phase: all of them on the first side, then all on the other. They come together
 * where the first of them stands.
 * @throws {Error} where they stand in several phases, or in a block already
 */
export function groupSteps(sequence: Sequence, ids: ReadonlySet<string>, newId: () => string): Edit {
	const placed = stepsOf(sequence).filter((s) => ids.has(s.step.id));
	const first = placed[0];
	if (!first) throw new Error('Choose the steps that shall be done side by side.');
	if (placed.some((s) => s.phase !== first.phase))
		throw new Error('Only steps of one phase can be done side by side. Move them into one phase first.');
	if (placed.some((s) => s.block.sides !== 'asSteps'))
		throw new Error('One of these steps is in a block already. Let that block change sides by itself first.');
	return makeEdit(sequence, `Do ${countWords(placed.length)} on one side, then on the other`, (draft) => {
		const { blocks } = draft.phases[first.at[0]]!;
		const at = first.at[1];
		const block = blocks[at]!;
		const before = block.steps.slice(0, first.at[2]).filter((s) => !ids.has(s.id));
		const after = block.steps.slice(first.at[2]).filter((s) => !ids.has(s.id));
		for (const b of blocks) b.steps = b.steps.filter((s) => !ids.has(s.id));
		const run = placed.map(({ step: { side: _side, ...rest } }) => rest as Draft<Step>);
		const made: Draft<Block> = { id: newId(), title: '', sides: { each: true, first: 'left' }, steps: run };
		const parts = [{ ...block, steps: before }, made, { ...block, id: newId(), steps: after }];
		blocks.splice(at, 1, ...parts.filter((part) => part === made || part.steps.length));
	});
}

/** Where a step can be divided: at a place inside of its path, or between two places on which it stays. */
export const splitPlaces = (step: Step): number[] =>
	step.places.length > 2
		? step.places.map((_, i) => i).slice(1, -1)
		: step.places.length === 2 && step.places.every((p) => !isZone(placeOf(p)))
			? [1]
			: [];

/**
 * Divides a step in two at a place of its way; both keep everything else. The drain link stays with the second.
 * @param at index of the place at which the first ends and the second begins; of a move that stays, the second begins there
 * @throws {Error} where the step cannot be divided there
 */
export function splitStep(sequence: Sequence, stepId: string, at: number, newId: string, stays: boolean): Edit {
	const placed = findStep(sequence, stepId);
	if (!placed || !(at >= 1 && at < placed.step.places.length))
		throw new Error('A step is divided at a place inside of its path.');
	const { step } = placed;
	const part = (from: number, to: number): Partial<Step> => {
		const places = step.places.slice(from, to);
		const stations = step.stations?.places.filter((p) => places.includes(p)) ?? [];
		return {
			places,
			...(step.levels ? { levels: step.levels.slice(from, to) } : {}),
			stations: stations.length ? { ...step.stations!, places: stations } : undefined
		};
	};
	const tidy = (s: Step): Step => Object.fromEntries(Object.entries(s).filter(([, v]) => v !== undefined)) as Step;
	const first = tidy({
		...step,
		...part(0, stays ? at : at + 1),
		...(step.end.kind === 'link' ? { end: { kind: 'none' } } : {})
	});
	const second = tidy({ ...step, id: newId, ...part(at, step.places.length) });
	return makeEdit(sequence, `Divide step ${named(sequence, stepId)}`, (draft) => {
		const { steps } = blockOf(draft, stepId)!;
		steps.splice(placed.at[2], 1, first as Draft<Step>, second as Draft<Step>);
	});
}

/** Lets a new phase begin with a step: what stands behind it in its phase goes along. */
export function splitPhase(sequence: Sequence, stepId: string, title: string, newId: () => string): Edit | null {
	const placed = findStep(sequence, stepId);
	if (!placed || (placed.at[1] === 0 && placed.at[2] === 0)) return null;
	const [p, b, s] = placed.at;
	return makeEdit(sequence, `Begin the phase ${title} with step ${named(sequence, stepId)}`, (draft) => {
		const phase = draft.phases[p]!;
		const block = phase.blocks[b]!;
		const blocks = [{ ...block, id: newId(), steps: block.steps.slice(s) }, ...phase.blocks.slice(b + 1)];
		block.steps = block.steps.slice(0, s);
		phase.blocks = phase.blocks.slice(0, block.steps.length ? b + 1 : b);
		draft.phases.splice(p + 1, 0, { id: newId(), title, exitAfter: phase.exitAfter, blocks });
		phase.exitAfter = false;
	});
}

/**
 * What a new step takes over from the last one of its kind: pressure, count and side, where they fit. Never more
 * pressure than the school and its new places allow.
 */
export function carriedOver(step: Step, last: Step | undefined, school?: School): Step {
	if (!last || last.aim !== step.aim || last.motion !== step.motion || last.contact !== step.contact) return step;
	const dose = last.dose.kind === step.dose.kind ? last.dose : step.dose;
	const side =
		step.side === undefined || last.side === undefined || step.side === 'midline' || last.side === 'midline'
			? step.side
			: last.side;
	const { levels: _levels, ...rest } = step;
	return {
		...rest,
		pressure: school ? safeLevel(step, step.places, peakLevel(last), school) : peakLevel(last),
		dose,
		...(side === undefined ? {} : { side }),
		...(last.reason && (side === 'left' || side === 'right') ? { reason: last.reason } : {})
	};
}
