import { NOT_ADJACENT, type FlowNetwork } from './network';

/** What the model knows to do with a hand. */
export type FlowTechnique = 'stroke' | 'pump' | 'hold' | 'tap' | 'rub' | 'cold' | 'rest';

/** A stretch of equal repetitions, in the words of the model. */
export interface ProgrammeStep {
	readonly technique: FlowTechnique;
	/** Paths of compartment ids, run one after the other in each repetition: left, then right. Empty for a rest. */
	readonly paths: readonly (readonly string[])[];
	/** Pressure level 0..4: one for the whole path, or one an element. */
	readonly levels: number | readonly number[];
	readonly reps: number;
	/** Seconds of one repetition, >= 0. */
	readonly seconds: number;
	/** The client breathes deeply. */
	readonly deep?: boolean;
	/** Index of whatever the caller wants to find again. */
	readonly origin?: number;
}

/** A path looked up once: compartments, their levels, and how each element lies to the one before. */
export interface CompiledPath {
	readonly places: Int32Array;
	readonly levels: Int8Array;
	readonly alignments: Int8Array;
}
export interface ProgrammeOp {
	readonly technique: FlowTechnique;
	readonly paths: readonly CompiledPath[];
	readonly reps: number;
	readonly seconds: number;
	readonly deep: boolean;
	readonly origin: number;
}
export type Programme = readonly ProgrammeOp[];

/** Longest programme that is run, repetitions: more is refused before it begins. */
export const MAX_PROGRAMME_REPS = 200_000;

/** What a programme asks that the model cannot do, with the place. */
export class ProgrammeError extends RangeError {
	override name = 'ProgrammeError';
}
/** @throws {RangeError} for a path that the network does not hold */
function compilePath(
	network: FlowNetwork,
	technique: FlowTechnique,
	path: readonly string[],
	levels: ProgrammeStep['levels']
): CompiledPath {
	const places = new Int32Array(path.length);
	const alignments = new Int8Array(path.length);
	const level = new Int8Array(path.length);
	path.forEach((id, i) => {
		const index = network.indexOf.get(id);
		if (index === undefined) throw new ProgrammeError(`unknown place: ${id}`);
		if (technique === 'pump' && index < network.zoneCount)
			throw new ProgrammeError(`only node groups can be pumped: ${id}`);
		const p = typeof levels === 'number' ? levels : levels[i];
		if (p === undefined || !Number.isInteger(p) || p < 0 || p > 4)
			throw new ProgrammeError(`pressure level of ${id} is not one of 0..4: ${p}`);
		places[i] = index;
		level[i] = p;
		if (technique !== 'stroke' || i === 0) return;
		const alignment = network.alignment[places[i - 1]! * network.count + index]!;
		if (alignment === NOT_ADJACENT) throw new ProgrammeError(`not adjacent: ${path[i - 1]} -> ${id}`);
		alignments[i] = alignment;
	});
	return { places, levels: level, alignments };
}

/**
 * Looks a programme up in a network, once for all runs.
 * @throws {ProgrammeError} if a name is unknown, two elements of a stroke do not touch, a zone is pumped, or a level,
 * a count or a time is out of its range; the message names it
 */
export function compileProgramme(network: FlowNetwork, steps: readonly ProgrammeStep[]): Programme {
	let total = 0;
	return steps.map((step) => {
		const { technique, reps, seconds } = step;
		if (!(Number.isInteger(reps) && reps >= 0)) throw new ProgrammeError(`repetitions are not a whole number: ${reps}`);
		if (!(seconds >= 0 && seconds <= 36_000)) throw new ProgrammeError(`seconds out of range 0..36000: ${seconds}`);
		total += reps;
		if (total > MAX_PROGRAMME_REPS)
			throw new ProgrammeError(`more than ${MAX_PROGRAMME_REPS} repetitions: split the sequence`);
		return {
			technique,
			paths: step.paths.map((path) => compilePath(network, technique, path, step.levels)),
			reps,
			seconds,
			deep: step.deep ?? false,
			origin: step.origin ?? -1
		};
	});
}

/**
 * The same programme with short repetitions done in a row and their time together after them: fewer passive steps, for
 * weighing steps against one another. Figures that are shown as such come from the programme as it is.
 * @param longestSeconds most seconds that come together
 */
export function gathered(programme: Programme, longestSeconds: number): Programme {
	return programme.flatMap((op) => {
		const { reps, seconds } = op;
		const together = seconds > 0 ? Math.max(1, Math.floor(longestSeconds / seconds)) : 1;
		if (together < 2 || reps < 2) return [op];
		const out: ProgrammeOp[] = [];
		for (let left = reps; left > 0; left -= together) {
			const some = Math.min(left, together);
			if (op.technique !== 'rest') out.push({ ...op, reps: some, seconds: 0 });
			out.push({ ...op, technique: 'rest', paths: [], reps: 1, seconds: some * seconds });
		}
		return out;
	});
}

/** Seconds of a programme. */
export const programmeSeconds = (programme: Programme): number =>
	programme.reduce((sum, op) => sum + op.reps * op.seconds, 0);
