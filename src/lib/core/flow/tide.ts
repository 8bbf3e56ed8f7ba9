import { stepOfOrigin, type FlowPlan, type LeftOut } from './compile';
import { FlowEngine } from './engine';
import { LOOK_AFTER_SECONDS } from './outcomes';
import { faceNetwork } from './network';
import { DEFAULT_FLOW, FINE_STEP_SECONDS, type FlowParameters } from './parameterTable';
import type { ProgrammeOp } from './programme';
import type { StartGrades } from './starts';
import { isFaceZone } from './where';

/** Shortest time between two looks at the state, seconds, and most looks of one run. */
const LOOK_EVERY_SECONDS = 1.5;
const MAX_LOOKS = 1500;
/** Less fluid than this is not spoken of, ml (working value). */
export const WORTH_A_WORD_ML = 0.05;

/** Where all the fluid is, ml. The four of `now` and nothing else make up what was there and what came in. */
export interface Balance {
	readonly faceMl: number;
	/** Neck and chest. */
	readonly neckMl: number;
	readonly nodesMl: number;
	/** Gone for good, back in the veins. */
	readonly returnedMl: number;
}
export const BALANCE_PARTS = ['faceMl', 'neckMl', 'nodesMl', 'returnedMl'] as const satisfies (keyof Balance)[];

/** Fluid that did not get where the hand wanted it. */
export interface TideMark {
	/** `dammed`: a place took no more; `stranded`: set down in a zone and never carried on. */
	readonly kind: 'dammed' | 'stranded';
	readonly stepId: string;
	/** Index of the place in the face network. */
	readonly place: number;
	readonly ml: number;
	/** When the step did it, seconds. */
	readonly atSeconds: number;
}

/** A run of one sequence, looked at again and again. Row i of each table belongs to `times[i]`. */
export interface Tide {
	readonly times: Float64Array;
	/** Modelled puffiness grade, a row of all zones. */
	readonly grades: Float32Array;
	/** Content of the node groups as a share of what they can hold, and their openness above rest, 0..1. */
	readonly fill: Float32Array;
	readonly open: Float32Array;
	/** Rows of BALANCE_PARTS, ml. */
	readonly balance: Float64Array;
	readonly startMl: number;
	/** Filtered in until the end, ml. */
	readonly filteredMl: number;
	readonly seconds: number;
	/** What is gone from all compartments at the end, and ten minutes later, ml. */
	readonly reliefMl: number;
	readonly lastingReliefMl: number;
	readonly marks: readonly TideMark[];
	readonly leftOut: readonly LeftOut[];
}

/** Remembers where strokes set fluid down, and what would not go in. */
class Marker {
	readonly #dammed = new Map<string, { stepId: string; place: number; ml: number; atSeconds: number }>();
	readonly #set = new Map<
		string,
		{ stepId: string; place: number; before: number; after: number; atSeconds: number }
	>();
	readonly #ways = new Map<number, readonly number[]>();
	/** What was dammed, and where the fluid was, before the last repetition. */
	readonly #dammedBefore: Float64Array;
	readonly #before: Float64Array;

	constructor(
		private readonly engine: FlowEngine,
		private readonly plan: FlowPlan
	) {
		this.#dammedBefore = engine.dammedAtMl.slice();
		this.#before = engine.ml.slice();
	}

	/** To be called after every repetition. */
	after(op: number): void {
		const { dammedAtMl, ml } = this.engine;
		const stepNumber = stepOfOrigin(this.plan.programme[op]!.origin);
		const stepId = this.plan.stepIds[stepNumber]!;
		const atSeconds = this.plan.opStarts[op]!;
		for (let i = 0; i < dammedAtMl.length; i++) {
			const more = dammedAtMl[i]! - this.#dammedBefore[i]!;
			if (more <= 0) continue;
			this.#dammedBefore[i] = dammedAtMl[i]!;
			const key = `${stepNumber} ${i}`;
			const known = this.#dammed.get(key);
			if (known) known.ml += more;
			else this.#dammed.set(key, { stepId, place: i, ml: more, atSeconds });
		}
		for (const place of this.#zonesOf(op)) {
			const key = `${stepNumber} ${place}`;
			const known = this.#set.get(key);
			if (known) known.after = Math.max(known.after, ml[place]!);
			else this.#set.set(key, { stepId, place, before: this.#before[place]!, after: ml[place]!, atSeconds });
		}
		this.#before.set(ml);
	}

	/** The zones on the way of an op: worked out once, asked after each of its repetitions. */
	#zonesOf(op: number): readonly number[] {
		const zones = this.#ways.get(op) ?? zonesOnWay(this.plan.programme[op]!, this.engine.network.zoneCount);
		this.#ways.set(op, zones);
		return zones;
	}

	/** What is worth a word, the most first. A zone tells how much more it holds at the end than before the step. */
	marks(): TideMark[] {
		const stranded = [...this.#set.values()].map(({ stepId, place, before, after, atSeconds }): TideMark => {
			const ml = Math.min(after, this.engine.ml[place]!) - before;
			return { kind: 'stranded', stepId, place, ml, atSeconds };
		});
		const dammed = [...this.#dammed.values()].map((d): TideMark => ({ kind: 'dammed', ...d }));
		return [...stranded, ...dammed].filter((m) => m.ml >= WORTH_A_WORD_ML).sort((a, b) => b.ml - a.ml);
	}
}

