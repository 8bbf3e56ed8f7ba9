import { isNode, placeOf, type PlaceRef } from '../atlas/places';
import type { School, Severity } from '../school/school.schema';
import type { Step } from '../step/step.schema';
import { aimRow, staysOnNode, toolRow } from '../vocabulary/vocabulary';
import type { Level } from '../step/levels';

export type CapReason = 'eye' | 'throat' | 'neck' | 'collarbone' | 'node' | 'fluid' | 'muscle' | 'edge';
export interface Cap {
	readonly reason: CapReason;
	/** Highest level allowed here. */
	readonly level: Level;
	/** How grave going above it is. */
	readonly severity: Severity;
}

/** Caps that all schools share: thin skin over the eye, windpipe and thyroid, the carotid sinus, the vessels above the collarbone, node groups. */
export const EYE_CAP: Level = 1;
export const NECK_CAP: Level = 2;
/** Above the collarbone two flat fingers may do what nothing else may. */
export const collarboneCap = (contact: Step['contact']): Level => (contact === 'flat-2' ? 2 : 1);
export const THROAT_CAP: Level = 1;
export const NODE_CAP: Level = 1;
const EYE_ZONES: readonly string[] = ['upper-eyelid', 'lower-eyelid', 'inner-canthus', 'outer-canthus'];

/**
 * A stone's edge presses deeper than a hand: one level less, never below 1 (on the eyelids 0). Where only the edge makes the
 * difference, the edge is the reason.
 */
function throughEdge(cap: Cap): Cap[] {
	const level = (cap.reason === 'eye' ? 0 : Math.max(1, cap.level - 1)) as Level;
	if (cap.severity === 'stop') return [{ ...cap, level }];
	return level < cap.level ? [cap, { reason: 'edge', level, severity: cap.severity }] : [cap];
}

/** All caps of a step at one of its places, the lowest first. */
export function capsAt(step: Step, ref: PlaceRef, school: School): Cap[] {
	const place = placeOf(ref);
	const caps: Cap[] = [];
	if (EYE_ZONES.includes(place)) caps.push({ reason: 'eye', level: EYE_CAP, severity: 'stop' });
	if (place === 'throat') caps.push({ reason: 'throat', level: THROAT_CAP, severity: 'stop' });
	if (place === 'sternocleidomastoid') caps.push({ reason: 'neck', level: NECK_CAP, severity: 'stop' });
	// A stroke that only passes a node group is judged by its zones.
	const onNode = isNode(place) && staysOnNode(step.motion);
	if (place === 'supraclavicular' || (onNode && place === 'n:terminus'))
		caps.push({ reason: 'collarbone', level: collarboneCap(step.contact), severity: 'caution' });
	else if (onNode) caps.push({ reason: 'node', level: NODE_CAP, severity: 'caution' });
	const reason = aimRow(step.aim).cap;
	if (reason) caps.push({ reason, level: school.caps[reason], severity: 'caution' });
	const edge = step.tool !== undefined && toolRow(step.tool.id).edged && step.tool.edge !== undefined;
	if (edge && !caps.length) caps.push({ reason: 'edge', level: 4, severity: 'caution' });
	const seen = edge ? caps.flatMap(throughEdge) : caps;
	return seen.sort((a, b) => a.level - b.level || (a.severity === 'stop' ? -1 : 1));
}

/** The binding cap at a place, or null where only comfort limits. */
export const capAt = (step: Step, ref: PlaceRef, school: School): Cap | null => capsAt(step, ref, school)[0] ?? null;

/** What a hand may hurt that only holds against the work: it presses as firmly as that. */
const HELD: readonly CapReason[] = ['eye', 'throat', 'neck'];
/** Caps of the other hand, where it holds against the work on a place that is thin-skinned or lies over the carotid. */
export function capsHeld(step: Step, school: School): Cap[] {
	const holds = step.support?.place;
	if (!holds) return [];
	const held: Step = { ...step, places: [holds], motion: 'press-hold', contact: 'flat-hand', tool: undefined };
	return capsAt(held, holds, school).filter(({ reason }) => HELD.includes(reason));
}

/** The highest level at which none of these places hurts: what a fix may set. */
export function safeLevel(step: Step, places: readonly PlaceRef[], wanted: Level, school: School): Level {
	const levels = places.flatMap((ref) => capsAt({ ...step, places: [...places] }, ref, school).map((c) => c.level));
	return Math.min(wanted, ...levels) as Level;
}
