import type { FlowNetwork } from './network';
import type { FlowParameters } from './parameterTable';

/** One face of a draw: factors on every share and capacity. */
export interface GraphJitter {
	readonly shares: Float64Array;
	readonly capacities: Float64Array;
}

/** What the equations take from parameters and graph, worked out once for a face: flat arrays, written over by `set`. */
export class FlowCoefficients {
	/** Capacity of a zone at grade 4, of a node group its ceiling; and what each can hold at most, ml. */
	readonly capacityMl: Float64Array;
	readonly ceilingMl: Float64Array;
	/** Of each edge: share of its donor's outflow, and rate at full openness and empty receiver, 1/s. */
	readonly share: Float64Array;
	readonly rate: Float64Array;
	/** Of each node group: share of its outflow that returns to the veins, and the rate of it, 1/s. */
	readonly outlet: Float64Array;
	readonly vein: Float64Array;
	/** Efficiency of each pressure level, and factor of each alignment. */
	readonly eta = new Float64Array(5);
	readonly factor = new Float64Array(5);
	/** What each compartment gives and is given, relative to what it holds, 1/s. */
	readonly #give: Float64Array;
	readonly #take: Float64Array;

	constructor(private readonly network: FlowNetwork) {
		const { count, nodeCount, edgeFrom } = network;
		this.#give = new Float64Array(count);
		this.#take = new Float64Array(count);
		this.capacityMl = new Float64Array(count);
		this.ceilingMl = new Float64Array(count);
		this.share = new Float64Array(edgeFrom.length);
		this.rate = new Float64Array(edgeFrom.length);
		this.outlet = new Float64Array(nodeCount);
		this.vein = new Float64Array(nodeCount);
	}

	set(p: FlowParameters, jitter?: GraphJitter): void {
		const { network } = this;
		const { zoneCount, count, edgeStart, edgeShare, veinShare } = network;
		for (let level = 0; level < 5; level++) this.eta[level] = level ? Math.exp(-p.sEta * (level - 1)) : p.eta0;
		this.factor.set([1, p.aN, p.aR, p.aW, p.aV]);
		for (let i = 0; i < count; i++) {
			const scale = (i < zoneCount ? p.scK : p.scC) * (jitter ? jitter.capacities[i]! : 1);
			this.capacityMl[i] = network.capacityMl[i]! * scale;
			this.ceilingMl[i] = this.capacityMl[i]! * (i < zoneCount ? p.mMax : 1);
		}
		const [zoneRate, nodeRate, outletRate] = [Math.LN2 / p.tZ, Math.LN2 / p.tN, Math.LN2 / p.tO];
		for (let i = 0; i < count; i++) {
			let sum = veinShare[i]!;
			for (let e = edgeStart[i]!; e < edgeStart[i + 1]!; e++)
				sum += this.share[e] = edgeShare[e]! * (jitter ? jitter.shares[e]! : 1);
			for (let e = edgeStart[i]!; e < edgeStart[i + 1]!; e++) {
				this.share[e]! /= sum;
				this.rate[e] = (i < zoneCount ? zoneRate : nodeRate) * this.share[e]!;
			}
			if (i < zoneCount) continue;
			this.outlet[i - zoneCount] = veinShare[i]! / sum;
			this.vein[i - zoneCount] = outletRate * this.outlet[i - zoneCount]!;
		}
	}

	/**
	 * The fastest relative change of any compartment, 1/s: by what it gives, and by what it may be given.
	 * @param beta factor on the outlets in deep breathing
	 */
	fastest(beta: number): number {
		const { zoneCount, nodeCount, count, edgeFrom, edgeTo } = this.network;
		const [give, take] = [this.#give.fill(0), this.#take.fill(0)];
		for (let e = 0; e < edgeFrom.length; e++) {
			const [u, v] = [edgeFrom[e]!, edgeTo[e]!];
			give[u]! += this.rate[e]!;
			take[v]! += (this.rate[e]! * this.ceilingMl[u]!) / this.ceilingMl[v]!;
		}
		for (let j = 0; j < nodeCount; j++) give[zoneCount + j]! += this.vein[j]! * beta;
		let fastest = 0;
		for (let i = 0; i < count; i++) fastest = Math.max(fastest, give[i]!, take[i]!);
		return fastest;
	}
}
