// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { sentenceOf } from '$lib/core/rules/wording';
import { judge } from '$lib/core/rules/judge';
import { changeAt, changesOf } from '$lib/core/assess/change';
import { gradeRow } from '$lib/core/assess/registry';
import { emptyAssessment, withValue } from '$lib/core/assess/assessment';
import { expand } from '$lib/core/sequence/expand';
import { stepsOf } from '$lib/core/sequence/walk';
import { CONTEXT, NOW, pump, sequenceOf, step } from '$lib/core/testing';
import { all, clear, press, show } from './testing';
import MeasureTable from './views/session/MeasureTable.svelte';
import GradeCell from './views/session/GradeCell.svelte';
import Gauge from './views/session/Gauge.svelte';
import StepWaves from './views/session/StepWaves.svelte';
import Finding from './views/compose/inspector/Finding.svelte';
import AddPanel from './views/compose/inspector/AddPanel.svelte';
import MeasuredChanges from './views/progress/MeasuredChanges.svelte';
import SandBar from './parts/verdict/SandBar.svelte';
import FaceMap from './parts/map/FaceMap.svelte';
import MiniScore from './parts/score/MiniScore.svelte';
import ImportPreview from './views/exchange/ImportPreview.svelte';
import Ripples from './parts/glyphs/Ripples.svelte';
import SideGlyph from './parts/glyphs/SideGlyph.svelte';
import Pennant from './parts/glyphs/Pennant.svelte';
import ClientForm from './parts/shell/ClientForm.svelte';
import Stepper from './parts/controls/Stepper.svelte';
import { schoolById } from '$lib/core/school/schools';
import { techniqueById, techniquesFor, TECHNIQUES } from '$lib/core/technique/library';
import type { PlaceId } from '$lib/core/atlas/places';

afterEach(clear);

describe('glyphs', () => {
	test('pressure is a dent: deeper and bolder with every level, a touch rests on the skin', () => {
		const drawn = ([0, 1, 2, 3, 4] as const).map((level) => {
			const root = show(Ripples, { level });
			const tip = root.querySelector('circle')!;
			return {
				weight: Number(root.querySelector('svg')!.getAttribute('stroke-width')),
				depth: Number(tip.getAttribute('cy')),
				filled: tip.getAttribute('fill') !== 'none'
			};
		});
		for (const part of ['weight', 'depth'] as const)
			expect(drawn.map((d) => d[part])).toEqual(drawn.map((d) => d[part]).toSorted((a, b) => a - b));
		expect(new Set(drawn.map((d) => d.depth)).size).toBe(5);
		expect(drawn.map((d) => d.filled)).toEqual([false, true, true, true, true]);
	});
	test('a finding is one pennant, a stop two on one staff, an advice hollow', () => {
		const cloth = (severity: 'stop' | 'caution' | 'advice') => all(show(Pennant, { severity }), 'path')[1]!;
		expect(cloth('stop').getAttribute('d')!.match(/Z/g)).toHaveLength(2);
		expect(cloth('caution').getAttribute('fill')).toBe('var(--flag)');
		expect(cloth('advice').getAttribute('fill')).toBe('var(--sheet)');
	});
	test('each side choice has a drawing of its own', () => {
		const sides = [
			'both',
			'midline',
			'left',
			'right',
			{ each: true, first: 'left' },
			{ each: true, first: 'right' },
			{ alternate: true, first: 'left' },
			undefined
		] as const;
		const drawn = sides.map((side) => show(SideGlyph, { side }).querySelector('path')!.getAttribute('d'));
		expect(new Set(drawn).size).toBe(sides.length);
	});
});

describe('grading', () => {
	const cell = (grade: 0 | 1 | 2 | 3 | 4 | null) => {
		const onchange = vi.fn();
		const root = show(GradeCell, {
			grade,
			ghost: 2,
			name: 'Chin, client’s left',
			words: gradeRow('puffiness').words,
			active: false,
			onchange,
			onfocus: () => {}
		});
		return { button: root.querySelector('button')!, onchange };
	};
	test('a tap is one step more, and round again', () => {
		for (const [from, to] of [
			[null, 1],
			[1, 2],
			[4, 0]
		] as const) {
			const { button, onchange } = cell(from);
			button.click();
			expect(onchange).toHaveBeenCalledWith(to);
		}
	});
	test('keys set it, Delete takes it away, and it says what it is', () => {
		const { button, onchange } = cell(2);
		for (const key of ['3', 'ArrowUp', 'ArrowDown', 'Delete', 'x']) press(button, key);
		expect(onchange.mock.calls.flat()).toEqual([3, 3, 1, null]);
		expect(button.getAttribute('aria-label')).toMatch(/^Chin, client’s left: 2, visible/);
		expect(cell(null).button.textContent).toContain('not felt');
	});
	test('the gauge holds water to the grade, and the dotted line of the time before', () => {
		const full = show(Gauge, { grade: 3, ghost: 4 });
		expect(full.querySelector('path')!.getAttribute('d')).toContain('V31');
		expect(full.innerHTML).toContain('0.1 3.4');
		expect(show(Gauge, { grade: null }).innerHTML).not.toContain('drainfill');
	});
});

