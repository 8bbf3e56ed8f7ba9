import { z } from 'zod';
import { isZone, type Side } from '../core/atlas/places';
import type { ZoneId } from '../core/atlas/zones';
import { ComparisonInputSchema } from '../core/flow/comparison.schema';
import { faceIndex, faceNetwork } from '../core/flow/network';
import { FlowParametersSchema } from '../core/flow/parameters.schema';
import { gradesOfStart, START_IDS, type StartId } from '../core/flow/starts';
import { secondsOf } from '../core/sequence/expand';
import type { Sequence } from '../core/sequence/sequence.schema';
import { ZONES } from '../core/atlas/zones';
import { WorkingSchema, type Working } from '../core/working/working.schema';
import { problemsOf } from '../formats/problem';
import type { JobPool } from './jobPool';
import { jobPool } from './jobPool';
import { problemResponse } from './problemDetails';
import { readBody, readPart, readSequence } from './reading';

/** Most work for one question: modelled seconds over all sequences and draws. About ten seconds of one core. */
export const MAX_MODELLED_SECONDS = 16_000_000;
/** What the model runs on after the end of each sequence, seconds. */
const AFTER_SECONDS = 600;

/** A start: one that is made up by name, or grades by zone and side. */
const StartSchema = z.union([
	z.enum(START_IDS as [StartId, ...StartId[]]),
	z
		.array(
			z.strictObject({
				zone: z.string().refine((id): id is ZoneId => Object.hasOwn(ZONES, id) && isZone(id as ZoneId), 'no such zone'),
				side: z.enum(['left', 'right']),
				grade: z.number().min(0).max(4)
			})
		)
		.max(2 * Object.keys(ZONES).length)
]);

function gradesOf(start: z.infer<typeof StartSchema>): number[] {
	if (typeof start === 'string') return [...gradesOfStart(start)];
	const grades = new Array<number>(faceNetwork().zoneCount).fill(0);
	for (const { zone, side, grade } of start) grades[faceIndex(zone, side as Side)] = grade;
	return grades;
}

const secondsIn = (sequence: Sequence, working: Working): number => secondsOf(sequence, { working }, 'target').total;

/** Refuses what would take too long, with its cost. */
function tooDear(sequences: readonly Sequence[], working: Working, draws: number): Response | null {
	const each = Math.max(...sequences.map((s) => secondsIn(s, working))) + AFTER_SECONDS;
	const cost = Math.round(each * sequences.length * draws);
	if (cost <= MAX_MODELLED_SECONDS) return null;
	const words = `${sequences.length} × ${Math.round(each)} s × ${draws} draws are ${cost.toLocaleString('en')} modelled seconds; at most ${MAX_MODELLED_SECONDS.toLocaleString('en')} are run. Ask for fewer draws, or for shorter or fewer sequences.`;
	return problemResponse(422, 'Too much work', words, [{ path: 'draws', message: words, remedy: 'Ask for less.' }]);
}

const isRange = (error: unknown): boolean =>
	error instanceof Error && (error.name === 'RangeError' || error.name === 'ProgrammeError');

async function answered<T>(ask: () => Promise<T>): Promise<T | Response> {
	try {
		return await ask();
	} catch (error) {
		const message = error instanceof Error ? error.message : String(error);
		if (error instanceof Error && error.name === 'PoolBusy') return problemResponse(503, 'Busy', message);
		if (error instanceof Error && error.name === 'PoolTimeout') return problemResponse(504, 'Took too long', message);
		if (isRange(error)) return problemResponse(422, 'Not possible in the model', message);
		throw error;
	}
}

/** The tide of one sequence: `{ sequence, start?, working?, parameters? }`. */
export async function simulate(request: Request, pool: JobPool = jobPool()): Promise<object> {
	const body = await readBody(request);
	if (!body.ok) return body.response;
	const { sequence: file, start = 'morning', working: wish = {}, parameters: chosen = {} } = body.value;
	const sequence = readSequence(file, 'sequence');
	if (!sequence.ok) return sequence.response;
	const working = readPart(WorkingSchema, wish, 'working', 'Not valid working values');
	if (!working.ok) return working.response;
	const from = readPart(StartSchema, start, 'start', 'Not a valid start');
	if (!from.ok) return from.response;
	const parameters = readPart(FlowParametersSchema, chosen, 'parameters', 'Not valid parameters');
	if (!parameters.ok) return parameters.response;
	const dear = tooDear([sequence.value], working.value, 1);
	if (dear) return dear;
	const input = {
		sequence: sequence.value,
		working: working.value,
		grades: gradesOf(from.value),
		parameters: parameters.value
	};
	return answered(() => pool.ask('simulate', input));
}

/** Sequences over many draws: `{ sequences, start?, working?, zones?, draws?, seed? }`. */
export async function compare(request: Request, pool: JobPool = jobPool()): Promise<object> {
	const body = await readBody(request);
	if (!body.ok) return body.response;
	const { sequences: files, start = 'morning', working: wish = {}, zones = [], draws = 1000, seed = 1 } = body.value;
	const list = Array.isArray(files) ? (files as unknown[]) : [];
	const sequences: Sequence[] = [];
	for (const [i, file] of list.entries()) {
		const read = readSequence(file, `sequences[${i}]`);
		if (!read.ok) return read.response;
		sequences.push(read.value);
	}
	const working = readPart(WorkingSchema, wish, 'working', 'Not valid working values');
	if (!working.ok) return working.response;
	const from = readPart(StartSchema, start, 'start', 'Not a valid start');
	if (!from.ok) return from.response;
	const asked = { sequences, working: working.value, grades: gradesOf(from.value), zones, draws, seed };
	const input = ComparisonInputSchema.safeParse(asked);
	if (!input.success) {
		const errors = problemsOf(input.error);
		return problemResponse(422, 'Not a valid question', errors[0]!.message, errors);
	}
	const dear = tooDear(input.data.sequences, input.data.working, input.data.draws);
	if (dear) return dear;
	return answered(() => pool.ask('compare', input.data));
}
