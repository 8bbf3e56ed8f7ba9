import { originOf, restingWhere, stepOfOrigin, type FlowPlan } from './compile';
import { Draws } from './draws';
import { facesOf, type Faces } from './faces';
import { LOOK_AFTER_SECONDS } from './outcomes';
import { both, isAlike } from './markGroups';
import { faceNetwork, twinOf } from './network';
import { WEIGHING_STEP_SECONDS } from './parameterTable';
import { gathered, type Programme, type ProgrammeOp } from './programme';
import type { Contest } from './share';
import type { StartGrades } from './starts';
import type { Spread } from './comparison.schema';
import { WORTH_DRAWS } from './worthDraws';
import { contestIn, spreadOf } from './verdict';

const WORTH_SEED = 1;

/** How much more is gone, ten minutes after the end, as it is than otherwise: over many faces. */
export interface Effect extends Contest {
	readonly ml: Spread;
	/** As a share of all fluid at the start. */
	readonly ofStart: Spread;
}
export interface StepEffect extends Effect {
	readonly stepId: string;
}
/** What is left lying otherwise: the place that holds most more at the end, its twin with it where both are alike. */
export interface Stays {
	/** Indexes in the face network: one, or left and right. */
	readonly places: readonly number[];
	/** In the middle of the faces, in each of them. */
	readonly ml: number;
	readonly ofStart: number;
}
export interface StepWorth {
	readonly stepId: string;
	readonly draws: number;
	/** With hands at rest for the same time instead of the step, its link included. */
	readonly without: Effect;
	readonly staysWithout: Stays | null;
	/** The same for its drain link alone; null without one. */
	readonly withoutLink: Effect | null;
	/** As it is, set against the step one place earlier, or later; null where it cannot be moved. */
	readonly earlier: Effect | null;
	readonly later: Effect | null;
}
/** What every step of a sequence is worth. */
export interface AllWorth {
	readonly draws: number;
	/** All fluid at the start, in the middle of the faces, ml. */
	readonly startMl: number;
	readonly steps: readonly StepEffect[];
	/** Of steps that open one after another, all of them left out at once. */
	readonly openings: readonly OpeningEffect[];
}
/** What an opening does as a whole. */
export interface OpeningEffect extends Effect {
	readonly stepIds: readonly string[];
}
export interface WorthInput {
	readonly plan: FlowPlan;
	readonly grades: StartGrades;
	readonly draws?: number;
}

/** Runs of ops of one step each, in playing order. */
function runsOf(programme: Programme): { step: number; ops: ProgrammeOp[] }[] {
	const runs: { step: number; ops: ProgrammeOp[] }[] = [];
	for (const op of programme) {
		const step = stepOfOrigin(op.origin);
		const last = runs.at(-1);
		if (last?.step === step) last.ops.push(op);
		else runs.push({ step, ops: [op] });
	}
	return runs;
}

/**
 * The programme with a step one place earlier. The seconds of its tool and its change of side go with it.
 * @returns null where the two are not done directly after one another, on every side
 */
export function earlier(programme: Programme, step: number): Programme | null {
	const runs = runsOf(programme);
	let swapped = 0;
	for (let i = 1; i < runs.length; i++) {
		if (runs[i]!.step !== step) continue;
		if (runs[i - 1]!.step !== step - 1) return null;
		[runs[i - 1], runs[i]] = [runs[i]!, runs[i - 1]!];
		swapped++;
	}
	return swapped > 0 ? runs.flatMap((r) => r.ops) : null;
}

/**
 * Looks at steps by leaving them out and by moving them, over many modelled faces. Work is handed out in pieces, a few
 * faces each: whoever runs it can tell how far it is, and stop.
 */
export class WorthRun {
	readonly #draws: number;
	readonly #faces: Faces;
	/** Of each face as the sequence is: what is gone at last, and all fluid at the start, ml. */
	readonly #gone: Float64Array;
	readonly #startMl: Float64Array;
	readonly #programme: Programme;

	/** @throws {RangeError} if a start or a parameter is out of its range, with its name */
	constructor(
		private readonly input: WorthInput,
		open: typeof facesOf = facesOf
	) {
		this.#programme = gathered(input.plan.programme, WEIGHING_STEP_SECONDS);
		this.#draws = input.draws ?? WORTH_DRAWS;
		this.#faces = open(faceNetwork(), WEIGHING_STEP_SECONDS);
		this.#gone = new Float64Array(this.#draws);
		this.#startMl = new Float64Array(this.#draws);
	}

