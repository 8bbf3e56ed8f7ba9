// @vitest-environment happy-dom
import { createRawSnippet, flushSync } from 'svelte';
import { all, clear, show } from '../../testing';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { MEDIA } from '$lib/core/medium/media';
import { pointByCode, POINTS } from '$lib/core/point/points';
import { ruleById, RULES } from '$lib/core/rules';
import { SCHOOLS } from '$lib/core/school/schools';
import { stepsOf } from '$lib/core/sequence/walk';
import { TEMPLATES } from '$lib/core/template/templates';
import { techniqueById, TECHNIQUES } from '$lib/core/technique/library';
import { MOTIONS, type Motion } from '$lib/core/vocabulary/vocabulary';
import { CONTEXT } from '$lib/core/testing';
import { DEFAULT_WORKING } from '$lib/core/working/defaultWorking';
import { motionDrawing } from '../../parts/glyphs/motionGlyph';
import MediumForm from './MediumForm.svelte';
import TechniqueDetail from './TechniqueDetail.svelte';
import PointMap from './PointMap.svelte';
import RangeLine from './RangeLine.svelte';
import RuleDetail from './RuleDetail.svelte';
import TechniqueChart from './TechniqueChart.svelte';
import StepLine from './StepLine.svelte';
import { pointsOf, stepOfTechnique, viewOf } from './stepOfTechnique';

afterEach(clear);
const actions = createRawSnippet(() => ({ render: () => '<button>Add</button>' }));

describe('the glyph of a motion follows from its numbers', () => {
	const field = (d: string) => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
	test.each(Object.keys(MOTIONS) as Motion[])('%s stays in its field and differs from every other', (motion) => {
		const drawing = motionDrawing(motion);
		for (const d of [...drawing.ways, ...drawing.heads]) {
			const numbers = field(d);
			expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
			expect(Math.max(...numbers)).toBeLessThanOrEqual(22);
		}
		const others = (Object.keys(MOTIONS) as Motion[])
			.filter((m) => m !== motion)
			.map((m) => JSON.stringify(motionDrawing(m)));
		expect(others).not.toContain(JSON.stringify(drawing));
	});
	test('lanes lie beside it, and a way back has a head of its own', () => {
		const [one, three] = [motionDrawing('stroke'), motionDrawing('stroke', { lanes: 3 })];
		expect(three.ways).toHaveLength(one.ways.length + 2);
		expect(motionDrawing('stroke', { reverse: true }).heads).toHaveLength(one.heads.length + 1);
		expect(motionDrawing('press-hold', { lanes: 3, reverse: true }).ways).toEqual([]);
	});
});

describe('a move seen whole', () => {
	test('shows ways, ranges, reasons, what to mind, whom it serves and where it is used', () => {
		const technique = techniqueById('neck-side-down')!;
		const root = show(TechniqueDetail, {
			technique,
			own: false,
			working: DEFAULT_WORKING,
			sequences: TEMPLATES,
			actions
		});
		expect(root.querySelector('h2')!.textContent).toBe('Side of the neck down');
		for (const text of ['Side of the neck', 'level 1', '3–10 ×', 'slides: needs a medium', 'carotid', 'First light'])
			expect(root.textContent).toContain(text);
		expect(all(root, '[aria-label="Side of the neck down on the face"]')).toHaveLength(1);
	});
	test('one that touches no place has no face, and a point says where to find it', () => {
		const props = { own: true, working: DEFAULT_WORKING, sequences: [], actions };
		const wash = show(TechniqueDetail, { ...props, technique: techniqueById('clean-hands')! });
		expect(all(wash, '[role="img"][aria-label$="on the face"]')).toEqual([]);
		expect(wash.textContent).toContain('none of your sequences');
		const point = show(TechniqueDetail, { ...props, technique: techniqueById('point-gb20')! });
		expect(point.textContent).toContain('yours');
		expect(point.textContent).toContain(pointByCode('GB20').find);
	});
	test('every move can be drawn in a view that shows its way', () => {
		for (const technique of TECHNIQUES) {
			const step = stepOfTechnique(technique);
			const view = viewOf(step.places);
			if (step.places.length) expect(pointsOf(view, step.places).length, technique.id).toBeGreaterThan(0);
		}
		expect(viewOf(['nape', 'n:occipital'])).toBe('profile');
		expect(viewOf(['malar', 'zygoma'])).toBe('front');
		const [left] = pointsOf('front', ['malar']);
		expect(pointsOf('front', ['malar:right'])).toEqual([[800 - left![0], left![1]]]);
	});
});

