import { isEyelid } from '../../atlas/regionOf';
import type { Level } from '../../step/levels';
import { levelsOf } from '../../step/levelsOf';
import type { Step } from '../../step/step.schema';
import { contactRow, isStationary, type Motion } from '../../vocabulary/vocabulary';
import type { Which } from '../limit.schema';

/** A gentler motion for the same place and aim, by what the other one does that she may not have. */
const GENTLER: Record<NonNullable<Which['motion']>, (motion: Motion) => Motion | null> = {
	bruises: (motion) => (motion === 'scrape' ? 'stroke' : motion === 'skin-lift' ? 'skin-stretch' : 'pinned-circle'),
	rubs: (motion) => (isStationary(motion) ? 'press-hold' : 'stroke'),
	taps: (motion) => (isStationary(motion) ? 'press-hold' : 'stroke'),
	stretches: () => 'press-hold',
	slides: () => null,
	resists: () => null
};

/** The same with the hand: ring finger on the lids, else flat fingers. Null where the tool is what it is for. */
function byHand(step: Step): Step | null {
	if (step.aim === 'fix' || step.aim === 'cool' || step.aim === 'cleanse' || contactRow(step.contact).inside)
		return null;
	const { tool: _tool, ...rest } = step;
	if (step.contact !== 'tool') return rest;
	const contact = step.places.some(isEyelid) ? 'ring-finger' : 'flat-3';
	return { ...rest, contact, motion: step.motion === 'scrape' ? 'stroke' : step.motion };
}

/** Chewing muscle and cheek from outside, lips parted. */
function fromOutside(step: Step): Step {
	const { tool: _tool, parts: _parts, ...rest } = step;
	const level = Math.min(2, ...levelsOf(step)) as Level;
	return { ...rest, levels: undefined, pressure: level, contact: 'pads-3', motion: 'pinned-circle', mouth: 'parted' };
}

function withMotion(step: Step, barred: NonNullable<Which['motion']>): Step | null {
	const motion = GENTLER[barred](step.motion);
	if (!motion) return null;
	const parts = step.parts?.map((part) => ({ ...part, motion: GENTLER[barred](part.motion) ?? part.motion }));
	return { ...step, motion, ...(parts ? { parts } : {}) };
}

/**
 * What she may have instead of a move that is barred: by hand for a tool, a gentler motion, from outside for inside, lighter
 * for too deep, head neutral. Null where the move cannot be had otherwise: a point, tape, cold, an exercise, an opening.
 */
export function insteadOf(step: Step, which: Which): Step | null {
	if (which.contact === 'inside' || (which.tool === 'worn' && contactRow(step.contact).inside))
		return fromOutside(step);
	if (which.tool) return byHand(step);
	if (which.motion) return withMotion(step, which.motion);
	if (which.contact) return { ...step, contact: which.contact === 'pinch' ? 'pads-2' : 'flat-3' };
	if (which.postures) return { ...step, posture: 'neutral' };
	if (which.levelFrom !== undefined && which.levelFrom > 0) {
		const most = (which.levelFrom - 1) as Level;
		return lowered(step, () => most);
	}
	return null;
}

/** A step no deeper than allowed at each of its places. */
export function lowered(step: Step, most: (ref: Step['places'][number]) => Level): Step {
	const least = (refs: readonly Step['places'][number][], from: Level) => Math.min(from, ...refs.map(most)) as Level;
	const all = [...step.places, ...(step.beside ?? []), ...(step.laneWays ?? []).flat()];
	const after: Step = { ...step };
	if (step.levels) after.levels = step.levels.map((level, i) => Math.min(level, most(step.places[i]!)) as Level);
	else after.pressure = least(all, (step.pressure ?? 0) as Level);
	// A second path is pressed as deep as the first at its deepest.
	if (step.levels && all.length > step.places.length) {
		after.levels = undefined;
		after.pressure = least(all, Math.max(...step.levels) as Level);
	}
	const peak = Math.max(...(after.levels ?? [after.pressure ?? 0]));
	for (const field of ['risesTo', 'swellsTo'] as const) {
		if (step[field] === undefined) continue;
		const rises = least(step.places, step[field]);
		if (rises > peak) after[field] = rises;
		else delete after[field];
	}
	if (step.besideWork?.pressure !== undefined)
		after.besideWork = { ...step.besideWork, pressure: least(step.beside ?? [], step.besideWork.pressure) };
	if (step.parts)
		after.parts = step.parts.map((part) => ({
			...part,
			pressure: least(part.places ?? step.places, (part.pressure ?? levelsOf(step).at(-1)!) as Level)
		}));
	return after;
}
