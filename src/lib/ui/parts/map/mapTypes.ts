import type { NodeId } from '$lib/core/atlas/nodes';
import type { PlaceId, Side } from '$lib/core/atlas/places';
import type { ZoneId } from '$lib/core/atlas/zones';

/** What a zone shows: a tint, water lines that are there, and lines that went. */
export interface ZoneTint {
	readonly zone: ZoneId;
	readonly side: Side;
	/** 0..1 */
	readonly strength: number;
	/** Water lines that stand in the zone now, 0..4. */
	readonly lines?: number;
	/** Highest water line that stood there before, 0..4; those above `lines` are dotted. */
	readonly before?: number;
	/** What the lines are: water, or bars for what is no fluid. */
	readonly picture?: 'water' | 'bars';
	/** What it says in words, added to the zone's name. */
	readonly words?: string;
}

export interface Pick {
	readonly place: PlaceId;
	readonly side: Side;
}

/** What is left of the opening of each node group, 0..1, by node and side. */
export type OpenNodes = ReadonlyMap<`${NodeId}:${Side}`, number>;
