import { fillPath, type CheekRoute } from '../sequence/route';
import { isMidlinePlace } from '../sequence/crossFieldChecks';
import { StepSchema, type Step, type StepSide } from '../sequence/sequence.schema';
import type { PlaceRef } from '../atlas/places';
import type { Technique } from './technique.schema';

export interface MakeStepOptions {
	readonly id: string;
	readonly places: readonly PlaceRef[];
	readonly cheekRoute?: CheekRoute;
	/** Given, it wins over the technique's first side; null inside a block done side by side. */
	readonly side?: StepSide | null;
	readonly overrides?: Partial<Step>;
}

/** The side a technique begins with on these places. */
export function defaultSide(technique: Technique, places: readonly PlaceRef[]): StepSide {
	const wanted = technique.sides.find((s) => s !== 'midline' || places.every(isMidlinePlace)) ?? 'both';
	if (wanted === 'each') return { each: true, first: 'left' };
	if (wanted === 'alternate') return { alternate: true, first: 'left' };
	return wanted;
}

/**
 * A step made from a technique: self-contained, its path filled over the graph.
 * @throws {ZodError} if the overrides do not fit the schema
 */
export function makeStep(technique: Technique, options: MakeStepOptions): Step {
	const { id, places, cheekRoute = 'either', side, overrides = {} } = options;
	const step: Record<string, unknown> = {
		id,
		techniqueId: technique.id,
		aim: technique.aim,
		target: technique.aim === 'cleanse' ? (technique.id === 'clean-hands' ? 'hands' : 'skin') : undefined,
		places: technique.shape === 'stroke' ? fillPath(places, cheekRoute) : [...places],
		contact: technique.contact,
		tool: technique.tool,
		motion: technique.motion,
		pressure: technique.pressure.default,
		dose: technique.dose,
		paceSeconds: technique.paceSeconds,
		side: side === null ? undefined : (side ?? defaultSide(technique, places)),
		posture: technique.posture,
		breath: technique.breath,
		by: technique.by,
		why: technique.why,
		...overrides
	};
	return StepSchema.parse(Object.fromEntries(Object.entries(step).filter(([, v]) => v !== undefined)));
}
