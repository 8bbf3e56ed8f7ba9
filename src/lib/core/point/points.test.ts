import { expect, test } from 'vitest';
import { FIGURE } from '../atlas/geometry';
import { TECHNIQUES } from '../technique/library';
import { pointByCode, POINTS } from './points';

test('every point says where to find it, and lies near its zone on the figure', () => {
	for (const { code, find, tradition, zone, view, at, midline } of POINTS) {
		expect(find.length, code).toBeGreaterThan(20);
		expect(tradition.length, code).toBeGreaterThan(2);
		const { centroid, area } = FIGURE[view].zones[zone]!;
		const [x, y] = centroid;
		const reach = Math.max(70, 1.3 * Math.sqrt(area));
		expect(Math.hypot(at[0] - x, at[1] - y), code).toBeLessThan(reach);
		if (view === 'front') expect(midline, code).toBe(at[0] === 400);
	}
});

test('each technique that names a point is done in the zone where the point lies', () => {
	const named = TECHNIQUES.filter((t) => t.point);
	expect(named.length).toBeGreaterThanOrEqual(15);
	for (const t of named) expect(t.paths.flat(), t.id).toContain(pointByCode(t.point!).zone);
});
