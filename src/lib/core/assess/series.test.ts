import { expect, test } from 'vitest';
import { emptyAssessment, withValue } from './assessment';
import { onSide } from './lasting';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { mdc95 } from './change';
import { lanesOf, meanError, seriesOf, stretchesOf } from './series';

const ID = 'tragus-mouth-corner';
const at = (day: number) => new Date(Date.UTC(2026, 0, day, 8)).toISOString();
const taken = (mm: number | null) => withValue(emptyAssessment(at(1)), ID, { side: 'left' }, mm);

test('a series holds what was taken, before and after, and leaves other visits out', () => {
	const visit = (id: string, before: number | null, after: number | null) => ({
		id,
		startedAt: at(Number(id)),
		zoneOffsetMinutes: 0,
		before: taken(before),
		after: after === null ? null : taken(after)
	});
	expect(seriesOf([visit('1', 100, 98), visit('2', null, null), visit('3', 99, null)], onSide(ID, 'left'))).toEqual([
		{ id: '1', at: at(1), before: 100, after: 98 },
		{ id: '3', at: at(3), before: 99, after: null }
	]);
});

test('stretches last until another sequence comes; visits without one do not end them', () => {
	const visits = ['One', null, 'One', 'Two', 'One'].map((title, i) => ({
		startedAt: at(i + 1),
		sequence: title ? { title } : null
	}));
	expect(stretchesOf(visits)).toEqual([
		{ title: 'One', from: at(1), to: at(3), visits: 2 },
		{ title: 'Two', from: at(4), to: at(4), visits: 1 },
		{ title: 'One', from: at(5), to: at(5), visits: 1 }
	]);
	expect(stretchesOf([])).toEqual([]);
});

test('lanes are the sides and what lies between them, which errs by √2 more; the neck is one', () => {
	const visit = (id: string, left: number, right: number) => ({
		id,
		startedAt: at(Number(id)),
		zoneOffsetMinutes: 0,
		before: withValue(withValue(taken(left), ID, { side: 'right' }, right), 'neck-upper', {}, 340),
		after: null
	});
	const visits = [visit('1', 104, 101), visit('2', 103, 101)];
	const lanes = lanesOf(visits, ID, DEFAULT_WORKING, {}, ['right', 'left']);
	expect(lanes.map((l) => [l.name, l.points.map((p) => p.before)])).toEqual([
		['Client’s right', [101, 101]],
		['Client’s left', [104, 103]],
		['Left less right', [3, 2]]
	]);
	expect(lanes[2]!.te / lanes[0]!.te).toBeCloseTo(Math.SQRT2, 9);
	expect(lanes[0]!.mdc).toBeCloseTo(mdc95(lanes[0]!.te), 9);
	const [neck, ...none] = lanesOf(visits, 'neck-upper', DEFAULT_WORKING, {}, ['right', 'left']);
	expect([neck!.points.map((p) => p.before), none]).toEqual([[340, 340], []]);
	expect(meanError(ID, DEFAULT_WORKING, {})).toBeCloseTo(lanes[0]!.te / Math.SQRT2, 9);
	expect(meanError('neck-upper', DEFAULT_WORKING, {})).toBe(neck!.te);
});
