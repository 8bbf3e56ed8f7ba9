import type { Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import type { Working } from '../working/working.schema';
import {
	DISTANCE_IDS,
	distanceChange,
	gradeChange,
	sameHour,
	sumChange,
	type Change,
	type DistanceId
} from './distances';
import type { Grade } from './grades';
import type { GradeEntry, Look, Session } from './records.schema';

export type GradeKind = GradeEntry['kind'];

/** The grade of a zone and side, or null where it was not felt. */
export function gradeOf(look: Look | null, kind: GradeKind, zone: ZoneId, side: Side): Grade | null {
	return look?.grades.find((g) => g.kind === kind && g.zone === zone && g.side === side)?.grade ?? null;
}

/** A look with one grade set, or taken away by null. */
export function withGrade(look: Look, kind: GradeKind, zone: ZoneId, side: Side, grade: Grade | null): Look {
	const rest = look.grades.filter((g) => !(g.kind === kind && g.zone === zone && g.side === side));
	return { ...look, grades: grade === null ? rest : [...rest, { kind, zone, side, grade }] };
}

export function distanceOf(look: Look | null, id: DistanceId, side: Side): number | null {
	return look?.distances.find((d) => d.id === id && d.side === side)?.mm ?? null;
}

export function withDistance(look: Look, id: DistanceId, side: Side, mm: number | null): Look {
	const rest = look.distances.filter((d) => !(d.id === id && d.side === side));
	return { ...look, distances: mm === null ? rest : [...rest, { id, side, mm }] };
}

export const emptyLook = (takenAt: string): Look => ({ takenAt, grades: [], distances: [] });

export interface ZoneChange extends Change {
	readonly zone: ZoneId;
	readonly side: Side;
}

/** Change of every zone and side that was felt at least once. */
export function zoneChanges(
	before: Look,
	after: Look | null,
	kind: GradeKind,
	working: Working,
	comparable = true
): ZoneChange[] {
	const keys = new Map<string, { zone: ZoneId; side: Side }>();
	for (const g of [...before.grades, ...(after?.grades ?? [])])
		if (g.kind === kind) keys.set(`${g.zone}:${g.side}`, { zone: g.zone, side: g.side });
	return [...keys.values()].map(({ zone, side }) => ({
		zone,
		side,
		...gradeChange(gradeOf(before, kind, zone, side), gradeOf(after, kind, zone, side), working, comparable)
	}));
}

export interface DistanceRow {
	readonly id: DistanceId | 'sum';
	readonly side: Side;
	readonly change: Change;
}

/** Change of every distance and of the sum, on each side. */
export function distanceRows(before: Look, after: Look | null, working: Working, comparable = true): DistanceRow[] {
	return (['left', 'right'] as const).flatMap((side): DistanceRow[] => {
		const pairs = DISTANCE_IDS.map((id) => ({
			id,
			a: distanceOf(before, id, side),
			b: distanceOf(after, id, side)
		}));
		const rows = pairs.map(({ id, a, b }) => ({
			id,
			side,
			change: distanceChange(a, b, working, comparable)
		}));
		const sum = sumChange(
			pairs.map((p) => p.a),
			pairs.map((p) => p.b),
			working,
			comparable
		);
		return [...rows, { id: 'sum', side, change: sum }];
	});
}

/** Minute of the day on the wall clock of a session. */
export function minuteOfDay(session: Pick<Session, 'startedAt' | 'zoneOffsetMinutes'>): number {
	const minutes = Math.floor(Date.parse(session.startedAt) / 60_000) + session.zoneOffsetMinutes;
	return ((minutes % 1440) + 1440) % 1440;
}

/** Whether the before-looks of two sessions may be compared: the same hour of the day. */
export const comparableSessions = (a: Session, b: Session, working: Working): boolean =>
	sameHour(minuteOfDay(a), minuteOfDay(b), working);
