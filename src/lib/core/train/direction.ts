import { FIGURE } from '../atlas/geometry';
import { drainageOf, MIDLINE_ZONES } from '../atlas/graph';
import { NODES, type NodeId } from '../atlas/nodes';
import { ZONE_IDS, ZONES, type ZoneId } from '../atlas/zones';

/** An answer that takes so much of a zone's fluid, or more, is right. Working value. */
const RIGHT_FROM_SHARE = 0.25;
/** Zones that are asked: those seen from the front, with a way of their own. */
export const ASKED_ZONES: readonly ZoneId[] = ZONE_IDS.filter(
	(zone) => FIGURE.front.zones[zone] !== undefined && drainageOf(zone).length > 0 && !MIDLINE_ZONES.includes(zone)
);

export interface DirectionResult {
	readonly right: boolean;
	/** Where the fluid goes, with its shares. */
	readonly why: string;
}

/** Whether fluid of a zone goes to a node group by itself, on the same side. */
export function judgeDirection(zone: ZoneId, node: NodeId): DirectionResult {
	const ways = [...drainageOf(zone)].sort((a, b) => b.share - a.share);
	const words = ways.map((w) => `${Math.round(100 * w.share)} % to the ${NODES[w.to].label.toLowerCase()}`);
	return {
		right: ways.some((w) => w.to === node && w.share >= RIGHT_FROM_SHARE),
		why: `${ZONES[zone].label}: ${words.join(', ')}, as the model has it.`
	};
}

/** Zones by chance, none twice in a row. */
export function nextZone(before: ZoneId | null, random: () => number): ZoneId {
	const others = ASKED_ZONES.filter((z) => z !== before);
	return others[Math.floor(random() * others.length)]!;
}

/** How often a node group that is chosen blindly is right, 0..1. */
export function chanceOfDirection(): number {
	const right = (zone: ZoneId) => drainageOf(zone).filter((w) => w.share >= RIGHT_FROM_SHARE).length;
	const nodes = Object.keys(NODES).length;
	return ASKED_ZONES.reduce((sum, zone) => sum + right(zone) / nodes, 0) / ASKED_ZONES.length;
}
