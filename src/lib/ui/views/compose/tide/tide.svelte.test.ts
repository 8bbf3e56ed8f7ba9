// @vitest-environment happy-dom
import { afterEach, describe, expect, test, vi } from 'vitest';
import { planOfSequence } from '$lib/core/flow/compile';
import { gradesOfStart, type StartId } from '$lib/core/flow/starts';
import { tideOf } from '$lib/core/flow/tide';
import type { StepWorth } from '$lib/core/flow/worth';
import { CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import type { TideState } from '$lib/state/tide.svelte';
import { all, button, clear, click, show, showOnPage } from '../../../testing';
import type { ScoreFrame } from '../../../parts/score/scoreGeometry';
import BalanceBar from './BalanceBar.svelte';
import { gradeAt, ribbonShape, ribbonsOf } from './ribbons';
import StepTide from './StepTide.svelte';
import TideLane from './TideLane.svelte';
import TideMapMarks from './TideMapMarks.svelte';
import TideNames from './TideNames.svelte';
import TideRibbons from './TideRibbons.svelte';
import TideStrip from './TideStrip.svelte';
import ToyTide from '../../library/ToyTide.svelte';
import { tideNodes, tideTints } from './tideLayer';

afterEach(clear);
const SEQUENCE = sequenceOf([
	pump('o', 'terminus'),
	step('a', ['buccal', 'jawline', 'n:submandibular'], { side: 'left', reason: 'fuller' }),
	step('up', ['jawline', 'buccal', 'malar'], { aim: 'lift', dose: { kind: 'reps', min: 12, target: 12, max: 12 } })
]);
const tideFrom = (start: StartId) => tideOf(planOfSequence(SEQUENCE, CONTEXT), gradesOfStart(start));
const TIDE = tideFrom('morning');
const FRAME: ScoreFrame = {
	seconds: TIDE.seconds,
	x0: 20,
	x1: 420,
	mid: 100,
	bar: 16,
	heights: [14, 30, 43, 55, 67],
	swing: 1
};

describe('ribbons', () => {
	test('the zones that hold most, in anatomical order, never more than asked; none where nothing is swollen', () => {
		// Twelve lifts leave most in the apple of the cheek; the lids began with most.
		expect(ribbonsOf(TIDE, 2).map((r) => r.zone)).toEqual(['lower-eyelid', 'malar']);
		expect(ribbonsOf(TIDE, 40).length).toBeGreaterThan(7);
		expect(ribbonsOf(tideFrom('even'), 3)).toEqual([]);
	});
	test('the upper bank is the client’s left, the lower one the right; capped at its row, marked beyond grade 4', () => {
		const ribbon = ribbonsOf(TIDE, 2)[0]!;
		const { banks, highWater, beyond } = ribbonShape(TIDE, ribbon, FRAME, 50, 0);
		// 75 of 100: 7.9 px on either side of the centre line, which undulates by up to 2.6 px.
		const y = (d: string) => Number(/^M[\d.]+ ([\d.]+)/.exec(d)![1]);
		expect(y(banks[1]!) - y(banks[0]!)).toBeCloseTo(15.75, 0);
		expect(highWater.startsWith(banks[0]!.slice(0, 8))).toBe(true);
		expect(beyond).toBe('');
		const flooded = { ...TIDE, grades: TIDE.grades.map((g) => g * 2) };
		const shape = ribbonShape(flooded, ribbon, FRAME, 50, 0);
		expect(y(shape.banks[1]!) - y(shape.banks[0]!)).toBeCloseTo(21, 0);
		expect(shape.beyond).toMatch(/^M/);
	});
	test('they say start and end in words, show the values at the cursor, and lead from a mark to its step', () => {
		const onselect = vi.fn();
		const ribbons = ribbonsOf(TIDE, 2);
		const root = showOnPage(TideRibbons, {
			tide: TIDE,
			ribbons,
			frame: FRAME,
			width: 460,
			top: 200,
			cursorSeconds: 0,
			lookSeconds: 0,
			numberOf: (id: string) => ({ o: 1, a: 2, up: 3 })[id],
			onselect
		});
		const left = Math.round(25 * gradeAt(TIDE, 'lower-eyelid', 'left', TIDE.seconds));
		expect(root.querySelector('[data-tide]')!.getAttribute('aria-label')).toContain(
			`Lower eyelid: left from 75 to ${left}, right from 75`
		);
		expect(all(root, '.now').map((t) => t.textContent)).toEqual(['75', '75', '50', '50']);
		const mark = button(root, /^Step 3, 0:\d\d: 0\.\d ml is set down in the (left|right)/)!;
		click(mark);
		expect(onselect).toHaveBeenCalledWith('up');
	});
	test('many marks of one step are one sign, the first three in words', () => {
		const marks = [1, 2, 3, 4].map((place) => ({
			kind: 'dammed' as const,
			stepId: 'a',
			place,
			ml: 0.1 * place,
			atSeconds: 10,
			number: 2,
			when: '0:10'
		}));
		const root = showOnPage(TideLane, { marks, frame: FRAME, top: 0, onselect: vi.fn() });
		expect(all(root, '[data-mark="dammed"]')).toHaveLength(1);
		expect(root.querySelector('button')!.getAttribute('aria-label')).toMatch(/; and 1 more places$/);
	});
	test('the names carry the start of both sides', () => {
		const root = show(TideNames, { tide: TIDE, ribbons: ribbonsOf(TIDE, 2), top: 0 });
		expect(root.textContent).toMatch(/Lower eyelid\s*7575/);
	});
});

describe('the face at the cursor', () => {
	test('water by modelled grade, dotted where more stood; the words say it', () => {
		const tint = (seconds: number) =>
			tideTints(TIDE, seconds).find((t) => t.zone === 'lower-eyelid' && t.side === 'left')!;
		expect(tint(0)).toMatchObject({ lines: 3, before: 3, value: '75', words: 'modelled tide 75 of 100' });
		expect(tideTints(tideFrom('even'), 0)).toEqual([]);
		const buccal = tideTints(TIDE, 17).filter((t) => t.zone === 'buccal');
		expect(Number(buccal[0]!.value)).toBeLessThan(Number(buccal[1]!.value));
	});
	test('node groups open, fade and fill', () => {
		const at = (s: number) => tideNodes(TIDE, s).get('terminus:left')!;
		expect(at(0).open).toBe(0);
		expect(at(7).open).toBeGreaterThan(0.4);
		expect(at(TIDE.seconds).open).toBeLessThan(at(8).open);
		const jaw = (s: number) => tideNodes(TIDE, s).get('submandibular:left')!.fill;
		expect(jaw(17)).toBeGreaterThan(jaw(7));
	});
	test('a sign stands where fluid did not get through, once it has happened', () => {
		const signs = (seconds: number, view = 'front') =>
			all(show(TideMapMarks, { view, tide: TIDE, seconds }), 'ellipse').length;
		expect(signs(0)).toBe(0);
		expect(signs(TIDE.seconds)).toBeGreaterThan(0);
		expect(signs(TIDE.seconds, 'profile')).toBeLessThan(signs(TIDE.seconds));
	});
});

describe('where it went, and what a step is worth', () => {
	test('the parts are named with their ml, and make up what was there and what came in', () => {
		const text = show(BalanceBar, { tide: TIDE, seconds: TIDE.seconds }).textContent!;
		expect(text).toMatch(/face \d+\.\d.*neck and chest \d.*nodes \d.*returned 0\.\d.*of 21\.6/s);
		const numbers = [...text.matchAll(/\d+\.\d/g)].map(Number);
		expect(Math.abs(numbers.slice(0, 4).reduce((a, b) => a + b) - 21.6)).toBeLessThan(0.3);
	});
	const state = (change: Partial<TideState>) =>
		({
			tide: TIDE,
			worth: null,
			trouble: '',
			start: 'morning',
			canBeFelt: false,
			choose: vi.fn(),
			...change
		}) as unknown as TideState;
	test('the sentences of a step, what is left out, and what only the model sees', () => {
		const effect = (median: number, share: number, lessIn: number, moreIn: number) => ({
			ml: { median, p5: 2 * median, p95: median / 2 },
			ofStart: { median: share, p5: 2 * share, p95: share / 2 },
			lessIn,
			moreIn
		});
		const worth: StepWorth = {
			stepId: 'up',
			draws: 200,
			without: effect(-0.3, -0.012, 10, 190),
			staysWithout: null,
			withoutLink: null,
			earlier: effect(-0.12, -0.02, 0, 200),
			later: null
		};
		const leftOut = [{ stepId: 'up', reason: 'inside' as const, places: [] }];
		const root = show(StepTide, { tide: state({ worth, tide: { ...TIDE, leftOut } }), stepId: 'up', findings: [] });
		expect(root.textContent).toContain(
			'Without this step 0.3 ml more is gone ten minutes after the end in about 95 % of 200 modelled faces (0.1 to 0.6 ml in nine of ten).'
		);
		expect(root.textContent).toContain(
			'One place earlier, 0.1 ml more is gone ten minutes after the end in all of 200'
		);
		expect(root.textContent).toContain('not inside the mouth');
		expect(root.textContent).toMatch(/never carried on\. No rule says so/);
		const other = show(StepTide, { tide: state({ worth }), stepId: 'a', findings: [] });
		expect(other.textContent).not.toContain('Without this step');
	});
	test('the strip says what went wrong, offers the starts and all waters', () => {
		const onall = vi.fn();
		const props = { cursorSeconds: 0, sequenceId: 's1', when: 'today', all: false, more: true, onall };
		const root = show(TideStrip, { ...props, state: state({ trouble: 'It stopped by itself.' }) });
		expect(root.querySelector('[role="alert"]')!.textContent).toBe('It stopped by itself.');
		expect(root.querySelector('a[href="/compose/tide?ids=s1"]')).not.toBeNull();
		click(button(root, /All zones/)!);
		expect(onall).toHaveBeenCalledOnce();
	});
});

test('the small model answers to each of its three choices', () => {
	const root = show(ToyTide, {});
	const said = () => root.querySelector('[role="status"]')!.textContent!;
	const choose = (name: string) => click(all(root, '[role="radio"]').find((r) => r.textContent!.includes(name)));
	const texts = [said()];
	for (const name of ['Left closed', 'Deep', 'Against it']) {
		choose(name);
		texts.push(said());
	}
	expect(new Set(texts).size).toBe(4);
});
