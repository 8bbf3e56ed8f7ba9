import type { ZoneId } from '../atlas/zones';
import { Draws } from './draws';
import { facesOf, type Faces } from './faces';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import { LOOK_AFTER_SECONDS, zonesOfOutcome } from './outcomes';
import { faceNetwork } from './network';
import {
	COARSE_STEP_SECONDS,
	FLOW_PARAMETER_NAMES,
	MAX_DRAWS,
	type FlowParameterName,
	type FlowParameters
} from './parameterTable';
import { programmeSeconds, type Programme } from './programme';
import { touchedBy } from './touched';
import { placesOfPart, WHERE_PARTS, type WherePart } from './where';

export interface PairedInput {
	/** One programme or more on the network of the face. */
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
	/** Parameters that are the same on every face instead of drawn. */
	readonly fixed?: Partial<FlowParameters>;
	/** Number of the first face, where only a stretch of them is run: others run the rest. */
	readonly fromDraw?: number;
}

/** What each draw gave: of each outcome, for each programme, the fall in ml. */
export interface PairedFigures {
	readonly draws: number;
	/** All fluid at the start, ml. */
	readonly startMl: Float64Array;
	/** Fluid of each outcome at the start, ml. */
	readonly outcomeStartMl: Readonly<Record<OutcomeId, Float64Array>>;
	readonly fallMl: Readonly<Record<OutcomeId, readonly Float64Array[]>>;
	/** Where all fluid is at the look, for each programme, ml. */
	readonly whereMl: Readonly<Record<WherePart, readonly Float64Array[]>>;
	readonly parameters: Readonly<Record<FlowParameterName, Float64Array>>;
	/** Of each programme the parameters that bear on it. */
	readonly touched: readonly (readonly FlowParameterName[])[];
}

const byName = <K extends string, V>(names: readonly K[], of: (name: K) => V): Record<K, V> =>
	Object.fromEntries(names.map((name) => [name, of(name)])) as Record<K, V>;

/** Draws shared out over so many workers: stretches of nearly the same length, none of them empty. */
export function stretchesOf(draws: number, workers: number): { readonly from: number; readonly draws: number }[] {
	const each = Math.ceil(draws / workers);
	return Array.from({ length: Math.ceil(draws / each) }, (_, i) => ({
		from: i * each,
		draws: Math.min(each, draws - i * each)
	}));
}

/** Figures of several stretches of faces as those of all of them, in the order given. */
export function joinFigures(parts: readonly PairedFigures[]): PairedFigures {
	const [first] = parts;
	if (parts.length === 1) return first!;
	const join = (of: (part: PairedFigures) => Float64Array): Float64Array => {
		const all = new Float64Array(parts.reduce((n, p) => n + p.draws, 0));
		let at = 0;
		for (const part of parts) {
			all.set(of(part), at);
			at += part.draws;
		}
		return all;
	};
	const programmes = first!.fallMl.all.map((_, i) => i);
	return {
		draws: parts.reduce((n, p) => n + p.draws, 0),
		startMl: join((p) => p.startMl),
		outcomeStartMl: byName(OUTCOME_IDS, (m) => join((p) => p.outcomeStartMl[m])),
		fallMl: byName(OUTCOME_IDS, (m) => programmes.map((i) => join((p) => p.fallMl[m][i]!))),
		whereMl: byName(WHERE_PARTS, (w) => programmes.map((i) => join((p) => p.whereMl[w][i]!))),
		parameters: byName(FLOW_PARAMETER_NAMES, (n) => join((p) => p.parameters[n])),
		touched: first!.touched
	};
}

/**
 * Runs programmes over many faces that could be, all programmes on the same face each time. Work is done a few draws at
 * a time, so that whoever runs it can tell how far it is, and stop.
 */
export class PairedRun {
	readonly figures: PairedFigures;
	done = 0;
	readonly #faces: Faces;
	readonly #draws: Draws;
	readonly #rests: readonly number[];
	readonly #zones: readonly (Int32Array | null)[];
	readonly #parts: readonly (Int32Array | null)[];