describe('the tape', () => {
	const table = (unit: 'mm' | 'inch') => {
		const onchange = vi.fn();
		const assessment = withValue(emptyAssessment(NOW), 'tragus-mouth-corner', { side: 'left' }, 101.6);
		return { root: show(MeasureTable, { assessment, ghost: assessment, unit, onchange }), onchange };
	};
	const enter = (input: HTMLInputElement, value: string) => {
		input.value = value;
		input.dispatchEvent(new Event('change', { bubbles: true }));
		flushSync();
	};
	test('shows the unit, stores millimetres, takes a comma, empties', () => {
		const { root, onchange } = table('inch');
		// As the map: facing, the client’s right stands on the left.
		expect(all(root, 'thead th').map((th) => th.textContent)).toEqual([
			'Tape, inch',
			'client’s right',
			'client’s left'
		]);
		const input = root.querySelector<HTMLInputElement>('input[aria-label*="client’s left"]')!;
		expect(input.value).toBe('4.00');
		enter(input, '4,1');
		expect(onchange.mock.calls[0]![0].entries[0].value).toBeCloseTo(104.1, 1);
		enter(input, '');
		expect(onchange.mock.calls[1]![0].entries).toEqual([]);
	});
	test('an implausible reading is answered at the field and not stored', () => {
		const { root, onchange } = table('mm');
		const input = root.querySelectorAll('input')[1]!;
		enter(input, '9.6');
		expect(onchange).not.toHaveBeenCalled();
		expect(root.querySelector('[role=alert]')!.textContent).toMatch(/centimetres it would be 96.0/);
		expect(input.getAttribute('aria-invalid')).toBe('true');
		root.querySelector<HTMLButtonElement>('[role=alert] button')!.click();
		expect(onchange.mock.calls[0]![0].entries[0].value).toBe(96);
		flushSync();
		enter(input, '96');
		expect(root.querySelector('[role=alert]')).toBeNull();
	});
	test('one that is far from hers of before is stored as typed, and asked about', () => {
		const { root, onchange } = table('mm');
		const input = root.querySelectorAll('input')[1]!;
		enter(input, '125');
		expect(onchange.mock.calls[0]![0].entries[0].value).toBe(125);
		expect(root.querySelector('[role=alert]')!.textContent).toMatch(/125\.0 mm is far from her 101\.6 mm of before/);
		expect(input.getAttribute('aria-invalid')).toBe('false');
		expect(root.querySelector('[role=alert] button')).toBeNull();
	});
	test('changes: words beside figures, solid only where it is believed', () => {
		const before = withValue(
			withValue(emptyAssessment(NOW), 'tragus-mouth-corner', { side: 'left' }, 104),
			'jaw-angle-nose-wing',
			{ side: 'left' },
			88
		);
		const after = withValue(
			withValue(emptyAssessment(NOW), 'tragus-mouth-corner', { side: 'left' }, 99),
			'jaw-angle-nose-wing',
			{ side: 'left' },
			87
		);
		const { working } = CONTEXT;
		const text = show(MeasuredChanges, { before, after, working, comparable: true, unit: 'mm' }).textContent!;
		expect(text).toContain('104.0 to 99.0');
		expect(text).toContain('−5.0');
		expect(text).toContain('within measuring error');
		const fill = (id: 'tragus-mouth-corner' | 'jaw-angle-nose-wing') =>
			all(show(SandBar, { change: changeAt(id, { side: 'left' }, before, after, working) }), 'circle')
				.at(-1)!
				.getAttribute('fill');
		expect([fill('tragus-mouth-corner'), fill('jaw-angle-nose-wing')]).toEqual(['var(--drain)', 'var(--sheet)']);
	});
});

