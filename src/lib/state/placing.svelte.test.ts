import { describe, expect, test } from 'vitest';
import type { Points } from '../core/measure/landmarks';
import { GENERIC } from '../core/measure/predict';
import { Placing } from './placing.svelte';

const photo = { points: {}, scale: { kind: 'none' as const }, view: 'front' as const, widthPx: 1200, heightPx: 1600 };
function placing(earlier: Points | null = null, given: object = {}) {
	const told: { points: Points; scale: { kind: string } }[] = [];
	return { told, p: new Placing({ ...photo, ...given }, earlier, (change) => told.push(change)) };
}

describe('placing by keys alone', () => {
	test('begins with the eyes, where a usual face has them; nothing is placed before it is confirmed', () => {
		const { p, told } = placing();
		expect(p.target).toBe('exR');
		expect(p.here).toEqual(GENERIC.front.exR);
		expect(p.confirmed).toBe(false);
		p.nudge(1, 0, 'far');
		p.nudge(0, -1, 'usual');
		p.nudge(0, -1, 'fine');
		expect(told).toEqual([]);
		const at = [GENERIC.front.exR![0] + 10, GENERIC.front.exR![1] - 1.25];
		p.confirm();
		expect(p.points).toEqual({ exR: at });
		expect(told).toHaveLength(1);
		expect(p.target).toBe('enR');
	});

	test('the next ones begin where an earlier photograph of her has them, laid onto what is placed', () => {
		const shifted = Object.fromEntries(
			Object.entries(GENERIC.front).map(([id, [x, y]]) => [id, [x + 50, y - 20]])
		) as Points;
		const { p } = placing({ ...GENERIC.front, sn: [GENERIC.front.sn![0], GENERIC.front.sn![1] + 12] });
		for (const id of ['exR', 'enR', 'enL', 'exL'] as const) {
			p.move(shifted[id]!);
			p.confirm();
		}
		p.choose(p.targets.indexOf('sn'));
		expect(p.here[0]).toBeCloseTo(GENERIC.front.sn![0] + 50, 6);
		expect(p.here[1]).toBeCloseTo(GENERIC.front.sn![1] + 12 - 20, 6);
	});

	test('a point is kept in the picture, can be taken away, and one goes back and forth', () => {
		const { p } = placing();
		p.move([-50, 9000]);
		expect(p.here).toEqual([0, 1600]);
		p.confirm();
		p.choose(0);
		expect(p.confirmed).toBe(true);
		p.take();
		expect(p.points).toEqual({});
		p.choose(-3);
		expect(p.at).toBe(0);
	});

	test('what tells the size counts once all its ends are there', () => {
		const { p, told } = placing(null, { points: GENERIC.front });
		p.setScale('iris');
		expect(p.target).toBe('end0');
		// Beside the pupil, on the viewer’s left.
		expect(p.here[0]).toBeLessThan(GENERIC.front.pR![0]);
		for (let i = 0; i < 3; i++) p.confirm();
		expect(told.at(-1)!.scale).toEqual({ kind: 'none' });
		p.confirm();
		expect(told.at(-1)!.scale.kind).toBe('iris');
		p.setScale('marker');
		expect(p.targets.slice(-2)).toEqual(['end0', 'end1']);
		expect(told.at(-1)!.scale).toEqual({ kind: 'none' });
	});

	test('what cannot be is said at once', () => {
		const { p } = placing(null, { points: { ...GENERIC.front, psL: [700, 1500] } });
		expect(p.faults.map((f) => f.points)).toContainEqual(['psL', 'pL']);
		expect(p.missing).toEqual([]);
	});

	test('what is not placed is suggested once two points are, and an offer comes first; nothing of it is kept', () => {
		const { p, told } = placing();
		expect(p.suggestions).toEqual([]);
		p.confirm();
		p.confirm();
		expect(p.suggestions).toHaveLength(p.targets.length - 2);
		expect(p.suggestions.map((s) => s.target)).not.toContain('exR');
		const kept = told.length;
		p.offer({ prn: [601, 702] });
		expect(p.suggestions.find((s) => s.target === 'prn')!.at).toEqual([601, 702]);
		p.choose(p.targets.indexOf('prn'));
		expect([p.here, p.confirmed, told.length]).toEqual([[601, 702], false, kept]);
	});

	test('a marker is checked against irises of 11.7 mm: 12 in 100 are minded, and the irises are not kept', () => {
		const { p, told } = placing(null, { points: GENERIC.front });
		p.setScale('marker');
		for (const x of [100, 350]) {
			p.move([x, 300]);
			p.confirm();
		}
		// 25 mm are 250 px, so an iris is 117 px across.
		p.check(true);
		const put = (across: number) => {
			p.choose(p.targets.indexOf('check0'));
			for (const [x, eye] of [
				[0, 400],
				[across, 400],
				[0, 800],
				[across, 800]
			] as const) {
				p.move([eye + x, 500]);
				p.confirm();
			}
		};
		put(117);
		expect(p.markerOff).toBeNull();
		put(140);
		expect(p.markerOff).toBeCloseTo(140 / 117 - 1, 6);
		expect(told.at(-1)!.scale).toMatchObject({ kind: 'marker', lengthMm: 25 });
		p.check(false);
		expect([p.checking, p.markerOff, p.targets.some((t) => t.startsWith('check'))]).toEqual([false, null, false]);
	});
});
