import { describe, expect, test } from 'vitest';
import { seededRandom } from '../random';
import { emptyAssessment, withValue } from './assessment';
import { goesWith, type ToldVisit } from './goesWith';
import { onSide } from './lasting';

const ID = 'tragus-mouth-corner';
const LEFT = onSide(ID, 'left');
const taken = (mm: number) => withValue(emptyAssessment('2026-01-01T08:00:00.000Z'), ID, { side: 'left' }, mm);
const visit = (day: number, before: number, more: Partial<ToldVisit> = {}, after: number | null = null): ToldVisit => ({
	startedAt: new Date(Date.UTC(2026, 0, 1 + day, 8)).toISOString(),
	zoneOffsetMinutes: 0,
	before: taken(before),
	after: after === null ? null : taken(after),
	context: [],
	sequence: null,
	school: null,
	...more
});
const salt = (value: string) => ({ context: [{ observation: 'salt' as const, value }] });

describe('what goes with what', () => {
	test('by hand: 2 mm more after much salt, drawn towards nothing', () => {
		const visits = [100, 102, 101, 103, 100, 102].map((mm, i) => visit(i, mm, salt(i % 2 ? 'much' : 'usual')));
		// Trend by Theil–Sen: the middle of 15 slopes, 1/3 a day; what is left: 100, 101⅔, 100⅓, 102, 98⅔, 100⅓.
		const [usual] = goesWith(visits, LEFT, 1);
		// Means 99⅔ and 101⅓; squares 14/9 each; variance (28/9 / 4) · 2/3 = 14/27; believed 27/41.
		expect(usual).toMatchObject({ factor: 'Salt', level: 'usual', of: 'before', withIt: 3, without: 3, alike: [] });
		expect(usual!.plain).toBeCloseTo(-5 / 3, 9);
		expect(usual!.middle).toBeCloseTo((-27 / 41) * (5 / 3), 9);
		// t(0.975, 4) = 2.7764
		expect(usual!.high - usual!.middle).toBeCloseTo(2.7764 * Math.sqrt((27 / 41) * (14 / 27)), 3);
		expect(usual!.clear).toBe(false);
	});

	test('what the session did at once goes with the sequence; what was there fewer than three times says nothing', () => {
		const two = ['Long', 'Long', 'Long', 'Short', 'Short', 'Short', 'Rare'].map((title, i) =>
			visit(i, 100, { sequence: { title }, school: i < 3 ? 'One' : null }, title === 'Long' ? 96 + i / 10 : 99 + i / 10)
		);
		const found = goesWith(two, LEFT, 3);
		expect(found.map((g) => g.level)).toEqual(['Long', 'Short']);
		expect(found.some((g) => g.level === 'Rare' || g.factor === 'School')).toBe(false);
		expect(found.find((g) => g.level === 'Long')).toMatchObject({ of: 'at-once', clear: true });
		expect(found.find((g) => g.level === 'Long')!.middle).toBeLessThan(-2);
	});

	test('of two that exclude one another one is named; what came at the very same visits is told', () => {
		const visits = Array.from({ length: 9 }, (_, i) => {
			const bad = i % 3 === 0;
			return visit(i, 100 + (bad ? 3 : 0) + i / 50, {
				context: [
					{ observation: 'salt', value: bad ? 'much' : 'usual' },
					{ observation: 'sleep', value: bad ? 'under-5' : '5-to-7' }
				]
			});
		});
		expect(goesWith(visits, LEFT, 1).map((g) => [g.factor, g.level, g.alike])).toEqual([
			['Sleep', 'under 5 h', ['salt much']],
			['Salt', 'much', ['sleep under 5 h']]
		]);
	});

	test('nothing is said of nothing, and a fall over the weeks is not laid at the door of what came late', () => {
		expect(goesWith([], LEFT, 1)).toEqual([]);
		const fall = Array.from({ length: 12 }, (_, i) => visit(7 * i, 110 - i, salt(i < 6 ? 'much' : 'usual')));
		for (const g of goesWith(fall, LEFT, 1)) expect(Math.abs(g.plain), g.level).toBeLessThan(1e-9);
	});

	test('where nothing goes with anything its interval seldom stands clear', () => {
		let [clear, asked] = [0, 0];
		for (let client = 0; client < 200; client++) {
			const random = seededRandom(500 + client);
			const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
			const visits = Array.from({ length: 14 }, (_, i) =>
				visit(5 * i, 100 + 1.5 * normal(), salt(random() < 0.5 ? 'much' : 'usual'))
			);
			const [much] = goesWith(visits, LEFT, 1.1).filter((g) => g.factor === 'Salt');
			if (!much) continue;
			asked++;
			if (much.clear) clear++;
		}
		expect(asked).toBeGreaterThan(150);
		// 5 of 100 at most, and three standard errors of so many clients.
		expect(clear / asked).toBeLessThan(0.05 + 3 * Math.sqrt((0.05 * 0.95) / asked));
	});
});