describe('the map', () => {
	const props = { view: 'front' as const, orientation: 'facing' as const, label: 'Map' };
	test('one tab stop; arrows walk the places, across and to the ends', () => {
		const onpick = vi.fn();
		const root = show(FaceMap, { ...props, onpick });
		const targets = all(root, '[data-place]');
		expect(targets.filter((t) => t.getAttribute('tabindex') === '0')).toHaveLength(1);
		const at = (place: string, side: string) =>
			root.querySelector<HTMLElement>(`[data-place="${place}"][data-side="${side}"]`)!;
		press(at('forehead-medial', 'left'), 'ArrowDown');
		expect(at('forehead-lateral', 'left').getAttribute('tabindex')).toBe('0');
		press(at('forehead-lateral', 'left'), 'ArrowRight');
		expect(at('forehead-lateral', 'right').getAttribute('tabindex')).toBe('0');
		press(at('forehead-lateral', 'right'), 'ArrowUp');
		expect(at('forehead-medial', 'right').getAttribute('tabindex')).toBe('0');
		press(at('chin', 'left'), 'Enter');
		expect(onpick).toHaveBeenCalledWith({ place: 'chin', side: 'left' }, { shift: false, keys: true });
	});
	test('the chest comes with the wider view; without a pick it is a picture', () => {
		expect(show(FaceMap, { ...props, onpick: () => {} }).querySelector('[data-place="shoulder"]')).toBeNull();
		expect(
			show(FaceMap, { ...props, wide: true, onpick: () => {} }).querySelector('[data-place="shoulder"]')
		).not.toBeNull();
		const still = show(FaceMap, props);
		expect(still.querySelector('[data-map]')!.getAttribute('role')).toBe('img');
		expect(all(still, '[data-place]')).toEqual([]);
	});
	test('as many water lines as the grade; those that went are dotted; the words say it too', () => {
		const tints = [
			{ zone: 'malar' as const, side: 'left' as const, strength: 0.1, lines: 1, before: 3, words: 'puffiness 1' }
		];
		const root = show(FaceMap, { ...props, tints, onpick: () => {} });
		const lines = all(root, '[clip-path] path');
		expect(lines).toHaveLength(3);
		expect(lines.filter((l) => l.getAttribute('stroke-dasharray'))).toHaveLength(2);
		expect(root.querySelector('[data-place="malar"][data-side="left"]')!.getAttribute('aria-label')).toContain(
			'puffiness 1'
		);
	});
});

describe('the score in miniature', () => {
	test('gates, swells and, on the horizon, the present step', () => {
		const sequence = sequenceOf([pump('o', 'terminus'), step('a', ['malar', 'zygoma'])]);
		const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
		const events = expand(sequence, CONTEXT);
		const mini = show(MiniScore, { events, byId, width: 300, label: 'Score' });
		expect(mini.innerHTML).toContain('var(--gap)');
		expect(mini.innerHTML).not.toContain('NaN');
		const now = show(MiniScore, { events, byId, width: 600, size: 'horizon', now: 8, label: 'Score' });
		expect(now.querySelector('rect[fill="var(--primary)"]')).not.toBeNull();
		expect(show(MiniScore, { events: [], byId, width: 300, label: 'Empty' }).innerHTML).not.toContain('NaN');
	});
	test('the step in waves: done, now and to come; more than twenty-four are grouped', () => {
		const waves = (s: ReturnType<typeof step>, at: number) => {
			const root = show(StepWaves, { events: expand(sequenceOf([s]), CONTEXT), seconds: at, width: 500 });
			return all(root, 'path[fill="var(--drain)"]').map((p) => p.getAttribute('fill-opacity'));
		};
		expect(waves(step('a', ['chin', 'jawline'], { side: 'left' }), 5)).toEqual(['0.9', '0.9', '0.45', '0.12', '0.12']);
		expect(waves(step('a', ['chin', 'jawline']), 0)).toHaveLength(10);
		const many = { kind: 'reps' as const, min: 40, target: 40, max: 40 };
		expect(waves(step('a', ['chin', 'jawline'], { side: 'left', dose: many }), 0)).toHaveLength(8);
	});
});

