import type { ZoneId } from '../atlas/zones';
import { Draws } from './draws';
import { FlowEngine } from './engine';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import { LOOK_AFTER_SECONDS, outcomeMl, zonesOfOutcome } from './outcomes';
import { faceNetwork } from './network';
import { COARSE_STEP_SECONDS, FLOW_PARAMETER_NAMES, MAX_DRAWS, type FlowParameterName } from './parameterTable';
import { programmeSeconds, type Programme } from './programme';

export interface PairedInput {
	/** Two or more programmes on the network of the face. */
	readonly programmes: readonly Programme[];
	/** Puffiness grade of each zone of the network at the start, 0..4. */
	readonly grades: ArrayLike<number>;
	readonly draws: number;
	readonly seed: number;
	readonly zones?: readonly ZoneId[];
	/** Longest passive step, seconds. */
	readonly stepSeconds?: number;
	/** Seconds from the end of the longest programme to the look. */
	readonly lookAfterSeconds?: number;
}

/** What each draw gave: of each outcome, for each programme, the fall in ml. */
export interface PairedFigures {
	readonly draws: number;
	/** All fluid at the start, ml. */
	readonly startMl: Float64Array;
	/** Fluid of each outcome at the start, ml. */
	readonly outcomeStartMl: Readonly<Record<OutcomeId, Float64Array>>;
	readonly fallMl: Readonly<Record<OutcomeId, readonly Float64Array[]>>;
	readonly parameters: Readonly<Record<FlowParameterName, Float64Array>>;
}

/**
 * Runs programmes over many faces that could be, all programmes on the same face each time. Work is done draw by
 * draw, so that whoever runs it can tell how far it is, and stop.
 */
export class PairedRun {
	readonly figures: PairedFigures;
	done = 0;
	readonly #engine: FlowEngine;
	readonly #draws: Draws;
	readonly #rests: readonly number[];
	readonly #zones: readonly (Int32Array | null)[];

	/** @throws {RangeError} if there is nothing to compare, or the number of draws is out of 1..10000 */
	constructor(readonly input: PairedInput) {
		const { programmes, draws, seed, zones, stepSeconds = COARSE_STEP_SECONDS } = input;
		if (!programmes.length) throw new RangeError('at least one sequence is needed to run draws');
		if (!(Number.isInteger(draws) && draws >= 1 && draws <= MAX_DRAWS))
			throw new RangeError(`draws out of range 1..${MAX_DRAWS}: ${draws}`);
		this.#engine = new FlowEngine(faceNetwork(), stepSeconds);
		this.#draws = new Draws(faceNetwork(), seed);
		const seconds = programmes.map(programmeSeconds);
		const look = Math.max(...seconds) + (input.lookAfterSeconds ?? LOOK_AFTER_SECONDS);
		this.#rests = seconds.map((s) => look - s);
		this.#zones = OUTCOME_IDS.map((m) => zonesOfOutcome(m, zones));
		const column = () => new Float64Array(draws);
		this.figures = {
			draws,
			startMl: column(),
			outcomeStartMl: Object.fromEntries(OUTCOME_IDS.map((m) => [m, column()])) as Record<OutcomeId, Float64Array>,
			fallMl: Object.fromEntries(OUTCOME_IDS.map((m) => [m, programmes.map(column)])) as Record<
				OutcomeId,
				Float64Array[]
			>,
			parameters: Object.fromEntries(FLOW_PARAMETER_NAMES.map((n) => [n, column()])) as Record<
				FlowParameterName,
				Float64Array
			>
		};
	}

	/** Does so many draws more; false once all are done. */
	advance(draws: number): boolean {
		const end = Math.min(this.input.draws, this.done + draws);
		while (this.done < end) this.#one(this.done++);
		return this.done < this.input.draws;
	}

	#one(at: number): void {
		const { programmes, grades } = this.input;
		const { startMl, outcomeStartMl, fallMl, parameters: columns } = this.figures;
		const engine = this.#engine;
		const { parameters, jitter } = this.#draws.next();
		for (const name of FLOW_PARAMETER_NAMES) columns[name][at] = parameters[name];
		engine.setParameters(parameters, jitter);
		engine.prepare((zone) => grades[zone]!);
		startMl[at] = engine.totalMl();
		OUTCOME_IDS.forEach((m, k) => (outcomeStartMl[m][at] = outcomeMl(engine, this.#zones[k]!)));
		programmes.forEach((programme, i) => {
			engine.reset();
			engine.run(programme);
			engine.rest(this.#rests[i]!);
			OUTCOME_IDS.forEach((m, k) => {
				// Of all fluid the running sums are exact where a difference of totals is not.
				const fall = m === 'all' ? engine.reliefMl : outcomeStartMl[m][at]! - outcomeMl(engine, this.#zones[k]!);
				fallMl[m][i]![at] = fall;
			});
		});
	}
}
