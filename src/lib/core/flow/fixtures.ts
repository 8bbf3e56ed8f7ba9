import { isZone, type Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import type { GraphJitter } from './coefficients';
import { FlowEngine } from './engine';
import programmes from './fixtures/programmes.json' with { type: 'json' };
import { faceNetwork } from './network';
import { DEFAULT_FLOW, FINE_STEP_SECONDS, type FlowParameters } from './parameterTable';
import { compileProgramme, type FlowTechnique, type Programme, type ProgrammeStep } from './programme';

/** The worked programmes of the model's tests, read from their file: its names of sides are mapped here, once. */
interface RawStep {
	readonly tech: FlowTechnique;
	readonly path?: readonly string[];
	readonly reps: number;
	readonly sec: number;
	readonly p?: number;
	readonly side?: string;
	readonly breath?: string;
}
export type ProgrammeName = keyof typeof programmes.programmes;
export const PROGRAMME_NAMES = Object.keys(programmes.programmes) as ProgrammeName[];
export const EXPECTED = programmes.programmes as unknown as Record<
	ProgrammeName,
	{ readonly steps: readonly RawStep[]; readonly R8: number; readonly R18: number; readonly vein: number }
>;
/** Grades of the start, by zone, the same on both sides. */
export const START: Partial<Record<ZoneId, number>> = programmes.start;

const SIDES_OF: Record<string, readonly Side[]> = { both: ['left', 'right'], L: ['left'], R: ['right'] };
/** A step of the file in the words of the model; a zone may be written with or without `z:`. */
export function stepOf(raw: RawStep): ProgrammeStep {
	const path = raw.path ?? [];
	return {
		technique: raw.tech,
		paths: path.length
			? (SIDES_OF[raw.side ?? ''] ?? SIDES_OF.both!).map((side) => path.map((id) => `${id.replace(/^z:/, '')}:${side}`))
			: [],
		levels: raw.p ?? 1,
		reps: raw.reps,
		seconds: raw.sec,
		deep: raw.breath === 'deep'
	};
}
export const programmeOf = (name: ProgrammeName): Programme =>
	compileProgramme(faceNetwork(), EXPECTED[name].steps.map(stepOf));

/** Grade of a compartment of the face at the start of the worked programmes. */
export function startGrade(zone: number): number {
	const [place] = faceNetwork().ids[zone]!.split(':');
	return (isZone(place as ZoneId) && START[place as ZoneId]) || 0;
}
export const REST_600 = compileProgramme(faceNetwork(), [
	{ technique: 'rest', paths: [], levels: 1, reps: 300, seconds: 2 }
]);

/** An engine of the face, prepared from the worked start. */
export function faceEngine(
	parameters: Partial<FlowParameters> = {},
	{
		jitter,
		step = FINE_STEP_SECONDS,
		grades = startGrade
	}: { jitter?: GraphJitter; step?: number; grades?: (zone: number) => number } = {}
): FlowEngine {
	const engine = new FlowEngine(faceNetwork(), step);
	engine.setParameters({ ...DEFAULT_FLOW, ...parameters }, jitter);
	engine.prepare(grades);
	return engine;
}
/** Relief: what is gone from all compartments together, ml. */
export const reliefMl = (engine: FlowEngine): number => engine.reliefMl;
