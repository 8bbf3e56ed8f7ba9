import {
	alignmentOf,
	MIDLINE_ZONES,
	neighboursOf,
	NODE_CAPACITY_ML,
	NODE_DRAINAGE,
	NODE_VEIN_SHARE,
	ZONE_CAPACITY_ML,
	ZONE_DRAINAGE,
	type Alignment,
	type DrainEdge
} from '../atlas/graph';
import { NODE_IDS } from '../atlas/nodes';
import { otherSide, PLACE_IDS, SIDES, type PlaceId, type Side } from '../atlas/places';
import { ZONE_IDS } from '../atlas/zones';

/** How a pair lies to the drainage, as a number: the index into the engine's table of alignment factors. */
export const ALIGNMENTS: readonly Alignment[] = ['with', 'neutral', 'against', 'watershed', 'valve'];
/** Two compartments that do not touch. */
export const NOT_ADJACENT = -1;

/** What a network is made from. Ids are free; the outlet is called `vein`. */
export interface NetworkParts {
	/** Capacity at grade 4, ml. */
	readonly zones: readonly { readonly id: string; readonly capacityMl: number }[];
	readonly nodes: readonly { readonly id: string; readonly capacityMl: number }[];
	/** Passive ways: from, to (or `vein`), share of the outflow. */
	readonly edges: readonly (readonly [string, string, number])[];
	/** Pairs along which a stroke may run. */
	readonly pairs: readonly (readonly [string, string, Alignment])[];
}

/** A drainage network as flat arrays: zones first, then node groups. */
export interface FlowNetwork {
	readonly ids: readonly string[];
	readonly indexOf: ReadonlyMap<string, number>;
	/** Number of zones, of node groups, of both. */
	readonly zoneCount: number;
	readonly nodeCount: number;
	readonly count: number;
	/** Capacity of each compartment at scale 1, ml. */
	readonly capacityMl: Float64Array;
	/** Passive edges, grouped by the compartment they leave; receivers in the order of their index. */
	readonly edgeFrom: Int32Array;
	readonly edgeTo: Int32Array;
	readonly edgeShare: Float64Array;
	/** Where the edges of a compartment begin; one entry more than compartments. */
	readonly edgeStart: Int32Array;
	/** Share of the outflow that returns to the veins. */
	readonly veinShare: Float64Array;
	/** Alignment of every pair, row by row; NOT_ADJACENT where they do not touch. */
	readonly alignment: Int8Array;
}

/**
 * Builds a network.
 * @throws {RangeError} if a name is unknown or twice, a way leads into a zone, or shares do not sum to 1
 */
export function networkOf(parts: NetworkParts): FlowNetwork {
	const ids = [...parts.zones, ...parts.nodes].map((c) => c.id);
	const indexOf = new Map(ids.map((id, i) => [id, i]));
	if (indexOf.size !== ids.length) throw new RangeError(`a compartment is named twice: ${ids.join(', ')}`);
	const zoneCount = parts.zones.length;
	const count = ids.length;
	const at = (id: string): number => {
		const i = indexOf.get(id);
		if (i === undefined) throw new RangeError(`unknown compartment: ${id}`);
		return i;
	};
	const veinShare = new Float64Array(count);
	const rows: [number, number, number][] = [];
	const sums = new Float64Array(count);
	for (const [from, to, share] of parts.edges) {
		sums[at(from)]! += share;
		const outside = to === 'vein';
		if (outside ? at(from) < zoneCount : at(to) < zoneCount)
			throw new RangeError(`fluid of a zone drains to node groups only: ${from} to ${to}`);
		if (outside) veinShare[at(from)]! += share;
		else rows.push([at(from), at(to), share]);
	}
	sums.forEach((sum, i) => {
		if (!(Math.abs(sum - 1) < 1e-9)) throw new RangeError(`the shares of ${ids[i]} sum to ${sum}, not to 1`);
	});
	rows.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
	const edgeStart = new Int32Array(count + 1);
	for (const [from] of rows) edgeStart[from + 1]! += 1;
	for (let i = 0; i < count; i++) edgeStart[i + 1]! += edgeStart[i]!;
	const alignment = new Int8Array(count * count).fill(NOT_ADJACENT);
	for (const [from, to, kind] of parts.pairs) alignment[at(from) * count + at(to)] = ALIGNMENTS.indexOf(kind);
	return {
		ids,
		indexOf,
		zoneCount,
		nodeCount: parts.nodes.length,
		count,
		capacityMl: Float64Array.from([...parts.zones, ...parts.nodes], (c) => c.capacityMl),
		edgeFrom: Int32Array.from(rows, (r) => r[0]),
		edgeTo: Int32Array.from(rows, (r) => r[1]),
		edgeShare: Float64Array.from(rows, (r) => r[2]),
		edgeStart,
		veinShare,
		alignment
	};
}

function faceParts(): NetworkParts {
	const edges: [string, string, number][] = [];
	const pairs: [string, string, Alignment][] = [];
	for (const side of SIDES) {
		const leave = (from: PlaceId, list: readonly DrainEdge[]) => {
			for (const { to, share, crosses } of list) {
				const there = `n:${to}:${crosses ? otherSide(side) : side}`;
				edges.push([`${from}:${side}`, there, share]);
				if (!crosses || !from.startsWith('n:')) continue;
				pairs.push([`${from}:${side}`, there, 'with'], [there, `${from}:${side}`, 'valve']);
			}
		};
		for (const zone of ZONE_IDS) leave(zone, ZONE_DRAINAGE[zone]);
		for (const node of NODE_IDS) {
			leave(`n:${node}`, NODE_DRAINAGE[node]);
			if (NODE_VEIN_SHARE[node]) edges.push([`n:${node}:${side}`, 'vein', NODE_VEIN_SHARE[node]]);
		}
		for (const from of PLACE_IDS)
			for (const to of neighboursOf(from)) pairs.push([`${from}:${side}`, `${to}:${side}`, alignmentOf(from, to)!]);
		for (const zone of MIDLINE_ZONES) pairs.push([`${zone}:${side}`, `${zone}:${otherSide(side)}`, 'watershed']);
	}
	const sided = <K extends string>(names: readonly K[], prefix: string, capacities: Readonly<Record<K, number>>) =>
		SIDES.flatMap((side) => names.map((id) => ({ id: `${prefix}${id}:${side}`, capacityMl: capacities[id] })));
	return {
		zones: sided(ZONE_IDS, '', ZONE_CAPACITY_ML),
		nodes: sided(NODE_IDS, 'n:', NODE_CAPACITY_ML),
		edges,
		pairs
	};
}

let face: FlowNetwork | undefined;
/** The network of face, neck and chest: 34 zones and 11 node groups a side. */
export const faceNetwork = (): FlowNetwork => (face ??= networkOf(faceParts()));

/** The same place of the face on the other side, as an index of `faceNetwork`. */
export function twinOf(index: number): number {
	const { ids, indexOf } = faceNetwork();
	return indexOf.get(ids[index]!.replace(/(left|right)$/, (side) => otherSide(side as Side)))!;
}

/** Index of a place of the face in `faceNetwork`. */
export const faceIndex = (place: PlaceId, side: Side): number => faceNetwork().indexOf.get(`${place}:${side}`)!;