/** Zones over which the strokes of an op lead: fluid may be piled up before their end, too. */
const zonesOnWay = (op: ProgrammeOp, zoneCount: number): number[] =>
	op.technique === 'stroke' ? [...new Set(op.paths.flatMap((p) => [...p.places]))].filter((i) => i < zoneCount) : [];

/**
 * Runs a plan and keeps what is looked at.
 * @param grades the start: grade of every zone of the face network
 * @throws {RangeError} if a start or a parameter is out of its range, with its name
 */
export function tideOf(plan: FlowPlan, grades: StartGrades, parameters: FlowParameters = DEFAULT_FLOW): Tide {
	const engine = new FlowEngine(faceNetwork(), FINE_STEP_SECONDS);
	engine.setParameters(parameters);
	engine.prepare((zone) => grades[zone]!);
	const { zoneCount, nodeCount } = engine.network;
	const every = Math.max(LOOK_EVERY_SECONDS, plan.seconds / (MAX_LOOKS - 2));
	const rows = Math.min(MAX_LOOKS, plan.programme.reduce((sum, op) => sum + op.reps, 0) + 2);
	const out = {
		times: new Float64Array(rows),
		grades: new Float32Array(rows * zoneCount),
		fill: new Float32Array(rows * nodeCount),
		open: new Float32Array(rows * nodeCount),
		balance: new Float64Array(rows * BALANCE_PARTS.length)
	};
	const face = Array.from({ length: zoneCount }, (_, i) => isFaceZone(i));
	let row = 0;
	const look = () => {
		out.times[row] = engine.seconds;
		let [faceMl, neckMl, nodesMl] = [0, 0, 0];
		for (let i = 0; i < zoneCount; i++) {
			out.grades[row * zoneCount + i] = engine.gradeAtMl(i, engine.ml[i]!);
			if (face[i]) faceMl += engine.ml[i]!;
			else neckMl += engine.ml[i]!;
		}
		for (let j = 0; j < nodeCount; j++) {
			const content = engine.ml[zoneCount + j]!;
			nodesMl += content;
			out.fill[row * nodeCount + j] = content / engine.ceilingMl[zoneCount + j]!;
			out.open[row * nodeCount + j] = (engine.open[j]! - parameters.g0) / (1 - parameters.g0);
		}
		out.balance.set([faceMl, neckMl, nodesMl, engine.veinMl], row * BALANCE_PARTS.length);
		row++;
	};
	const startMl = engine.totalMl();
	const marker = new Marker(engine, plan);
	look();
	let looked = 0;
	engine.run(plan.programme, (op) => {
		marker.after(op);
		if (row >= rows - 1 || engine.seconds - looked < every) return;
		looked = engine.seconds;
		look();
	});
	if (out.times[row - 1]! < engine.seconds) look();
	const marks = marker.marks();
	const { seconds, filteredMl, reliefMl } = engine;
	engine.rest(LOOK_AFTER_SECONDS);
	return {
		times: out.times.slice(0, row),
		grades: out.grades.slice(0, row * zoneCount),
		fill: out.fill.slice(0, row * nodeCount),
		open: out.open.slice(0, row * nodeCount),
		balance: out.balance.slice(0, row * BALANCE_PARTS.length),
		startMl,
		filteredMl,
		seconds,
		reliefMl,
		lastingReliefMl: engine.reliefMl,
		marks,
		leftOut: plan.leftOut
	};
}

/** Row of the last look at or before a moment, and how far it is to the next, 0..1. */
export function rowAt({ times }: Pick<Tide, 'times'>, seconds: number): { row: number; share: number } {
	let low = 0;
	let high = times.length - 1;
	while (low < high) {
		const mid = (low + high + 1) >> 1;
		if (times[mid]! <= seconds) low = mid;
		else high = mid - 1;
	}
	const next = times[low + 1];
	const share = next === undefined ? 0 : (seconds - times[low]!) / (next - times[low]!);
	return { row: low, share: Math.min(1, Math.max(0, share)) };
}

/** A value of a table between two looks, evenly in between. */
export function valueAt(
	table: ArrayLike<number>,
	width: number,
	column: number,
	{ row, share }: { row: number; share: number }
): number {
	const here = table[row * width + column]!;
	const next = table[(row + 1) * width + column];
	return next === undefined || share === 0 ? here : here + share * (next - here);
}

/** Where all the fluid is at a moment. It adds up to the start and what was filtered in until then. */
export function balanceAt(tide: Tide, seconds: number): Balance {
	const at = rowAt(tide, seconds);
	const [faceMl, neckMl, nodesMl, returnedMl] = BALANCE_PARTS.map((_, i) =>
		valueAt(tide.balance, BALANCE_PARTS.length, i, at)
	) as [number, number, number, number];
	return { faceMl, neckMl, nodesMl, returnedMl };
}
