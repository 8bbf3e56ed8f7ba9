// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { filmLineOf } from '$lib/core/glide/film';
import { judge } from '$lib/core/rules/judge';
import { CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import ScoreSheet from '../picture/ScoreSheet.svelte';
import { all, clear, click, press, show } from '../../testing';
import Score from './Score.svelte';
import ScoreHandles from './ScoreHandles.svelte';
import { FULL_HEIGHTS, type ScoreFrame } from './scoreGeometry';
import { scoreSteps } from './scoreLayout';

afterEach(clear);
const SEQUENCE = sequenceOf(
	[
		pump('o', 'terminus'),
		step('a', ['malar', 'zygoma'], {
			contact: 'tool',
			tool: { id: 'roller' },
			end: { kind: 'link', places: ['n:preauricular', 'n:terminus'], pumps: 3, by: 'hand' }
		}),
		step('b', ['chin', 'jawline'], { side: { each: true, first: 'left' }, pressure: 3 })
	],
	{ title: 'Ferry' }
);
const actions = () => ({
	onzoom: vi.fn(),
	onselect: vi.fn(),
	onscrub: vi.fn(),
	oncount: vi.fn(),
	onlevel: vi.fn(),
	onsettle: vi.fn(),
	onmove: vi.fn(),
	onwords: vi.fn()
});
function score(sequence: Sequence, change: Record<string, unknown> = {}) {
	const judgement = judge(sequence, CONTEXT);
	const { byId } = judgement.context;
	const done = actions();
	const props = {
		events: judgement.events,
		byId,
		phaseTitles: new Map(sequence.phases.map((p) => [p.id, p.title])),
		flags: new Map([['a', 'caution']]),
		film: filmLineOf(sequence, judgement.events, byId, CONTEXT.working),
		dry: judgement.context.film.dry,
		selectedId: null,
		chosen: new Set<string>(),
		cursorSeconds: 0,
		caption: 'both sides, stroke 1 of 7',
		seconds: null,
		...done,
		...change
	};
	return { root: show(Score, props), done, judgement };
}

describe('the score', () => {
	test('has one target a step, which says everything in words and is one tab stop', () => {
		const { root } = score(SEQUENCE);
		const steps = all(root, '[data-step]');
		expect(steps.map((s) => s.dataset.step)).toEqual(['o', 'a', 'b']);
		expect(steps[1]!.getAttribute('aria-label')).toMatch(
			/^2\. Drain: Apple of the cheek to cheekbone, roller, light, 5 ×, both, then drained on, from /
		);
		expect(steps.filter((s) => s.getAttribute('tabindex') === '0')).toHaveLength(1);
	});
	test('is chosen by click and key, walked by arrows, and speaks on focus', () => {
		const { root, done } = score(SEQUENCE, { selectedId: 'a' });
		const [o, a, b] = all(root, '[data-step]');
		click(b);
		press(a!, 'ArrowRight');
		press(a!, 'ArrowLeft');
		press(o!, 'Enter');
		press(a!, 'End');
		expect(done.onselect.mock.calls.map(([id]) => id)).toEqual(['b', 'b', 'o', 'o', 'b']);
		a!.dispatchEvent(new FocusEvent('focus'));
		expect(done.onwords).toHaveBeenLastCalledWith(expect.stringMatching(/^2\. Drain/));
		a!.dispatchEvent(new FocusEvent('blur'));
		expect(done.onwords).toHaveBeenLastCalledWith('');
	});
	test('scrubs by the clock, which tells its time and what is done', () => {
		const { root, done } = score(SEQUENCE, { cursorSeconds: 4 });
		const clock = root.querySelector<HTMLInputElement>('input[type="range"]')!;
		expect(clock.getAttribute('aria-valuetext')).toBe('0:04, both sides, stroke 1 of 7');
		clock.value = '9';
		clock.dispatchEvent(new Event('input', { bubbles: true }));
		flushSync();
		expect(done.onscrub).toHaveBeenCalledWith(9);
	});
	test('shows tools as a quiet band, and a pennant where something is found', () => {
		const { root } = score(SEQUENCE, { selectedId: 'b' });
		expect(all(root, 'title').map((t) => t.textContent)).toContain('tools: roller');
		expect(all(root, '[data-step="a"] path[stroke="var(--flag)"]')).toHaveLength(2);
		expect(all(root, '[data-step="b"] path[stroke="var(--flag)"]')).toHaveLength(0);
	});
	test('draws hundreds of narrow steps as an outline, without a target for each', () => {
		const many = sequenceOf(Array.from({ length: 330 }, (_, i) => step(`s${i}`, ['chin', 'jawline'])));
		const { root, done } = score(many);
		expect(all(root, '[data-step]')).toHaveLength(0);
		click(root.querySelector('rect[role="presentation"]'));
		expect(done.onscrub).toHaveBeenCalledOnce();
	});
	test('is empty without steps, and still a shore', () => {
		const { root } = score(sequenceOf([]));
		expect(root.querySelector('input')).toBeNull();
		expect(root.querySelector('[data-score]')).not.toBeNull();
	});
});

describe('handles', () => {
	const judgement = judge(SEQUENCE, CONTEXT);
	const steps = scoreSteps(judgement.events, judgement.context.byId);
	const total = judgement.timing.expectedSeconds;
	const frame: ScoreFrame = {
		seconds: total,
		x0: 0,
		x1: total * 10,
		mid: 100,
		bar: 16,
		heights: FULL_HEIGHTS,
		swing: 0
	};
	test('an opening has an edge only, a swell a crest too, on each side that is worked', () => {
		const of = (i: number) => {
			const root = show(ScoreHandles, { step: steps[i], frame, oncount: vi.fn(), onlevel: vi.fn(), onend: vi.fn() });
			return [all(root, '.across').length, all(root, '.up').length];
		};
		expect([of(0), of(1), of(2)]).toEqual([
			[2, 0],
			[2, 2],
			[2, 2]
		]);
	});
	test('a wider swell is a higher count; letting go ends it', () => {
		const [oncount, onend] = [vi.fn(), vi.fn()];
		const root = show(ScoreHandles, { step: steps[1], frame, oncount, onlevel: vi.fn(), onend });
		const edge = root.querySelector('.across')!;
		Object.assign(edge, { setPointerCapture: () => undefined });
		const send = (type: string, x: number) => {
			edge.dispatchEvent(
				Object.assign(new MouseEvent(type, { clientX: x, bubbles: true, cancelable: true }), { pointerId: 1 })
			);
			flushSync();
		};
		send('pointerdown', 0);
		const width = (steps[1]!.spans[0]!.endSeconds - steps[1]!.spans[0]!.startSeconds) * 10;
		send('pointermove', width);
		expect(oncount).toHaveBeenLastCalledWith(10);
		send('pointerup', width);
		expect(onend).toHaveBeenCalledOnce();
		send('pointermove', 0);
		expect(oncount).toHaveBeenCalledOnce();
	});
});

test('the sheet of the score stands by itself: title, sides, minutes, bands, and a legend of what occurs', () => {
	const judgement = judge(SEQUENCE, CONTEXT);
	const root = show(ScoreSheet, {
		sequence: SEQUENCE,
		events: judgement.events,
		byId: judgement.context.byId,
		width: 1000
	});
	const texts = all(root, 'text').map((t) => t.textContent?.trim() ?? '');
	for (const words of ['Ferry', 'left', 'right', 'tools', 'open', 'drain']) expect(texts).toContain(words);
	expect(texts.some((t) => t.startsWith('height: pressure, 0 touch'))).toBe(true);
	expect(texts).not.toContain('lift');
	expect(all(root, 'text').map((t) => t.textContent)).toEqual(expect.arrayContaining(['1', '2', '3']));
});
