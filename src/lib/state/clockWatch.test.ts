import { expect, test } from 'vitest';
import { ClockWatch } from './clockWatch';

test('a clock that is set, a device that slept and another zone are noticed once; seconds are not', () => {
	let [now, clock, zone] = [1_000_000, 0, -60];
	const watch = new ClockWatch(
		() => now,
		() => clock,
		() => zone
	);
	const after = (nowMs: number, clockMs: number) => {
		now += nowMs;
		clock += clockMs;
		return watch.moved();
	};
	expect(after(2000, 2000)).toBeNull();
	expect(after(9000, 2000)).toBeNull();
	expect(after(3_602_000, 2000)).toMatchObject({ ms: 3_607_000, zone: false });
	expect(after(2000, 2000)).toBeNull();
	expect(after(-7_198_000, 2000)).toMatchObject({ ms: -7_200_000 });
	zone = 0;
	expect(after(2000, 2000)).toEqual({ ms: 0, zone: true });
	expect(after(2000, 2000)).toBeNull();
});
