import { labelOf, placeOf, type PlaceRef } from '../atlas/places';
import { fillPath, type CheekRoute } from '../atlas/route';
import { sideText } from '../step/describe';
import { LEVELS, LEVEL_NAMES, type Level } from '../step/levels';
import { levelsOf, peakLevel } from '../step/levelsOf';
import type { Step } from '../step/step.schema';
import { AIMS } from '../vocabulary/vocabulary';
import { insertSteps } from './edits';
import type { Edit } from './edit.schema';
import { inOrder, setSteps } from './manyEdits';
import type { Sequence } from './sequence.schema';
import { findStep, stepsOf, type PlacedStep } from './walk';

interface Likeness {
	/** What they share, as it completes “all …”. */
	readonly words: (placed: PlacedStep) => string;
	readonly of: (placed: PlacedStep) => string;
}
/** By what steps are alike, so that they can be chosen together. */
export const LIKENESSES = {
	aim: { words: ({ step }) => `of the aim ${AIMS[step.aim].toLowerCase()}`, of: ({ step }) => step.aim },
	phase: { words: ({ phase }) => `of the phase ${phase.title}`, of: ({ phase }) => phase.id },
	pressure: {
		words: ({ step }) => `that are ${LEVEL_NAMES[peakLevel(step)]}`,
		of: ({ step }) => String(peakLevel(step))
	},
	side: {
		words: ({ step, block }) => `worked ${sideText(block.sides === 'asSteps' ? step.side : block.sides)}`,
		of: ({ step, block }) => JSON.stringify(block.sides === 'asSteps' ? step.side : block.sides)
	}
} as const satisfies Record<string, Likeness>;
export type LikenessId = keyof typeof LIKENESSES;
export const LIKENESS_IDS = Object.keys(LIKENESSES) as LikenessId[];

/** Ids of the steps that are like one of them, itself included, in playing order; none for a step that is not there. */
export function stepsLike(sequence: Sequence, stepId: string, by: LikenessId): string[] {
	const placed = findStep(sequence, stepId);
	if (!placed) return [];
	const { of } = LIKENESSES[by];
	return stepsOf(sequence)
		.filter((other) => of(other) === of(placed))
		.map(({ step }) => step.id);
}

const shifted = (level: Level, by: -1 | 1): Level => LEVELS[Math.max(0, Math.min(LEVELS.length - 1, level + by))]!;

/** One level lighter or firmer, each place of a way by itself; at the ends of the scale a step stays as it is. */
export function shiftPressure(sequence: Sequence, ids: ReadonlySet<string>, by: -1 | 1): Edit {
	const change = (step: Step): Partial<Step> =>
		step.levels
			? { levels: levelsOf(step).map((l) => shifted(l, by)) }
			: { pressure: shifted(step.pressure ?? peakLevel(step), by) };
	return setSteps(sequence, ids, change, by < 0 ? 'One lighter' : 'One firmer');
}

const LID: Readonly<Record<string, PlaceRef>> = { 'upper-eyelid': 'lower-eyelid', 'lower-eyelid': 'upper-eyelid' };
/** Whether a step works one of the lids and not the other. */
export const worksOneLid = ({ places }: Step): boolean => {
	const lids = new Set(places.map(placeOf).filter((p) => p in LID));
	return lids.size === 1;
};

/**
 * The same moves on the other lid, behind the last of them: ways lead from that lid to the same end.
 * @throws {Error} where none of them works one lid
 */
export function onOtherLid(
	sequence: Sequence,
	ids: ReadonlySet<string>,
	newId: () => string,
	cheekRoute: CheekRoute = 'either'
): Edit {
	const steps = inOrder(sequence, ids).filter(worksOneLid);
	if (!steps.length) throw new Error('None of these works one eyelid only.');
	const copies = steps.map((step): Step => {
		const own = step.places.length > 1 && step.levels === undefined;
		const ends = step.places.filter((ref, i) => i === 0 || i === step.places.length - 1 || placeOf(ref) in LID);
		const moved = (own ? ends : step.places).map((ref) => LID[placeOf(ref)] ?? ref);
		return { ...step, id: newId(), places: own ? fillPath(moved, cheekRoute) : moved };
	});
	const lid = labelOf(placeOf(copies[0]!.places.find((ref) => placeOf(ref) in LID)!)).toLowerCase();
	return insertSteps(sequence, copies, { after: steps.at(-1)!.id }, `The same on the ${lid}`);
}
