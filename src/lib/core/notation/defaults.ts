import type { Level } from '../step/levels';
import type { Dose, Step } from '../sequence/sequence.schema';
import type { Aim, Contact, Motion } from '../step/vocabulary';

/** What a line leaves unsaid, by the aim of the step (working values). */
export interface AimDefaults {
	readonly contact: Contact;
	/** On one place, or on none. */
	readonly spot: Motion;
	/** Over several places. */
	readonly way: Motion;
	readonly pressure: Level;
	readonly dose: readonly [kind: Dose['kind'], target: number];
	readonly paceSeconds: number;
}

const row = (
	contact: Contact,
	spot: Motion,
	way: Motion,
	pressure: Level,
	dose: AimDefaults['dose'],
	paceSeconds: number
): AimDefaults => ({ contact, spot, way, pressure, dose, paceSeconds });

export const AIM_DEFAULTS: Readonly<Record<Aim, AimDefaults>> = {
	settle: row('flat-hand', 'press-hold', 'press-hold', 0, ['breaths', 3], 10),
	prepare: row('flat-hand', 'sweep', 'sweep', 0, ['seconds', 20], 2),
	open: row('flat-3', 'pump', 'pump', 1, ['reps', 7], 1),
	drain: row('flat-3', 'press-hold', 'stroke', 1, ['reps', 7], 2.5),
	lift: row('flat-hand', 'lift-hold', 'sweep', 2, ['reps', 8], 2),
	release: row('knuckles', 'knead', 'stroke', 3, ['seconds', 40], 2),
	point: row('pads-2', 'press-hold', 'press-hold', 2, ['seconds', 20], 10),
	stimulate: row('pads-4', 'tap', 'tap', 1, ['seconds', 20], 0.5),
	exercise: row('pads-2', 'resisted', 'resisted', 1, ['reps', 8], 3),
	fix: row('pads-2', 'press-hold', 'press-hold', 0, ['reps', 1], 10),
	cool: row('flat-hand', 'press-hold', 'press-hold', 0, ['seconds', 20], 10),
	cleanse: row('none', 'none', 'none', 0, ['seconds', 20], 1),
	close: row('flat-3', 'press-hold', 'stroke', 1, ['reps', 5], 3)
};

export const defaultMotion = (aim: Aim, places: number): Motion => AIM_DEFAULTS[aim][places > 1 ? 'way' : 'spot'];

const LIMIT = { reps: 1000, breaths: 1000, seconds: 3600 } as const;

/** The range that a dose has when only its target is said: three fifths to three halves of it (working values). */
export function rangeOf(kind: Dose['kind'], target: number): Dose {
	const least = kind === 'seconds' ? Math.max(0.1, Math.round(target * 6) / 10) : Math.max(1, Math.ceil(target * 0.6));
	const most = kind === 'seconds' ? Math.round(target * 15) / 10 : Math.ceil(target * 1.5);
	const max = Math.max(target, Math.min(LIMIT[kind], most));
	return { kind, min: Math.min(target, least), target, max };
}

/** A step as the aim alone would have it, on these places; without an id and a side. */
export function bareStep(aim: Aim, places: Step['places']): Omit<Step, 'id' | 'side'> {
	const { contact, pressure, dose, paceSeconds } = AIM_DEFAULTS[aim];
	return {
		aim,
		places,
		contact,
		motion: defaultMotion(aim, places.length),
		pressure,
		dose: rangeOf(...dose),
		paceSeconds,
		lanes: 1,
		reverse: false,
		end: { kind: 'none' },
		posture: 'neutral',
		mouth: 'closed',
		eyes: 'closed',
		breath: 'free',
		by: 'practitioner',
		optional: false,
		note: '',
		why: ''
	};
}
