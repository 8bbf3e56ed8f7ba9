// @vitest-environment happy-dom
import { afterEach, describe, expect, test, vi } from 'vitest';
import { sideBySide } from '$lib/core/sideBySide/sideBySide';
import { EMPTY_HISTORY } from '$lib/core/sequence/history';
import { CONTEXT, NOW, pump, sequenceOf, step } from '$lib/core/testing';
import { all, button, clear, click, show } from '../../testing';
import Bin from './Bin.svelte';
import { rowOf } from './overview';
import SequenceCard from './SequenceCard.svelte';
import ZoneBars from './ZoneBars.svelte';

afterEach(clear);
const SEQUENCE = sequenceOf([pump('o', 'terminus'), step('a', ['malar', 'zygoma'])], {
	title: 'Ferry',
	goals: [{ id: 'glow', weight: 1 }]
});

describe('a sequence in the list', () => {
	const row = rowOf({ sequence: SEQUENCE, updatedAt: NOW }, new Map([['s1', NOW]]), CONTEXT);
	const card = (actions = {}) =>
		show(SequenceCard, {
			row,
			context: CONTEXT,
			longestSeconds: 60,
			ticked: false,
			ontick: vi.fn(),
			onduplicate: vi.fn(),
			onarchive: vi.fn(),
			onremove: vi.fn(),
			...actions
		});
	test('says its title, goals, school, steps, length and last use, and draws its score', () => {
		const root = card();
		for (const words of ['Ferry', 'circulation and glow', 'outlet first', '2 steps', '0:17'])
			expect(root.textContent?.toLowerCase()).toContain(words.toLowerCase());
		expect(root.textContent).toMatch(/used (1 Mar|Mar 1)/);
		expect(root.querySelector('svg[aria-label="Score of Ferry"]')).not.toBeNull();
		expect(root.querySelector('a')!.getAttribute('href')).toBe('/compose/s1');
	});
	test('is ticked for a comparison', () => {
		const ontick = vi.fn();
		click(card({ ontick }).querySelector('[role="checkbox"]'));
		expect(ontick).toHaveBeenCalledOnce();
	});
});

describe('the bin', () => {
	const kept = {
		id: 'k',
		kind: 'removed' as const,
		sequenceId: 's1',
		keptAt: NOW,
		name: '',
		sequence: SEQUENCE,
		history: EMPTY_HISTORY
	};
	test('gives back at once, and throws away only after asking', () => {
		const [onback, ondiscard] = [vi.fn(), vi.fn()];
		const root = show(Bin, { kept: [kept], onback, ondiscard });
		expect(root.textContent).toContain('removed on');
		click(button(root, 'Put it back'));
		expect(onback).toHaveBeenCalledWith(kept);
		click(button(root, 'Delete …'));
		expect(ondiscard).not.toHaveBeenCalled();
		click(button(root, 'Yes, for good'));
		expect(ondiscard).toHaveBeenCalledWith(kept);
	});
	test('says so when it is empty', () => {
		expect(show(Bin, { kept: [], onback: vi.fn(), ondiscard: vi.fn() }).textContent).toContain('The bin is empty.');
	});
});

test('time per zone: a bar and a figure for each, and the figures again for a screen reader', () => {
	const second = sequenceOf([step('a', ['malar', 'zygoma'], { dose: { kind: 'reps', min: 3, target: 10, max: 12 } })]);
	const { zones } = sideBySide(SEQUENCE, second, CONTEXT);
	const root = show(ZoneBars, { zones, names: ['first', 'second'] });
	expect(all(root, 'tbody tr')).toHaveLength(zones.length);
	expect(
		all(root, 'td.sr-only')
			.map((t) => t.textContent)
			.slice(0, 2)
	).toEqual(['0:05', '0:10']);
	const [a, b] = all(root, '.bar').map((el) => parseFloat(el.style.width));
	expect(b).toBeCloseTo(2 * a!, 5);
});
