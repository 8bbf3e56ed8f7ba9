import type { GraphJitter } from './coefficients';
import type { FlowNetwork } from './network';
import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS, type FlowParameters } from './parameterTable';
import { seededRandom } from '../random';

/** How far a draw may change a share of the graph, and a capacity: factors, evenly in their logarithm. */
const SHARE_FACTOR = [0.5, 2] as const;
const CAPACITY_FACTOR = [0.7, 1.4] as const;

/** One face that could be: parameters and a graph, the same on both sides. */
export interface Draw {
	readonly parameters: FlowParameters;
	readonly jitter: GraphJitter;
}

const between = (random: () => number, low: number, high: number): number => low * (high / low) ** random();

/** The name of a compartment without its side: twins get the same factors. */
const bare = (id: string): string => id.replace(/:(left|right)$/, '');

/** Draws faces one after another. The same seed gives the same faces, whatever is asked of them. */
export class Draws {
	#random: () => number;
	/** For each compartment and edge the number of the factor that it takes: that of its twin. */
	readonly #capacityTwin: Int32Array;
	readonly #shareTwin: Int32Array;
	readonly #capacities: Float64Array;
	readonly #shares: Float64Array;

	/** @param seed any whole number */
	constructor(
		network: FlowNetwork,
		private readonly seed: number
	) {
		this.#random = seededRandom(seed);
		const firsts = (keys: readonly string[]): Int32Array => {
			const first = new Map<string, number>();
			keys.forEach((key, i) => first.has(key) || first.set(key, i));
			return Int32Array.from(keys, (key) => first.get(key)!);
		};
		const { ids, edgeFrom, edgeTo } = network;
		this.#capacityTwin = firsts(ids.map(bare));
		// A way to the other side is another way than the one that stays.
		const crosses = (e: number) => ids[edgeFrom[e]!]!.split(':').at(-1) !== ids[edgeTo[e]!]!.split(':').at(-1);
		this.#shareTwin = firsts(
			[...edgeFrom].map((from, e) => `${bare(ids[from]!)} ${bare(ids[edgeTo[e]!]!)} ${crosses(e)}`)
		);
		this.#capacities = new Float64Array(ids.length);
		this.#shares = new Float64Array(edgeFrom.length);
	}

	/** Goes on with face number `draw`, from 0, without drawing those before it. */
	goTo(draw: number): void {
		const own = (twins: Int32Array) => twins.reduce((n, twin, i) => n + (twin === i ? 1 : 0), 0);
		const each = FLOW_PARAMETER_NAMES.length + own(this.#shareTwin) + own(this.#capacityTwin);
		this.#random = seededRandom(this.seed, draw * each);
	}

	/** The next face. Its arrays are written over by the one after it. */
	next(): Draw {
		const parameters = Object.fromEntries(
			FLOW_PARAMETER_NAMES.map((name) => [
				name,
				between(this.#random, FLOW_PARAMETERS[name].min, FLOW_PARAMETERS[name].max)
			])
		) as unknown as FlowParameters;
		this.#fill(this.#shares, this.#shareTwin, SHARE_FACTOR);
		this.#fill(this.#capacities, this.#capacityTwin, CAPACITY_FACTOR);
		return { parameters, jitter: { shares: this.#shares, capacities: this.#capacities } };
	}

	#fill(factors: Float64Array, twin: Int32Array, [low, high]: readonly [number, number]): void {
		for (let i = 0; i < factors.length; i++)
			factors[i] = twin[i] === i ? between(this.#random, low, high) : factors[twin[i]!]!;
	}
}
