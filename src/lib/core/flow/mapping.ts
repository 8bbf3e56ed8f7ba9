import { contactRow, motionRow, toolRow, type Motion } from '../vocabulary/vocabulary';
import type { Step } from '../step/step.schema';
import type { MotionRow } from '../vocabulary/motions';
import type { FlowTechnique } from './programme';

interface MotionMapping {
	/** What the model makes of it; null where it knows nothing like it. */
	readonly technique: FlowTechnique | null;
	readonly why: string;
}
/** What the model makes of a kind of motion; null where it knows nothing like it. */
const BY_KIND: Record<NonNullable<MotionRow['flow']> | 'unknown', string> = {
	stroke: 'slides along its path and carries fluid with it',
	pump: 'opens a node group and passes its content on; on a zone the model has nothing like it',
	hold: 'presses or lifts where it stands: it warms and softens by its level, nothing is carried',
	tap: 'taps: nothing is carried, some warmth',
	rub: 'works the skin to and fro: nothing is carried, much warmth',
	unknown: 'the client’s own muscles work: the model knows only the hand'
};

/** What the model makes of a motion. One that slides over one place only is a hold: there is nowhere to carry to. */
export function mappingOf(motion: Motion): MotionMapping {
	const { flow, carries } = motionRow(motion);
	const along = carries ? '; set along a path in a drain it carries fluid as a stroke does' : '';
	return { technique: flow, why: BY_KIND[flow ?? 'unknown'] + along };
}

/** Why a move, or a part of it, is not in the model's programme. */
export const LEFT_OUT = {
	gap: 'two places of its path do not touch in the model',
	'zone-pump': 'the model pumps node groups only, not a zone',
	inside: 'the model knows strokes on the skin only, not inside the mouth',
	exercise: 'the client’s own muscles work, which the model does not know',
	beside: 'the second path of a stroke is not followed: the model has one at a time',
	tape: 'tape works for hours, the model only under the hand',
	'no-place': 'the step works the skin and names no place'
} as const;
export type LeftOutReason = keyof typeof LEFT_OUT;

/** Why a whole step is left out, or null. */
export function leftOutWhole(step: Step): LeftOutReason | null {
	if (contactRow(step.contact).inside) return 'inside';
	if (step.aim === 'exercise' || motionRow(step.motion).flow === null) return 'exercise';
	if (step.aim === 'fix' || (step.tool && toolRow(step.tool.id).staysOn)) return 'tape';
	return null;
}

/** Nobody touches the skin: a wait, or what the client does meanwhile. Mapped: time goes by. */
export const isRest = (step: Step): boolean => !step.places.length && step.contact === 'none' && step.motion === 'none';

/** The client breathes deeply: breaths are counted, or the hand waits for the breath. */
export const breathesDeeply = (step: Step): boolean => step.dose.kind === 'breaths' || step.breath !== 'free';

/** Cools the skin under it. */
export const cools = (step: Step): boolean =>
	step.aim === 'cool' || (step.tool !== undefined && toolRow(step.tool.id).cold);

/** Done to the hands or to a tool: time goes by for the face. */
export const besideTheFace = (step: Step): boolean =>
	step.aim === 'cleanse' && step.target !== undefined && step.target !== 'skin';
