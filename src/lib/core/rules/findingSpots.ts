import { isZone, ownSideOf, placeOf, type Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import type { Severity } from '../school/school.schema';
import type { Judgement } from './judge';
import { graver, type Finding } from './rule';

/** Findings of a zone and side: how many, and the gravest of them. */
export interface FindingSpot {
	readonly zone: ZoneId;
	readonly side: Side;
	readonly severity: Severity;
	readonly count: number;
}

/**
 * Where on the face the findings stand: at the zone a finding names, else at the first zone of its first step; on its
 * side, else on the right for a step of the right only. Findings without a zone stand nowhere.
 */
export function findingSpots({ findings, context }: Pick<Judgement, 'findings' | 'context'>): FindingSpot[] {
	const spots = new Map<string, FindingSpot>();
	for (const finding of findings)
		for (const { zone, side } of spotsOf(finding, context)) {
			const known = spots.get(`${zone}:${side}`);
			const severity = graver(known?.severity ?? 'advice', finding.severity);
			spots.set(`${zone}:${side}`, { zone, side, severity, count: (known?.count ?? 0) + 1 });
		}
	return [...spots.values()];
}

function spotsOf(finding: Finding, context: Judgement['context']): { zone: ZoneId; side: Side }[] {
	const step = context.byId.get(finding.stepIds[0] ?? '')?.step;
	const usual: Side = finding.side ?? (step?.side === 'right' ? 'right' : 'left');
	const refs = finding.places ?? [finding.place ?? step?.places.find((ref) => isZone(placeOf(ref)))];
	return refs.flatMap((ref) => {
		const zone = ref && placeOf(ref);
		return zone && isZone(zone) ? [{ zone, side: (finding.places && ownSideOf(ref)) ?? usual }] : [];
	});
}

/** The gravest finding of each step that one speaks of first. */
export function gravestByStep(findings: Judgement['findings']): ReadonlyMap<string, Severity> {
	const flags = new Map<string, Severity>();
	for (const { stepIds, severity } of findings)
		for (const id of stepIds.slice(0, 1)) flags.set(id, graver(severity, flags.get(id) ?? 'advice'));
	return flags;
}
