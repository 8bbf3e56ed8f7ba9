import { fillPath, type CheekRoute } from '../atlas/route';
import { isMidlinePlace } from '../atlas/midline';
import { withTarget } from '../step/dose';
import { DEFAULT_STEP } from '../step/defaultStep';
import type { Dose, Step, StepSide } from '../step/step.schema';
import { safeLevel } from '../pressure/caps';
import type { Level } from '../step/levels';
import { firmOnBothSides } from '../pressure/neck';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import type { School } from '../school/school.schema';
import type { PlaceRef } from '../atlas/places';
import { motionRow } from '../vocabulary/vocabulary';
import type { Technique } from './technique.schema';

const NECK_FIRM_LEVEL = DEFAULT_WORKING.neckFirmLevel;

export interface MakeStepOptions {
	readonly id: string;
	/** Absent: the technique's own most usual way. */
	readonly places?: readonly PlaceRef[];
	readonly cheekRoute?: CheekRoute;
	/** Given, its counts and caps are the defaults, and its cheek route. */
	readonly school?: School;
	/** Given, it wins over the technique's first side; null inside a block done side by side. */
	readonly side?: StepSide | null;
	readonly overrides?: Partial<Step>;
}

/** The side a technique begins with on these places. */
export function defaultSide(technique: Technique, places: readonly PlaceRef[]): StepSide {
	const wanted = technique.sides.find((s) => s !== 'midline' || places.every(isMidlinePlace)) ?? 'both';
	if (wanted === 'each') return { each: true, first: 'left' };
	if (wanted === 'alternate') return { alternate: true, first: 'left' };
	return wanted === 'midline' && !places.every(isMidlinePlace) ? 'both' : wanted;
}

/** The technique's dose, with the school's own count where it names one for the aim and the technique allows it. */
function doseIn(technique: Technique, school: School | undefined): Dose {
	const wish = school?.doses[technique.aim];
	if (wish === undefined || technique.dose.kind !== 'reps' || motionRow(technique.motion).opens) return technique.dose;
	const { min, max } = technique.dose;
	return wish >= min && wish <= max ? withTarget(technique.dose, wish) : technique.dose;
}

/** A school that strokes fluid at 2 gets 2 where the technique allows it; no school gets more than its caps. */
function levelIn(technique: Technique, step: Step, school: School | undefined): Level {
	const { default: usual, max } = technique.pressure;
	if (!school || usual === 0) return usual;
	const fluid = technique.aim === 'drain' && technique.contact !== 'tool';
	const wish = fluid ? Math.min(max, Math.max(usual, school.caps.fluid)) : usual;
	const level = safeLevel(step, step.places, wish as Level, school);
	// A default never presses both sides of the neck firmly.
	return level > 1 && firmOnBothSides({ ...step, pressure: level, levels: undefined }, NECK_FIRM_LEVEL) ? 1 : level;
}

/**
 * A step made from a technique: self-contained, its path filled over the graph. What is overridden is checked by the edit that
 * takes it in.
 */
export function makeStep(technique: Technique, options: MakeStepOptions): Step {
	const { id, school, cheekRoute = school?.cheekRoute ?? 'either', side, overrides = {} } = options;
	const wanted = options.places ?? technique.paths[0] ?? [];
	const places = technique.shape === 'stroke' ? fillPath(wanted, cheekRoute) : [...wanted];
	const { stationHold } = technique;
	const made: Record<string, unknown> = {
		...DEFAULT_STEP,
		id,
		techniqueId: technique.id,
		aim: technique.aim,
		target: technique.target,
		places,
		contact: technique.contact,
		tool: technique.tool,
		motion: technique.motion,
		pressure: overrides.levels ? undefined : technique.pressure.default,
		dose: doseIn(technique, school),
		paceSeconds: technique.paceSeconds,
		side: side === null ? undefined : (side ?? defaultSide(technique, places)),
		stations: stationHold && places.length > 1 ? { places, hold: stationHold } : undefined,
		lanes: technique.lanes,
		reverse: technique.reverse,
		until: technique.until,
		doseAt: technique.doseAt,
		parts: technique.parts,
		amplitudeMm: technique.amplitudeMm,
		end: { kind: technique.end },
		support: technique.support,
		posture: technique.posture,
		mouth: technique.mouth,
		eyes: technique.eyes,
		breath: technique.breath,
		by: technique.by,
		point: technique.point,
		why: technique.why,
		...overrides
	};
	const step = Object.fromEntries(Object.entries(made).filter(([, v]) => v !== undefined)) as unknown as Step;
	return overrides.pressure === undefined && overrides.levels === undefined
		? { ...step, pressure: levelIn(technique, step, school) }
		: step;
}
