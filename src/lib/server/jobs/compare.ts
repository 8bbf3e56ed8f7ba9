import { planOfSequence } from '../../core/flow/compile';
import {
	ComparisonInputSchema,
	MAX_COMPARED,
	type ComparisonInput,
	type ComparisonResult
} from '../../core/flow/comparison.schema';
import { inputNotes } from '../../core/flow/inputNotes';
import { PairedRun } from '../../core/flow/paired';
import { resultOf } from '../../core/flow/verdict';
import { SHARE_SAYS } from '../../core/flow/words';
import type { Sequence } from '../../core/sequence/sequence.schema';
import { CORE_VERSION } from '../../core/version';
import { WorkingSchema } from '../../core/working/working.schema';
import { problemsOf } from '../../formats/problem';
import { answerOf, problemAnswer, type Answer } from '../answer';
import { gradesOf, modelled, StartSchema, tooDear } from '../flowQuestion';
import { readBody, readPart, readSequence } from '../reading';

export interface CompareAnswer {
	readonly core: string;
	readonly says: string;
	readonly titles: readonly string[];
	readonly seed: number;
	/** What was put into the model and is no finding of it, where these sequences differ in it. */
	readonly notes: readonly string[];
	readonly result: ComparisonResult;
}

/** Draws between two looks whether anybody still waits. */
const SLICE = 20;

/** Runs sequences over many draws; what is there by then where nobody waits any more. */
export function comparisonOf(input: ComparisonInput, gone: () => boolean = () => false): CompareAnswer {
	const context = { working: input.working };
	const run = new PairedRun({
		...input,
		programmes: input.sequences.map((s) => planOfSequence(s, context).programme)
	});
	for (let done = 0; done < input.draws && !gone(); done += SLICE) run.advance(Math.min(SLICE, input.draws - done));
	return {
		core: CORE_VERSION,
		says: SHARE_SAYS,
		titles: input.sequences.map((s) => s.title),
		seed: input.seed,
		notes: inputNotes(input.sequences, input.working),
		result: resultOf(run.figures)
	};
}

/** Sequences over many draws: `{ sequences, start?, working?, zones?, draws?, seed? }`. */
export function compare(bytes: Uint8Array, gone: () => boolean): Answer {
	const body = readBody(bytes);
	if (!body.ok) return body.answer;
	const { sequences: files, start = 'morning', working: wish = {}, zones = [], draws = 1000, seed = 1 } = body.value;
	const list = Array.isArray(files) ? (files as unknown[]) : [];
	const sequences: Sequence[] = [];
	for (const [i, file] of list.slice(0, MAX_COMPARED + 1).entries()) {
		const read = readSequence(file, `sequences[${i}]`);
		if (!read.ok) return read.answer;
		sequences.push(read.value);
	}
	const working = readPart(WorkingSchema, wish, 'working', 'Not valid working values');
	if (!working.ok) return working.answer;
	const from = readPart(StartSchema, start, 'start', 'Not a valid start');
	if (!from.ok) return from.answer;
	const asked = { sequences, working: working.value, grades: gradesOf(from.value), zones, draws, seed };
	const input = ComparisonInputSchema.safeParse(asked);
	if (!input.success) {
		const errors = problemsOf(input.error);
		return problemAnswer(422, 'Not a valid question', errors[0]!.message, errors);
	}
	const dear = tooDear(input.data.sequences, input.data.working, input.data.draws);
	return dear ?? modelled(() => answerOf(comparisonOf(input.data, gone)));
}
