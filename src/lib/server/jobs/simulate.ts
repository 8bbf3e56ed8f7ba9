import { planOfSequence } from '../../core/flow/compile';
import { faceNetwork } from '../../core/flow/network';
import { FlowParametersSchema } from '../../core/flow/parameters.schema';
import type { FlowParameters } from '../../core/flow/parameterTable';
import { tideOf, type TideMark } from '../../core/flow/tide';
import { leftOutWords, markWords, MODEL_SAYS } from '../../core/flow/words';
import type { Sequence } from '../../core/sequence/sequence.schema';
import { CORE_VERSION } from '../../core/version';
import { WorkingSchema, type Working } from '../../core/working/working.schema';
import { answerOf, type Answer } from '../answer';
import { gradesOf, modelled, StartSchema, tooDear } from '../flowQuestion';
import { readBody, readPart, readSequence } from '../reading';

interface SimulateInput {
	readonly sequence: Sequence;
	readonly working: Working;
	readonly grades: readonly number[];
	readonly parameters: FlowParameters;
}
/** A run as the server tells it: rows of looks at the state, and what happened. */
export interface SimulateAnswer {
	readonly core: string;
	readonly says: string;
	/** Names of the columns of `grades`, and of `fill` and `open`. */
	readonly zones: readonly string[];
	readonly nodes: readonly string[];
	readonly times: readonly number[];
	/** Modelled puffiness grade; content of node groups as a share; openness above rest, 0..1. */
	readonly grades: readonly number[][];
	readonly fill: readonly number[][];
	readonly open: readonly number[][];
	/** Rows of face, neck and chest, node groups, returned; ml. */
	readonly balance: readonly number[][];
	readonly startMl: number;
	readonly filteredMl: number;
	readonly reliefMl: number;
	readonly lastingReliefMl: number;
	readonly marks: readonly (Omit<TideMark, 'place'> & { readonly place: string; readonly words: string })[];
	readonly leftOut: readonly { readonly stepId: string; readonly reason: string; readonly words: string }[];
}

const rowsOf = (table: ArrayLike<number>, width: number): number[][] =>
	Array.from({ length: table.length / width }, (_, row) =>
		Array.from({ length: width }, (__, column) => table[row * width + column]!)
	);

/** Runs one sequence. @throws {RangeError} as `tideOf` */
function answerTo({ sequence, working, grades, parameters }: SimulateInput): SimulateAnswer {
	const { ids, zoneCount, nodeCount } = faceNetwork();
	const tide = tideOf(planOfSequence(sequence, { working }), grades, parameters);
	return {
		core: CORE_VERSION,
		says: MODEL_SAYS,
		zones: ids.slice(0, zoneCount),
		nodes: ids.slice(zoneCount),
		times: [...tide.times],
		grades: rowsOf(tide.grades, zoneCount),
		fill: rowsOf(tide.fill, nodeCount),
		open: rowsOf(tide.open, nodeCount),
		balance: rowsOf(tide.balance, tide.balance.length / tide.times.length),
		startMl: tide.startMl,
		filteredMl: tide.filteredMl,
		reliefMl: tide.reliefMl,
		lastingReliefMl: tide.lastingReliefMl,
		marks: tide.marks.map((m) => ({ ...m, place: ids[m.place]!, words: markWords({ ...m, places: [m.place] }) })),
		leftOut: tide.leftOut.map((l) => ({ stepId: l.stepId, reason: l.reason, words: leftOutWords(l) }))
	};
}

/** The tide of one sequence: `{ sequence, start?, working?, parameters? }`. */
export function simulate(bytes: Uint8Array): Answer {
	const body = readBody(bytes);
	if (!body.ok) return body.answer;
	const { sequence: file, start = 'morning', working: wish = {}, parameters: chosen = {} } = body.value;
	const sequence = readSequence(file, 'sequence');
	if (!sequence.ok) return sequence.answer;
	const working = readPart(WorkingSchema, wish, 'working', 'Not valid working values');
	if (!working.ok) return working.answer;
	const from = readPart(StartSchema, start, 'start', 'Not a valid start');
	if (!from.ok) return from.answer;
	const parameters = readPart(FlowParametersSchema, chosen, 'parameters', 'Not valid parameters');
	if (!parameters.ok) return parameters.answer;
	const dear = tooDear([sequence.value], working.value, 1);
	if (dear) return dear;
	const input = {
		sequence: sequence.value,
		working: working.value,
		grades: gradesOf(from.value),
		parameters: parameters.value
	};
	return modelled(() => answerOf(answerTo(input)));
}