describe('chartMarks and points', () => {
	test('each move is a button; the open one is pressed; her own are marked', () => {
		const onopen = vi.fn();
		const techniques = TECHNIQUES.slice(0, 12);
		const own = techniques[3]!.id;
		const root = show(TechniqueChart, {
			techniques,
			openId: own,
			ownIds: new Set([own]),
			working: DEFAULT_WORKING,
			onopen
		});
		const buttons = all(root, '[data-move]');
		expect(buttons).toHaveLength(12);
		expect(buttons.filter((b) => b.getAttribute('aria-pressed') === 'true').map((b) => b.dataset.move)).toEqual([own]);
		expect(root.textContent).toContain('yours');
		buttons[0]!.click();
		expect(onopen).toHaveBeenCalledOnce();
	});
	test('points are buttons with where to find them; twins are drawn, the midline has none', () => {
		const onopen = vi.fn();
		const root = show(PointMap, { view: 'front', points: POINTS, openCode: 'LI20', onopen });
		const front = POINTS.filter((p) => p.view === 'front');
		expect(all(root, '[role="button"]')).toHaveLength(front.length);
		const gv26 = all(root, '[role="button"]').find((b) => b.getAttribute('aria-label')!.startsWith('GV26'))!;
		gv26.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
		expect(onopen).toHaveBeenCalledWith('GV26');
	});
	test('a range line names its numbers', () => {
		const root = show(RangeLine, {
			from: 0,
			to: 4,
			ticks: [0, 4],
			min: 1,
			target: 2,
			max: 3,
			label: 'Level 2, from 1 to 3'
		});
		expect(root.querySelector('svg')!.getAttribute('aria-label')).toBe('Level 2, from 1 to 3');
		expect(all(root, 'text').map((t) => t.textContent)).toEqual(['0', '4']);
	});
});

describe('rules and media', () => {
	test.each(RULES.map((r) => r.id))('the page of %s shows its example, what it says and each school', (id) => {
		const root = show(RuleDetail, { rule: ruleById(id)!, context: CONTEXT, own: [] });
		expect(all(root, `[data-example="${id}"] li`).length).toBeGreaterThan(0);
		for (const school of SCHOOLS) expect(root.textContent).toContain(school.title);
		expect(root.textContent).toMatch(ruleById(id)!.fix ? /fixes it/ : /it is yours/);
	});
	test('a step in a line: number, way, dose', () => {
		const { step } = stepsOf(TEMPLATES[0]!)[10]!;
		expect(show(StepLine, { number: 11, step, marked: true }).textContent).toMatch(/11.*×/s);
	});
	test('a medium is refused with its field named, and kept when it is right', () => {
		const onsave = vi.fn();
		const root = show(MediumForm, { medium: { ...MEDIA[0]!, halfLifeSeconds: 99_999 }, onsave, oncancel: () => {} });
		const submit = () => {
			root.querySelector('form')!.dispatchEvent(new SubmitEvent('submit', { cancelable: true, bubbles: true }));
			flushSync();
		};
		submit();
		expect(root.querySelector('[role="alert"]')!.textContent).toContain('halfLifeSeconds');
		expect(onsave).not.toHaveBeenCalled();
		const minutes = root.querySelector<HTMLInputElement>('input[type="number"]')!;
		minutes.value = '10';
		minutes.dispatchEvent(new Event('input', { bubbles: true }));
		submit();
		expect(onsave.mock.calls[0]![0]).toMatchObject({ halfLifeSeconds: 600 });
	});
});
