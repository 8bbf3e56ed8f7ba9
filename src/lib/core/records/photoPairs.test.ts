import { expect, test } from 'vitest';
import { genericPoints } from '../measure/predict';
import { PhotoSchema, type Photo } from './photo';
import { pointedOf, retakePairs, sessionPairs } from './photoPairs';

const photo = (id: string, more: Partial<Photo>): Photo =>
	PhotoSchema.parse({
		id,
		revision: 1,
		updatedAt: '2026-03-01T08:00:00.000Z',
		clientId: 'ada',
		sessionId: 'first',
		when: 'before',
		view: 'front',
		takenAt: '2026-03-01T08:00:00.000Z',
		source: 'file',
		widthPx: 1200,
		heightPx: 1600,
		fileId: 'file',
		thumbId: 'thumb',
		points: genericPoints(more.view ?? 'front'),
		...more
	});
/** 50 mm are 200 px: a quarter of a mm each. */
const MARKER: Photo['scale'] = {
	kind: 'marker',
	ends: [
		[0, 0],
		[200, 0]
	],
	lengthMm: 50
};

test('a profile takes its size from her nose on the front photograph that was taken nearest', () => {
	const front = photo('front', { scale: MARKER, takenAt: '2026-03-01T08:02:00.000Z' });
	const later = photo('later', { takenAt: '2026-04-01T08:00:00.000Z', scale: { ...MARKER, lengthMm: 70 } });
	const unscaled = photo('unscaled', {});
	const profile = photo('profile', { view: 'left' });
	const { scale } = pointedOf(profile, [later, unscaled, front, profile]);
	// From the nose root straight down to the lip, in the frame of the eyes, which lie level here.
	const down = front.points.sn![1] - front.points.se![1];
	expect(scale).toMatchObject({ kind: 'marker', ends: [profile.points.se, profile.points.sn] });
	expect(scale.kind === 'marker' && scale.lengthMm).toBeCloseTo(down / 4, 0);
	expect(pointedOf(profile, [unscaled, photo('hers', { scale: MARKER, clientId: 'bo' })]).scale).toEqual({
		kind: 'none'
	});
	expect(pointedOf({ ...profile, scale: MARKER }, [front]).scale).toBe(MARKER);
});

test('retakes are of one client, one side and one moment, two by two', () => {
	const at = (minute: number) => `2026-03-01T08:0${minute}:00.000Z`;
	const all = [
		photo('a', { takenAt: at(1) }),
		photo('b', { takenAt: at(2) }),
		photo('c', { takenAt: at(3) }),
		photo('after', { when: 'after', takenAt: at(4) }),
		photo('left', { view: 'left', takenAt: at(5) }),
		photo('left again', { view: 'left', takenAt: at(6) }),
		photo('right', { view: 'right', takenAt: at(7) }),
		photo('alone', { sessionId: null, takenAt: at(8) }),
		photo('unplaced', { points: {}, when: 'after', takenAt: at(9) })
	];
	expect(retakePairs(all, 'front')).toHaveLength(1);
	expect(retakePairs(all, 'front')[0]![0].points).toEqual(all[0]!.points);
	expect(retakePairs(all, 'profile')).toHaveLength(1);
});

test('sessions with a front photograph before and one after are pairs, each by the first of both', () => {
	const at = (day: number, minute: number) => `2026-03-0${day}T08:0${minute}:00.000Z`;
	const all = [
		photo('again', { takenAt: at(1, 2) }),
		photo('first', { takenAt: at(1, 1), points: { prn: [1, 2] } }),
		photo('after', { when: 'after', takenAt: at(1, 5), points: { prn: [3, 4] } }),
		photo('alone', { sessionId: 'second', takenAt: at(2, 1) }),
		photo('hers', { clientId: 'bo', takenAt: at(1, 1) })
	];
	expect(sessionPairs(all, 'ada').map((pair) => pair.map((p) => p.points.prn))).toEqual([
		[
			[1, 2],
			[3, 4]
		]
	]);
	expect(sessionPairs(all, 'bo')).toEqual([]);
});
