import { NODE_IDS, type NodeId } from '$lib/core/atlas/nodes';
import { SIDES, type Side } from '$lib/core/atlas/places';
import { ZONE_IDS } from '$lib/core/atlas/zones';
import { faceIndex, faceNetwork } from '$lib/core/flow/network';
import { rowAt, valueAt, type Tide } from '$lib/core/flow/tide';
import type { LayerTint } from '../mapLayers';
import { tidePercent } from './ribbons';

/** Below this grade a zone has no water to show. */
const DRY_GRADE = 0.15;
/** What was there at the start is dotted from this grade on. */
const WAS_WET_GRADE = 0.5;

/** The water of the face at a moment: tint and lines by modelled grade, dotted lines where more stood at the start. */
export function tideTints(tide: Tide, seconds: number): LayerTint[] {
	const { zoneCount } = faceNetwork();
	const at = rowAt(tide, seconds);
	return ZONE_IDS.flatMap((zone) =>
		SIDES.flatMap((side) => {
			const column = faceIndex(zone, side);
			const grade = valueAt(tide.grades, zoneCount, column, at);
			const start = tide.grades[column]!;
			if (grade < DRY_GRADE && start < WAS_WET_GRADE) return [];
			const percent = Math.round(tidePercent(grade));
			return [
				{
					zone,
					side,
					// In steps, so that the face is not drawn anew for what nobody sees.
					strength: Math.round(100 * (0.03 + 0.062 * Math.min(grade, 5))) / 100,
					lines: Math.min(4, Math.round(grade)),
					before: Math.min(4, Math.round(start)),
					words: `modelled tide ${percent} of 100`,
					value: String(percent)
				}
			];
		})
	);
}

/** What the rings of the node groups show at a moment: how far open, and how full, 0..1. */
export function tideNodes(tide: Tide, seconds: number): Map<`${NodeId}:${Side}`, { open: number; fill: number }> {
	const { zoneCount, nodeCount } = faceNetwork();
	const at = rowAt(tide, seconds);
	return new Map(
		NODE_IDS.flatMap((node) =>
			SIDES.map((side) => {
				const column = faceIndex(`n:${node}`, side) - zoneCount;
				return [
					`${node}:${side}` as const,
					{ open: valueAt(tide.open, nodeCount, column, at), fill: valueAt(tide.fill, nodeCount, column, at) }
				] as const;
			})
		)
	);
}
