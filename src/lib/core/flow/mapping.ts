import type { Motion } from '../step/vocabulary';
import type { Step } from '../sequence/sequence.schema';
import type { FlowTechnique } from './programme';

interface MotionMapping {
	/** What the model makes of it; null where it knows nothing like it. */
	readonly technique: FlowTechnique | null;
	readonly why: string;
}
const mapped = (technique: FlowTechnique | null, why: string): MotionMapping => ({ technique, why });

const CARRIES = mapped('stroke', 'slides along its path and carries fluid with it');
const PRESSES = mapped(
	'hold',
	'presses or lifts where it stands: it warms and softens by its level, nothing is carried'
);
const RUBS = mapped('rub', 'works the skin to and fro: nothing is carried, much warmth');

/** What the model makes of every motion. A motion that slides over one place only is a hold: there is nowhere to carry to. */
export const MOTION_MAPPING: Record<Motion, MotionMapping> = {
	stroke: CARRIES,
	sweep: CARRIES,
	'squeeze-stroke': CARRIES,
	'hand-over-hand': CARRIES,
	flick: CARRIES,
	zigzag: CARRIES,
	'c-stroke': CARRIES,
	fan: CARRIES,
	'figure-eight': CARRIES,
	scoop: CARRIES,
	scrape: CARRIES,
	pump: mapped('pump', 'opens a node group and passes its content on; on a zone the model has nothing like it'),
	'press-hold': PRESSES,
	'lift-hold': PRESSES,
	'skin-lift': PRESSES,
	'opposed-stretch': PRESSES,
	none: PRESSES,
	tap: mapped('tap', 'taps: nothing is carried, some warmth'),
	wiggle: RUBS,
	'pinned-circle': RUBS,
	vibrate: RUBS,
	knead: RUBS,
	'pinch-roll': RUBS,
	resisted: mapped(null, 'the client’s own muscles work: the model knows only the hand')
};

/** Why a move, or a part of it, is not in the model's programme. */
export const LEFT_OUT = {
	gap: 'two places of its path do not touch in the model',
	'zone-pump': 'the model pumps node groups only, not a zone',
	inside: 'the model knows strokes on the skin only, not inside the mouth',
	exercise: 'the client’s own muscles work, which the model does not know',
	tape: 'tape works for hours, the model only under the hand'
} as const;
export type LeftOutReason = keyof typeof LEFT_OUT;

/** Why a whole step is left out, or null. */
export function leftOutWhole(step: Step): LeftOutReason | null {
	if (step.contact === 'thumb-inside') return 'inside';
	if (step.aim === 'exercise' || MOTION_MAPPING[step.motion].technique === null) return 'exercise';
	if (step.aim === 'fix' || step.tool?.id === 'tape') return 'tape';
	return null;
}

/** The client breathes deeply: breaths are counted, or the hand waits for the breath. */
export const breathesDeeply = (step: Step): boolean => step.dose.kind === 'breaths' || step.breath !== 'free';

/** Cools the skin under it. */
export const cools = (step: Step): boolean => step.aim === 'cool' || step.tool?.id === 'cold-globes';

/** Done to the hands or to a tool: time goes by for the face. */
export const besideTheFace = (step: Step): boolean =>
	step.aim === 'cleanse' && step.target !== undefined && step.target !== 'skin';