	/** Every step left out; yields how many faces are done. What comes before a step is run once for all of them. */
	*all(): Generator<number, AllWorth> {
		const { stepIds } = this.input.plan;
		const programme = this.#programme;
		const firsts = stepIds.map((_, step) => programme.findIndex((op) => stepOfOrigin(op.origin) === step));
		const played = stepIds.map((_, step) => step).filter((step) => firsts[step]! >= 0);
		const inOrder = [...played].sort((a, b) => firsts[a]! - firsts[b]!);
		const rested = played.map((step) => restingWhere(programme, (origin) => stepOfOrigin(origin) === step));
		const otherwise = played.map(() => new Float64Array(this.#draws));
		const openings = this.input.plan.openings
			.map((all) => all.filter((step) => firsts[step]! >= 0))
			.filter((all) => all.length > 1);
		const closed = openings.map((all) => ({
			first: all.reduce((a, b) => (firsts[b]! < firsts[a]! ? b : a)),
			rested: restingWhere(programme, (origin) => all.includes(stepOfOrigin(origin))),
			gone: new Float64Array(this.#draws)
		}));
		const before = new Map<number, unknown>();
		const faces = this.#faces;
		for (const { at, count } of this.#groups()) {
			faces.reset();
			let op = 0;
			for (const step of inOrder) {
				faces.run(programme, op, firsts[step]!);
				op = firsts[step]!;
				before.set(step, faces.save());
			}
			faces.run(programme, op);
			this.#last(at, count, this.#gone);
			played.forEach((step, k) => {
				faces.restore(before.get(step));
				faces.run(rested[k]!, firsts[step]!);
				this.#last(at, count, otherwise[k]!);
			});
			for (const { first, rested: atRest, gone } of closed) {
				faces.restore(before.get(first));
				faces.run(atRest, firsts[first]!);
				this.#last(at, count, gone);
			}
			yield at + count;
		}
		const steps = played.map((step, k) => ({ stepId: stepIds[step]!, ...this.#effect(otherwise[k]!) }));
		return {
			draws: this.#draws,
			startMl: spreadOf(this.#startMl).median,
			steps,
			openings: openings.map((all, k) => ({
				stepIds: all.map((step) => stepIds[step]!),
				...this.#effect(closed[k]!.gone)
			}))
		};
	}

	/**
	 * One step left out, its link left out, and the step a place earlier and later; yields how many faces are done.
	 * @param number the step, from 0
	 */
	*one(number: number): Generator<number, StepWorth> {
		const { stepIds } = this.input.plan;
		const programme = this.#programme;
		const [work, link] = [originOf(number, 'work'), originOf(number, 'link')];
		const linked = programme.some((op) => op.origin === link);
		const ways = {
			without: restingWhere(programme, (origin) => origin === work || origin === link),
			withoutLink: linked ? restingWhere(programme, (origin) => origin === link) : null,
			earlier: earlier(programme, number),
			later: earlier(programme, number + 1)
		};
		const gone = Object.fromEntries(Object.keys(ways).map((way) => [way, new Float64Array(this.#draws)]));
		const { count: places } = faceNetwork();
		const more = new Float64Array(places * this.#draws);
		const [own, other] = [new Float64Array(places * this.#faces.width), new Float64Array(places)];
		const faces = this.#faces;
		for (const { at, count } of this.#groups()) {
			faces.reset();
			faces.run(programme);
			for (let f = 0; f < count; f++) faces.copyMl(f, own, f * places);
			this.#last(at, count, this.#gone);
			for (const [way, otherwise] of Object.entries(ways)) {
				if (!otherwise) continue;
				faces.reset();
				faces.run(otherwise);
				for (let f = 0; way === 'without' && f < count; f++) {
					faces.copyMl(f, other, 0);
					for (let i = 0; i < places; i++) more[i * this.#draws + at + f] = other[i]! - own[f * places + i]!;
				}
				this.#last(at, count, gone[way]!);
			}
			yield at + count;
		}
		const effect = (way: keyof typeof ways) => (ways[way] ? this.#effect(gone[way]!) : null);
		return {
			stepId: stepIds[number]!,
			draws: this.#draws,
			without: effect('without')!,
			staysWithout: this.#stays(more),
			withoutLink: effect('withoutLink'),
			earlier: effect('earlier'),
			later: effect('later')
		};
	}

	/** Loads the faces a few at a time: those from `at` on, `count` of them. */
	*#groups(): Generator<{ at: number; count: number }> {
		const draws = new Draws(faceNetwork(), WORTH_SEED);
		const { grades } = this.input;
		for (let at = 0; at < this.#draws; at += this.#faces.width) {
			const count = Math.min(this.#faces.width, this.#draws - at);
			for (let f = 0; f < count; f++) {
				const { parameters, jitter } = draws.next();
				this.#faces.load(f, parameters, jitter, (zone) => grades[zone]!);
			}
			this.#faces.reset();
			for (let f = 0; f < count; f++) this.#startMl[at + f] = this.#faces.sumMl(f, null);
			yield { at, count };
		}
	}

	/** Lets ten minutes pass and writes down what is gone. */
	#last(at: number, count: number, into: Float64Array): void {
		this.#faces.rest(LOOK_AFTER_SECONDS);
		for (let f = 0; f < count; f++) into[at + f] = this.#faces.veinMl(f) - this.#faces.filteredMl(f);
	}

	#effect(otherwise: Float64Array): Effect {
		const ml = this.#gone.map((x, i) => x - otherwise[i]!);
		const ofStart = ml.map((x, i) => x / this.#startMl[i]!);
		return { ml: spreadOf(ml), ofStart: spreadOf(ofStart), ...contestIn(ml, this.#startMl) };
	}

	#stays(more: Float64Array): Stays | null {
		const { count } = faceNetwork();
		const middle = (i: number) => spreadOf(more.subarray(i * this.#draws, (i + 1) * this.#draws)).median;
		const middles = Array.from({ length: count }, (_, i) => middle(i));
		const most = middles.indexOf(Math.max(...middles));
		const ml = middles[most]!;
		if (!(ml > 0)) return null;
		const twin = twinOf(most);
		return {
			places: isAlike(middles[twin]!, ml) ? both(most, twin) : [most],
			ml,
			ofStart: ml / spreadOf(this.#startMl).median
		};
	}
}
