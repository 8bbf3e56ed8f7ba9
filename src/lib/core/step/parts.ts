import { placeOf } from '../atlas/places';
import { levelsOf } from './levelsOf';
import type { Level } from './levels';
import type { Step } from './step.schema';

const known = new WeakMap<Step, readonly Step[]>();

/**
 * The strokes of one repetition as steps of their own, the first one being the step itself: what is asked of a step is
 * asked of each. A part says its motion, and where it differs its places and its pressure.
 */
export function strokesOf(step: Step): readonly Step[] {
	const before = known.get(step);
	if (before) return before;
	const list = [step, ...(step.parts ?? []).map((_, i) => partAs(step, i)), ...besideAs(step), ...lanesAs(step)];
	known.set(step, list);
	return list;
}

/** A part of a repetition as a step: 0 is the first one after the stroke that the step itself is. */
export function partAs(step: Step, index: number): Step {
	const { parts, ...whole } = step;
	const part = parts![index]!;
	const places = part.places ?? step.places;
	return {
		...bare(whole),
		motion: part.motion,
		places,
		pressure: part.pressure ?? (levelsOf(step).at(-1) as Level),
		paceSeconds: part.seconds,
		end: index === parts!.length - 1 ? step.end : { kind: 'none' }
	};
}

/** Without what belongs to the first stroke alone. */
const bare = ({
	levels: _l,
	stations: _s,
	laneWays: _w,
	beside: _b,
	risesTo: _r,
	swellsTo: _sw,
	spots: _sp,
	besideWork: _bw,
	...rest
}: Omit<Step, 'parts'>): Step => ({
	...rest,
	lanes: 1,
	reverse: false
});

const alongside = (step: Step, places: Step['places']): Step => {
	const { parts: _parts, ...whole } = step;
	return { ...bare(whole), places, pressure: Math.max(...levelsOf(step)) as Level, reverse: step.reverse };
};
/** The second path as a step of its own, with what its hand does otherwise. */
function besideAs(step: Step): Step[] {
	if (!step.beside) return [];
	const { contact, motion, pressure } = step.besideWork ?? {};
	const path = alongside(step, step.beside);
	const { tool: _tool, ...hand } = path;
	return [
		{
			...(contact ? { ...hand, contact } : path),
			...(motion ? { motion } : {}),
			...(pressure === undefined ? {} : { pressure })
		}
	];
}
/** The paths that are worked at one moment: the step itself, and its second path. */
export const atOnce = (step: Step): readonly Step[] => [step, ...besideAs(step)];
/** The lanes with ways of their own. */
export const lanesAs = (step: Step): Step[] => (step.laneWays ?? []).map((way) => alongside(step, way));

/** All places that a step touches, its parts, lanes and second path included. */
export const placesTouched = (step: Step): Step['places'] =>
	strokesOf(step).length === 1 ? step.places : [...new Set(strokesOf(step).flatMap((s) => s.places))];

/** Whether any stroke of a step goes over a place, whichever side. */
export const goesOver = (step: Step, wanted: (place: ReturnType<typeof placeOf>) => boolean): boolean =>
	placesTouched(step).some((ref) => wanted(placeOf(ref)));
