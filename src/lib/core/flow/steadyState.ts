import type { FlowCoefficients } from './coefficients';
import type { FlowNetwork } from './network';

/** Sweeps of the steady state: until nothing changes by more than this, or so many. */
const STEADY_ML = 1e-13;
const MAX_SWEEPS = 500;

/**
 * Brings node contents to where they do not change by themselves, with node groups at rest and calm breath: Gauss-Seidel.
 * @param ml fluid of each compartment; that of the node groups is written over
 * @param g0 resting openness
 */
export function settle(network: FlowNetwork, k: FlowCoefficients, ml: Float64Array, g0: number): void {
	const { zoneCount, nodeCount, edgeFrom, edgeTo, edgeStart } = network;
	const into = new Float64Array(nodeCount);
	const flow = (from: number, to: number) => {
		for (let e = from; e < to; e++) into[edgeTo[e]! - zoneCount]! += k.rate[e]! * ml[edgeFrom[e]!]!;
	};
	// What comes from the zones, first in every sum, stays the same through all sweeps.
	const nodeEdges = edgeStart[zoneCount]!;
	flow(0, nodeEdges);
	const fromZones = into.slice();
	for (let sweep = 0; sweep < MAX_SWEEPS; sweep++) {
		let largest = 0;
		into.set(fromZones);
		flow(nodeEdges, edgeFrom.length);
		for (let j = 0; j < nodeCount; j++) {
			const at = zoneCount + j;
			let out = k.vein[j]!;
			for (let e = edgeStart[at]!; e < edgeStart[at + 1]!; e++)
				out += k.rate[e]! * (1 - ml[edgeTo[e]!]! / k.ceilingMl[edgeTo[e]!]!);
			const inflow = g0 * into[j]!;
			const next = inflow / (g0 * out + inflow / k.ceilingMl[at]!);
			const change = next - ml[at]!;
			if (Math.abs(change) > largest) largest = Math.abs(change);
			ml[at] = next;
			for (let e = edgeStart[at]!; e < edgeStart[at + 1]!; e++) into[edgeTo[e]! - zoneCount]! += k.rate[e]! * change;
		}
		if (largest < STEADY_ML) return;
	}
}

/** What leaves a zone by itself at rest, ml/s. */
export function outflow(network: FlowNetwork, k: FlowCoefficients, ml: Float64Array, zone: number, g0: number): number {
	const { edgeTo, edgeStart } = network;
	let sum = 0;
	for (let e = edgeStart[zone]!; e < edgeStart[zone + 1]!; e++) {
		const v = edgeTo[e]!;
		sum += k.rate[e]! * ml[zone]! * g0 * (1 - ml[v]! / k.ceilingMl[v]!);
	}
	return sum;
}