	/**
	 * @param open what runs the faces; given, so that the ways can be held to one another
	 * @throws {RangeError} if there is nothing to run, or the number of draws is out of 1..10000
	 */
	constructor(
		readonly input: PairedInput,
		open: typeof facesOf = facesOf
	) {
		const { programmes, draws, seed, zones, stepSeconds = COARSE_STEP_SECONDS } = input;
		if (!programmes.length) throw new RangeError('at least one sequence is needed to run draws');
		if (!(Number.isInteger(draws) && draws >= 1 && draws <= MAX_DRAWS))
			throw new RangeError(`draws out of range 1..${MAX_DRAWS}: ${draws}`);
		this.#faces = open(faceNetwork(), stepSeconds);
		this.#draws = new Draws(faceNetwork(), seed);
		if (input.fromDraw) this.#draws.goTo(input.fromDraw);
		const seconds = programmes.map(programmeSeconds);
		const look = Math.max(...seconds) + (input.lookAfterSeconds ?? LOOK_AFTER_SECONDS);
		this.#rests = seconds.map((s) => look - s);
		this.#zones = OUTCOME_IDS.map((m) => zonesOfOutcome(m, zones));
		this.#parts = WHERE_PARTS.map(placesOfPart);
		const column = () => new Float64Array(draws);
		this.figures = {
			draws,
			startMl: column(),
			outcomeStartMl: byName(OUTCOME_IDS, column),
			fallMl: byName(OUTCOME_IDS, () => programmes.map(column)),
			whereMl: byName(WHERE_PARTS, () => programmes.map(column)),
			parameters: byName(FLOW_PARAMETER_NAMES, column),
			touched: programmes.map(touchedBy)
		};
	}

	/** Does about so many draws more; false once all are done. */
	advance(draws: number): boolean {
		const end = Math.min(this.input.draws, this.done + draws);
		while (this.done < end) {
			const count = Math.min(this.#faces.width, this.input.draws - this.done);
			this.#some(this.done, count);
			this.done += count;
		}
		return this.done < this.input.draws;
	}

	/** As many faces as are run side by side. */
	#some(at: number, count: number): void {
		const { programmes, grades } = this.input;
		const { startMl, outcomeStartMl, parameters: columns } = this.figures;
		const faces = this.#faces;
		for (let f = 0; f < count; f++) {
			const drawn = this.#draws.next();
			const { jitter } = drawn;
			const parameters = { ...drawn.parameters, ...this.input.fixed };
			for (const name of FLOW_PARAMETER_NAMES) columns[name][at + f] = parameters[name];
			faces.load(f, parameters, jitter, (zone) => grades[zone]!);
		}
		faces.reset();
		for (let f = 0; f < count; f++) {
			startMl[at + f] = faces.sumMl(f, null);
			OUTCOME_IDS.forEach((m, k) => (outcomeStartMl[m][at + f] = faces.sumMl(f, this.#zones[k]!)));
		}
		programmes.forEach((programme, i) => {
			faces.reset();
			faces.run(programme);
			faces.rest(this.#rests[i]!);
			for (let f = 0; f < count; f++) this.#look(f, at + f, i);
		});
	}

	#look(face: number, at: number, programme: number): void {
		const { outcomeStartMl, fallMl, whereMl } = this.figures;
		const faces = this.#faces;
		const [vein, filtered] = [faces.veinMl(face), faces.filteredMl(face)];
		OUTCOME_IDS.forEach((m, k) => {
			// Of all fluid the running sums are exact where a difference of totals is not.
			const fall = m === 'all' ? vein - filtered : outcomeStartMl[m][at]! - faces.sumMl(face, this.#zones[k]!);
			fallMl[m][programme]![at] = fall;
		});
		WHERE_PARTS.forEach((part, k) => {
			const places = this.#parts[k];
			whereMl[part][programme]![at] =
				part === 'returned' ? vein : part === 'filtered' ? filtered : faces.sumMl(face, places!);
		});
	}
}