describe('panels', () => {
	test('a finding says its sentence, jumps and mends', () => {
		const sequence = sequenceOf([step('a', ['malar', 'zygoma'], { pressure: 3 })]);
		const finding = judge(sequence, CONTEXT).findings.find((f) => f.ruleId === 'fluid-cap')!;
		const [onfix, onjump] = [vi.fn(), vi.fn()];
		const preview = () => ({
			changes: [{ kind: 'changed' as const, number: 1, stepId: 'a', text: 'pressure light (1), was firm (3)' }],
			fromSeconds: 20,
			toSeconds: 27
		});
		const root = show(Finding, { finding, sentence: sentenceOf(finding), preview, onfix, onjump });
		expect(root.textContent).toContain('1 is firm (3) on the apple of the cheek, light (1) at most.');
		const [jump, fix] = all(root, 'button');
		jump!.click();
		fix!.click();
		flushSync();
		expect(root.textContent).toContain('1 pressure light (1), was firm (3)');
		expect(root.textContent).toContain('Length 0:20, then 0:27');
		expect(onfix).not.toHaveBeenCalled();
		all(root, 'button')
			.find((b) => b.textContent === 'Apply')!
			.click();
		expect([onjump.mock.calls.length, onfix.mock.calls.length]).toEqual([1, 1]);
		const bare = show(Finding, { finding, sentence: sentenceOf(finding), preview: null, onfix });
		expect(all(bare, 'button').map((b) => b.getAttribute('aria-label'))).toEqual(['More on this finding']);
	});
	test('the add panel fills the way in and offers what suits', () => {
		const onadd = vi.fn();
		const library = {
			loaded: true,
			all: TECHNIQUES,
			byId: (id: string) => techniqueById(id),
			contraOf: () => [],
			suiting: (places: readonly PlaceId[]) => techniquesFor(places)
		};
		const props = { school: schoolById('outlet-first'), carried: [], library, onadd, oncancel: () => {} };
		const root = show(AddPanel, { ...props, places: ['lower-eyelid', 'n:preauricular'] });
		expect(root.querySelector('h2')!.textContent).toMatch(/Lower eyelid.*cheekbone.*front of the ear/s);
		const first = root.querySelector<HTMLElement>('[data-technique]')!;
		expect(first.dataset.technique).toBe('ring-finger-stroke');
		first.click();
		expect(onadd.mock.calls[0]![0].id).toBe('ring-finger-stroke');
		expect(show(AddPanel, { ...props, places: [] }).textContent).toContain('Spread the oil');
	});
	test('the preview of an import counts by effect and offers nothing where nothing is new', () => {
		const record = (id: string, effect: 'added' | 'changed' | 'skipped') => ({
			kind: 'client' as const,
			id,
			title: id,
			effect
		});
		const onapply = vi.fn();
		const root = show(ImportPreview, {
			preview: {
				records: [record('a', 'added'), record('b', 'changed')],
				counts: [{ kind: 'kept', count: 2, one: 'kept', many: 'kept', rest: 'not here yet' }],
				leftOut: [],
				worth: true
			},
			busy: false,
			onapply,
			oncancel: () => {}
		});
		expect(root.textContent).toMatch(/1 added.*1 changed.*2 kept/s);
		all(root, 'button')[0]!.click();
		expect(onapply).toHaveBeenCalledOnce();
		const nothing = { records: [record('a', 'skipped')], counts: [], leftOut: [], worth: false };
		const same = show(ImportPreview, { preview: nothing, busy: false, onapply, oncancel: () => {} });
		expect(all(same, 'button')[0]!.hasAttribute('disabled')).toBe(true);
	});
	test('a client needs a code or a name, and the form says so', () => {
		const onsave = vi.fn();
		const root = show(ClientForm, { onsave });
		const submit = () => (
			root.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true })),
			flushSync()
		);
		submit();
		expect(root.querySelector('[role=alert]')!.textContent).toMatch(/a code or a name/);
		const input = root.querySelector('input')!;
		input.value = '  Lamp 3 ';
		input.dispatchEvent(new Event('input', { bubbles: true }));
		submit();
		expect(onsave).toHaveBeenCalledWith('Lamp 3');
	});
	test('a stepper stays in its range and ignores what is no number', () => {
		const onchange = vi.fn();
		const root = show(Stepper, { value: 5, label: 'dose', unit: '×', min: 1, max: 6, onchange });
		const [less, more] = all(root, 'button');
		less!.click();
		more!.click();
		const input = root.querySelector('input')!;
		for (const value of ['99', '-3', '']) {
			input.value = value;
			input.dispatchEvent(new Event('change', { bubbles: true }));
		}
		expect(onchange.mock.calls.flat()).toEqual([4, 6, 6, 1]);
	});
	test('change of zones is counted for every zone felt at least once', () => {
		const before = withValue(emptyAssessment(NOW), 'puffiness', { place: 'chin', side: 'left' }, 2);
		expect(changesOf('puffiness', before, null, CONTEXT.working)[0]).toMatchObject({ before: 2, after: null });
	});
});
