// @vitest-environment happy-dom
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { scaleGrams } from '../../core/step/levels';
import { CONTEXT } from '../../core/testing';
import { PenPad } from './penPad';
import { Press } from './press.svelte';
import { gramsIn, readLines, SerialScale } from './scale';
import { SimulatedPad, type HandId } from './simulatedPad';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** A press of the simulated pad on 1 cm² that means to be light. */
function pressed(hand: HandId, seconds = 8) {
	const start = Date.now();
	const pad = new SimulatedPad({
		hand: () => hand,
		targetGrams: () => scaleGrams(1.85, 1),
		clock: () => Date.now() - start
	});
	const press = new Press(
		() => 1,
		() => 1,
		() => CONTEXT.working
	);
	const stop = press.listen(pad);
	vi.advanceTimersByTime(2000);
	const before = press.kPa;
	pad.press(true);
	vi.advanceTimersByTime(1000 * seconds);
	const result = press.result()!;
	stop();
	return { before, result, after: press.kPa };
}

describe('the simulated pad', () => {
	test('its zero lies elsewhere and wanders: nothing on it is still 0 kPa', () => {
		const { before, after } = pressed('steady');
		expect(before).toBe(0);
		expect(after).toBeNull();
	});
	test('a steady hand stays within; an unsteady one spreads more; a heavy one leans heavy; one that tires gets lighter', () => {
		const steady = pressed('steady').result;
		expect(steady.inBand).toBeGreaterThan(0.95);
		expect(steady.meanKPa).toBeGreaterThan(1.5);
		expect(steady.meanKPa).toBeLessThan(2.2);
		expect(pressed('unsteady').result.sdKPa).toBeGreaterThan(2 * steady.sdKPa);
		expect(pressed('heavy').result.leans).toBe('heavy');
		expect(pressed('tiring', 40).result.meanKPa).toBeLessThan(pressed('tiring', 4).result.meanKPa);
	});
	test('the same seed presses the same', () => {
		expect(pressed('unsteady').result).toEqual(pressed('unsteady').result);
	});
});

test('a pen tells its pressure in grams; a mouse feels nothing, and that is said', () => {
	const element = document.createElement('div');
	const heard: number[] = [];
	const troubles: string[] = [];
	const stop = new PenPad(element, () => 400).start(
		(s) => heard.push(s.grams),
		(words) => troubles.push(words)
	);
	const at = (type: string, pointerType: string, pressure: number) =>
		element.dispatchEvent(Object.assign(new Event(type), { pointerType, pressure }));
	at('pointerdown', 'pen', 0.25);
	at('pointermove', 'pen', 0.5);
	at('pointerup', 'pen', 0);
	at('pointerdown', 'mouse', 0.5);
	expect(heard).toEqual([100, 200, 0]);
	expect(troubles).toEqual(['A mouse does not feel how hard it is pressed: use a pen, or the simulated pad.']);
	stop();
	at('pointerdown', 'pen', 1);
	expect(heard).toHaveLength(3);
});

describe('a scale on a cable', () => {
	test.each([
		['  12.5 g', 12.5],
		['ST,GS,+  12.5 g', 12.5],
		['US,NT,-   3 g', -3],
		['1.204 kg', 1204],
		['ERR', null],
		['12.5', null],
		['12.5 lb', null]
	])('“%s” is %s', (line, grams) => expect(gramsIn(line)).toBe(grams));

	const bytes = (chunks: readonly string[]) =>
		new ReadableStream<Uint8Array>({
			start(controller) {
				for (const chunk of chunks) controller.enqueue(new TextEncoder().encode(chunk));
				controller.close();
			}
		});
	test('however its bytes are cut, the lines are the same', async () => {
		vi.useRealTimers();
		const text = '1 g\r\n2 g\r\n3.5 g\n';
		await fc.assert(
			fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 20 }), async (cuts) => {
				const chunks: string[] = [];
				let at = 0;
				for (const n of cuts) chunks.push(text.slice(at, (at += n)));
				chunks.push(text.slice(at));
				const lines: string[] = [];
				await readLines(
					bytes(chunks),
					(line) => lines.push(line),
					() => false
				);
				expect(lines.filter(Boolean)).toEqual(['1 g', '2 g', '3.5 g']);
			}),
			{ numRuns: 50 }
		);
	});
	test('its readings are samples; once it is gone that is said', async () => {
		vi.useRealTimers();
		const heard: number[] = [];
		let said = '';
		new SerialScale({ readable: bytes(['4 g\n', 'ERR\n', '5 g\n']) }, () => 7).start(
			(s) => heard.push(s.grams),
			(words) => (said = words)
		);
		await vi.waitFor(() => expect(said).toMatch(/^The scale is not there any more/));
		expect(heard).toEqual([4, 5]);
	});
});
