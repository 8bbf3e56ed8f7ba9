// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { flushSync } from 'svelte';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { emptyAssessment, withValue } from '$lib/core/assess/assessment';
import * as COVERAGE from '$lib/core/goal/coverage';
import { findingSpots } from '$lib/core/rules/findingSpots';
import { judge } from '$lib/core/rules/judge';
import { schoolById } from '$lib/core/school/schools';
import { EMPTY_HISTORY } from '$lib/core/sequence/history';
import { CONTEXT, NOW, pump, sequenceOf, step } from '$lib/core/testing';
import { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
import { makeDb, type SoftTideDb } from '$lib/store/db';
import { Repository } from '$lib/store/repository';
import DivideField from '$lib/ui/views/compose/inspector/DivideField.svelte';
import ManyPanel from '$lib/ui/views/compose/inspector/ManyPanel.svelte';
import StepList from '$lib/ui/views/compose/steps/StepList.svelte';
import { all, button, clear, click, press, show } from '$lib/ui/testing';
import EmptyHint from '$lib/ui/views/compose/EmptyHint.svelte';
import ComposeFacts from '$lib/ui/views/compose/ComposeFacts.svelte';
import MapLegend from '$lib/ui/views/compose/MapLegend.svelte';
import { readoutOf, tintsOf } from '$lib/ui/views/compose/mapLayers';

let db: SoftTideDb;
let draft: SequenceDraft;
let n = 0;
const newId = () => `new-${n++}`;
const SEQUENCE = sequenceOf(
	[
		pump('o', 'terminus'),
		step('a', ['malar', 'zygoma', 'preauricular'], { pressure: 2 }),
		step('b', ['chin', 'jawline'], { side: 'left', reason: 'fuller' }),
		pump('c', 'tonsillar')
	],
	{ goals: [{ id: 'under-eye', weight: 1 }] }
);
beforeEach(async () => {
	db = makeDb(`compose-${n++}`);
	const repo = new Repository(db, () => new Date(NOW), newId);
	const { record } = await repo.saveSequence(SEQUENCE);
	draft = new SequenceDraft({ sequence: record.sequence, history: EMPTY_HISTORY }, CONTEXT, repo);
});
afterEach(async () => {
	clear();
	await vi.waitFor(() => expect(draft.saving.state).toBe('saved'));
	await db.delete();
});

describe('the list', () => {
	const rows = (root: HTMLElement) => all(root, '[data-row]').map((r) => r.dataset.row);
	test('shows each step once, with its number, and marks the chosen one', () => {
		draft.select('a');
		const root = show(StepList, { draft, flags: new Map([['a', 'caution']]) });
		expect(rows(root)).toEqual(['o', 'a', 'b', 'c']);
		const current = all(root, '[aria-current="step"]');
		expect(current).toHaveLength(1);
		expect(current[0]!.getAttribute('aria-label')).toMatch(
			/^2\. Drain: Apple of the cheek to cheekbone to front of the ear.*, a caution$/
		);
	});
	test('a click chooses, with Shift a range, with Ctrl one more; Enter and Space choose too', () => {
		const root = show(StepList, { draft, flags: new Map() });
		const row = (id: string) => root.querySelector<HTMLElement>(`[data-row="${id}"]`)!;
		click(row('o'));
		expect(draft.selectedId).toBe('o');
		click(row('b'), { shiftKey: true });
		expect([...draft.chosen.ids]).toEqual(['o', 'a', 'b']);
		click(row('c'), { ctrlKey: true });
		expect(draft.chosen.ids.size).toBe(4);
		expect(all(root, '[aria-pressed="true"]')).toHaveLength(4);
		press(row('a').querySelector('[data-step-button]')!, ' ');
		expect([draft.selectedId, draft.chosen.many]).toEqual(['a', false]);
	});
	test('an edit draws the row anew that it changed, and no other', () => {
		const root = show(StepList, { draft, flags: new Map() });
		const before = all(root, '[data-row]');
		draft.attempt(() => ({ label: 'x', patch: [], inverse: [] }));
		draft.select('a');
		flushSync();
		expect(all(root, '[data-row]')).toEqual(before);
		expect(root.querySelector('[data-row="a"] input')).not.toBeNull();
	});
	test('a phase can be folded and unfolded', () => {
		const root = show(StepList, { draft, flags: new Map() });
		click(button(root, 'Work'));
		expect(rows(root)).toEqual([]);
		expect(root.textContent).toContain('4 steps');
		click(button(root, 'Work'));
		expect(rows(root)).toHaveLength(4);
	});
});

describe('several steps', () => {
	const panel = () => {
		draft.select('o');
		draft.chosen.all();
		return show(ManyPanel, { draft, newId });
	};
	test('are changed together: pressure, dose, side, contact, left out', () => {
		const root = panel();
		expect(root.querySelector('h2')!.textContent).toMatch(/^4 steps, /);
		click(button(root, 'One more each'));
		expect(draft.byId.get('a')!.step.dose.target).toBe(6);
		click(button(root, 'Left, then right'));
		expect(draft.steps.every((s) => typeof s.step.side === 'object')).toBe(true);
		click(button(root, 'May be left out'));
		expect(draft.steps.every((s) => s.step.optional)).toBe(true);
		expect(draft.history.past.map((e) => e.label)).toEqual([
			'Change the repeats of 4 steps',
			'Change the side of 4 steps',
			'May be left out of 4 steps'
		]);
	});
	test('are duplicated, repeated on the other side, mirrored, removed; what is impossible is said', () => {
		const root = panel();
		click(button(root, 'Other side'));
		expect(draft.steps.at(-1)!.step).toMatchObject({ side: 'right', places: ['chin', 'jawline'] });
		draft.select('a');
		draft.chosen.extendTo('b');
		flushSync();
		click(button(root, 'Mirror'));
		expect(draft.byId.get('b')!.step.side).toBe('right');
		click(button(root, 'Remove'));
		expect(draft.byId.has('a')).toBe(false);
		draft.select('o');
		draft.chosen.extendTo('c');
		flushSync();
		click(button(root, 'Other side'));
		expect(draft.refusal).toBe('None of these works one side only.');
	});
	test('become a block side by side', () => {
		const root = panel();
		draft.select('o');
		draft.chosen.extendTo('a');
		flushSync();
		click(button(root, 'Side by side'));
		expect(draft.sequence.phases[0]!.blocks.map((b) => b.steps.length)).toEqual([2, 2]);
		click(button(root, 'Side by side'));
		expect(draft.refusal).toMatch(/in a block already/);
	});
});

test('a step can be divided where its way bends, and begin a phase where it is not the first', () => {
	const of = (id: string) => show(DivideField, { draft, placed: draft.byId.get(id)!, newId });
	expect(of('o').textContent?.trim()).toBe('');
	expect(button(of('a'), 'Divide the step or its phase')).toBeDefined();
});

test('the sequence at a glance: steps, time, sides, and findings that lead on', () => {
	const onfindings = vi.fn();
	const root = show(ComposeFacts, { draft, onfindings });
	expect(root.querySelector('h2')!.textContent).toBe('4 steps');
	expect(root.textContent).toContain('outlet first');
	const counts = all(root, 'dd button');
	expect(counts.length).toBeGreaterThan(0);
	click(counts[0]);
	expect(onfindings).toHaveBeenCalledOnce();
});

test('an empty sequence offers three ways and the tour', () => {
	const [ondraw, ontype, ontour] = [vi.fn(), vi.fn(), vi.fn()];
	const root = show(EmptyHint, { school: schoolById('outlet-first'), ondraw, ontype, ontour });
	click(button(root, 'To the face'));
	click(button(root, 'Type'));
	click(button(root, 'Show me around'));
	expect([ondraw, ontype, ontour].map((f) => f.mock.calls.length)).toEqual([1, 1, 1]);
	expect(root.querySelector('a')!.getAttribute('href')).toBe('/library/sequences');
	expect(all(root, 'li')).toHaveLength(3);
});

describe('the layers of the map', () => {
	const judgement = judge(SEQUENCE, CONTEXT);
	const assessment = withValue(
		withValue(emptyAssessment(NOW), 'puffiness', { place: 'malar', side: 'left' }, 3),
		'puffiness',
		{ place: 'chin', side: 'right' },
		1
	);
	const of = (layer: Parameters<typeof tintsOf>[0]) =>
		tintsOf(
			layer,
			() => SEQUENCE,
			() => judgement,
			assessment,
			COVERAGE
		);
	test('grades are water lines, in words too', () => {
		expect(of('puffiness').map((t) => [t.zone, t.side, t.lines, t.words])).toEqual([
			['malar', 'left', 3, 'puffiness 3, marked'],
			['chin', 'right', 1, 'puffiness 1, slight']
		]);
		expect(of('tension')).toEqual([]);
		expect(of('none')).toEqual([]);
	});
	test('worked seconds: one side only where only one was worked', () => {
		const worked = of('worked');
		expect(worked.filter((t) => t.zone === 'chin').map((t) => t.side)).toEqual(['left']);
		expect(worked.filter((t) => t.zone === 'malar')).toHaveLength(2);
	});
	test('goals: what is served stands as lines, what is missing is dotted', () => {
		const covered = of('coverage');
		expect(covered.length).toBeGreaterThan(0);
		for (const t of covered) expect([t.before, (t.lines ?? 0) <= 4]).toEqual([4, true]);
		expect(
			tintsOf(
				'coverage',
				() => SEQUENCE,
				() => judgement,
				assessment,
				null
			)
		).toEqual([]);
	});
	test('findings: the gravest of a zone is planted there, all are counted', () => {
		const flags = findingSpots(judgement);
		expect(flags.length).toBeGreaterThan(0);
		expect(of('findings').map((t) => t.value)).toEqual(flags.map((f) => String(f.count)));
		expect(new Set(flags.map((f) => `${f.zone}:${f.side}`)).size).toBe(flags.length);
	});
	test('the readout names the three that matter most', () => {
		expect(readoutOf(of('worked'), 'left')).toHaveLength(3);
		expect(readoutOf(of('puffiness'), 'right')).toEqual([{ zone: 'Chin', value: '1' }]);
	});
	test('the legend tells what the marks mean in each layer', () => {
		expect(show(MapLegend, { layer: 'coverage' }).textContent).toContain('dotted is missing');
		expect(all(show(MapLegend, { layer: 'none' }), 'li')).toHaveLength(3);
	});
});
