// @vitest-environment happy-dom
import { afterEach, describe, expect, test, vi } from 'vitest';
import { sampleComparison } from '$lib/core/records/testing';
import { SCHOOLS } from '$lib/core/school/schools';
import { CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import { all, button, clear, click, show, showOnPage } from '../../testing';
import { entriesOf, sequenceOfEntry, waysOf } from './entries';
import EntryList from './EntryList.svelte';
import OutcomeResult from './OutcomeResult.svelte';
import { percentText, shownPercent } from '$lib/core/flow/share';
import { intervalWords } from '$lib/core/flow/words';
import WhereItWent from './WhereItWent.svelte';
import SavedComparisons from './SavedComparisons.svelte';
import SpreadChart from './SpreadChart.svelte';

afterEach(clear);
const SEQUENCE = sequenceOf([pump('o', 'terminus'), step('a', ['buccal', 'jawline', 'n:submandibular'])], {
	title: 'Drain'
});
const LIFT = {
	...sequenceOf([step('up', ['jawline', 'buccal', 'malar'], { aim: 'lift' })], { title: 'Lift' }),
	id: 's2'
};
const COMPARISON = sampleComparison([SEQUENCE, LIFT], CONTEXT);
let n = 0;
const newKey = () => `k${n++}`;

describe('what is compared', () => {
	test('one alone stands against its own reverse; more as they are, six at most', () => {
		expect(entriesOf(['a'], newKey).map((e) => [e.sequenceId, e.way])).toEqual([
			['a', 'as-is'],
			['a', 'reverse-order']
		]);
		expect(entriesOf(['a', 'b', 'c', 'd', 'e', 'f', 'g'], newKey)).toHaveLength(6);
		expect(entriesOf([], newKey)).toEqual([]);
	});
	test('every way that is offered makes a sequence of its own id', () => {
		const { working } = CONTEXT;
		for (const { value: way } of waysOf(SEQUENCE, SCHOOLS, working)) {
			const made = sequenceOfEntry({ key: 'k', sequenceId: 's1', way }, SEQUENCE, SCHOOLS, working);
			expect(made.id === SEQUENCE.id).toBe(way === 'as-is');
			if (way.startsWith('school:')) expect(`school:${made.school.id}`).toBe(way);
		}
	});
	test('one more is added and taken out again; two stay', () => {
		const onchange = vi.fn();
		const entries = [...entriesOf(['s1', 's2'], newKey), { key: 'x', sequenceId: 's1', way: 'deeper' as const }];
		const { working } = CONTEXT;
		const given = { sequences: [SEQUENCE, LIFT], working, schools: SCHOOLS, newKey, onchange };
		const root = showOnPage(EntryList, { entries, ...given });
		click(button(root, 'Take C out')!);
		expect(onchange).toHaveBeenLastCalledWith(entries.slice(0, 2));
		click(button(root, 'Another one')!);
		expect(onchange.mock.lastCall![0]).toHaveLength(4);
		const two = showOnPage(EntryList, { entries: entries.slice(0, 2), ...given });
		expect(button(two, /^Take/)).toBeUndefined();
	});
});

describe('the answer', () => {
	test('says it in a sentence, in twenty faces, in charts, and in a table with every figure', () => {
		const root = show(OutcomeResult, {
			result: COMPARISON.result,
			outcome: 'all',
			titles: ['Drain', 'Lift'],
			zones: ''
		});
		const verdict = COMPARISON.result.verdicts.all[0]!;
		// Four faces are too few for a leader; their figures are shown.
		expect(root.textContent).toContain(
			'Too few faces to say who leads in all: the two differ in 4 of 4 modelled faces.'
		);
		expect(all(root, 'figure svg ellipse').filter((e) => e.getAttribute('fill') === 'var(--drainfill)')).toHaveLength(
			Math.round(shownPercent(verdict) / 5)
		);
		const cells = all(root, 'tbody td').map((td) => td.textContent);
		expect(cells).toContain(verdict.ml.median.toFixed(2));
		expect(cells).toContain(`${percentText(verdict)} (${intervalWords(verdict)})`);
		expect(root.textContent).toMatch(/What the lead of (A over B|B over A) hangs on/);
	});
	test('more than two stand in a matrix, each against each; where all fluid went adds up', () => {
		const three = sampleComparison([SEQUENCE, LIFT, { ...SEQUENCE, id: 's3' }], CONTEXT).result;
		const root = show(OutcomeResult, { result: three, outcome: 'all', titles: ['Drain', 'Lift', 'Again'], zones: '' });
		const cells = all(root, '[data-matrix] tbody td').map((td) => td.textContent);
		const { matrix } = three;
		const at = (i: number, j: number) => percentText({ lessIn: matrix!.all[i]![j]!, moreIn: matrix!.all[j]![i]! });
		expect(cells).toEqual(['·', at(0, 1), 'the same', at(1, 0), '·', at(1, 2), 'the same', at(2, 1), '·']);
		expect(root.textContent).toContain('The same in all: “Drain” and “Again”');
		const went = show(WhereItWent, { where: three.where!, titles: ['Drain', 'Lift', 'Again'] });
		expect(all(went, 'svg rect').length).toBeGreaterThan(12);
		expect(went.textContent).toContain(three.where![1]!.returned.mean.toFixed(2));
	});
	test('a chart shows middle and interval where they belong, with zero in sight and the band of no practical size', () => {
		const rows = [{ key: 'B', name: 'A·B', spread: { median: 1, p5: 0.5, p95: 2 } }];
		const root = show(SpreadChart, { rows, axis: 'ml', band: 0.2, width: 400, label: 'Difference' });
		const x = (selector: string) => Number(root.querySelector(selector)!.getAttribute('cx'));
		const [, zero] = /M([\d.]+) 12/.exec(
			all(root, 'path')
				.map((p) => p.getAttribute('d'))
				.join(' ')
		)!;
		expect(x('circle')).toBeGreaterThan(Number(zero));
		const band = root.querySelector('rect')!;
		expect(Number(band.getAttribute('x')) + Number(band.getAttribute('width')) / 2).toBeCloseTo(Number(zero), 3);
	});
	test('saved ones are shown, repeated and thrown away; another core is named', () => {
		const [onshow, onrepeat, ondiscard] = [vi.fn(), vi.fn(), vi.fn()];
		const saved = [COMPARISON, { ...COMPARISON, id: 'c2', core: '0.0.9' }];
		const repeated = { c1: 'Repeated: the same figures.' };
		const root = showOnPage(SavedComparisons, { saved, busy: false, repeated, onshow, onrepeat, ondiscard });
		click(button(root, 'Show')!);
		click(button(root, 'Repeat exactly')!);
		click(button(root, 'Delete this comparison')!);
		expect([onshow.mock.lastCall![0], onrepeat.mock.lastCall![0], ondiscard.mock.lastCall![0]]).toEqual([
			COMPARISON,
			COMPARISON,
			'c1'
		]);
		expect(root.textContent).toMatch(/the same figures.*core 0\.0\.9 \(now/s);
	});
});
