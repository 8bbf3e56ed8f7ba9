// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { describe, expect, test, vi } from 'vitest';
import { sampleComparison } from '../core/records/testing';
import { faceIndex } from '../core/flow/network';
import { gradesOfStart } from '../core/flow/starts';
import type { Tide } from '../core/flow/tide';
import { emptyAssessment, withValue } from '../core/assess/assessment';
import type { Assessment } from '../core/assess/assessment.schema';
import { CONTEXT, NOW, sequenceOf, step } from '../core/testing';
import type { TideRequest } from '../workers/protocol';
import { ComparisonRun } from './comparisonRun.svelte';
import { startOptions, TideState } from './tide.svelte';

const named = (title: string) => sequenceOf([step('a', ['chin', 'jawline'])], { title });
const died = () => Object.assign(new Error('It stopped by itself.'), { name: 'WorkerDied' });

function made(answer: (request: TideRequest) => Promise<Tide | null>, deaths = () => 0) {
	let sequence = $state.raw(named('one'));
	let stepId = $state<string | null>(null);
	let assessment = $state.raw<Assessment | null>(null);
	const requests: TideRequest[] = [];
	const close = vi.fn();
	const state = new TideState(
		{
			tide: (request) => {
				requests.push(request);
				return answer(request);
			},
			worth: async (id) => ({ stepId: id }) as never,
			allWorth: async (progress) => {
				progress(100);
				return { draws: 200, startMl: 20, steps: [], openings: [] };
			},
			close,
			get deaths() {
				return deaths();
			}
		},
		() => ({ sequence, working: CONTEXT.working, assessment, stepId })
	);
	const stop = $effect.root(() => state.follow());
	flushSync();
	return {
		state,
		requests,
		close,
		stop,
		edit: (title: string) => {
			sequence = named(title);
			flushSync();
		},
		inspect: (id: string | null) => {
			stepId = id;
			flushSync();
		},
		felt: (next: Assessment | null) => {
			assessment = next;
			flushSync();
		}
	};
}
const tideOf = ({ sequence }: TideRequest) => ({ startMl: sequence.title.length }) as Tide;

describe('the tide of what is edited', () => {
	test('follows every edit and every other start; what was overtaken changes nothing', async () => {
		const t = made(async (r) => (r.sequence.title === 'two' ? null : tideOf(r)));
		await vi.waitFor(() => expect(t.state.tide?.startMl).toBe(3));
		t.edit('two');
		t.edit('three');
		await vi.waitFor(() => expect(t.state.tide?.startMl).toBe(5));
		t.state.choose('jaw');
		flushSync();
		await vi.waitFor(() => expect(t.requests.at(-1)!.grades).toEqual(gradesOfStart('jaw')));
		t.stop();
		expect(t.close).toHaveBeenCalledOnce();
	});
	test('begins with what was felt, where anything was; the user can choose otherwise', async () => {
		const t = made(async (r) => tideOf(r));
		expect([t.state.start, t.state.canBeFelt]).toEqual(['morning', false]);
		t.state.choose('felt');
		expect(t.state.start).toBe('morning');
		t.felt(withValue(emptyAssessment(NOW), 'puffiness', { place: 'malar', side: 'left' }, 3));
		expect(t.state.start).toBe('felt');
		await vi.waitFor(() => expect(t.requests.at(-1)?.grades[faceIndex('malar', 'left')]).toBe(3));
		expect(startOptions(true, 'today')[0]).toEqual({ value: 'felt', label: 'As felt today' });
		expect(startOptions(false, 'today')[0]!.value).toBe('morning');
		t.stop();
	});
	test('weighs the step that is looked at', async () => {
		const t = made(async (r) => tideOf(r));
		await vi.waitFor(() => expect(t.state.tide).not.toBeNull());
		t.inspect('a');
		await vi.waitFor(() => expect(t.state.worth?.stepId).toBe('a'));
		t.inspect(null);
		expect(t.state.worth).toBeNull();
		t.stop();
	});
	test('a worker that died is asked again at once; if that fails too, the page says so and keeps the last tide', async () => {
		let deaths = 1;
		let count = 0;
		const t = made(
			async (r) => {
				if (deaths-- <= 0) return tideOf(r);
				count++;
				throw died();
			},
			() => count
		);
		await vi.waitFor(() => expect(t.state.tide?.startMl).toBe(3));
		expect([t.requests.length, t.state.trouble]).toEqual([2, '']);
		expect(t.state.notice).toMatch(/was started again\. Nothing is lost\./);
		deaths = 9;
		t.edit('another');
		await vi.waitFor(() => expect(t.state.trouble).toBe('It stopped by itself.'));
		expect(t.state.tide?.startMl).toBe(3);
		t.stop();
	});
});

describe('a comparison', () => {
	const { input, result } = sampleComparison([named('one'), { ...named('two'), id: 's2' }], CONTEXT);
	test('tells how far it is, keeps the answer with its question, and refuses a second one meanwhile', async () => {
		let finish: () => void = () => {};
		const run = new ComparisonRun({
			compare: async (_input, progress) => {
				progress(2);
				await new Promise<void>((done) => (finish = done));
				return result;
			},
			cancel: vi.fn(),
			close: vi.fn()
		});
		const first = run.run(input);
		await vi.waitFor(() => expect(run.done).toBe(2));
		expect([run.running, run.draws, await run.run(input)]).toEqual([true, 4, null]);
		finish();
		expect(await first).toEqual(result);
		expect([run.running, run.input, run.result]).toEqual([false, input, result]);
	});
	test('one that is cancelled or fails says so and leaves the last answer', async () => {
		const answers = [null, new Error('no room')];
		const run = new ComparisonRun({
			compare: async () => {
				const next = answers.shift();
				if (next) throw next;
				return null;
			},
			cancel: vi.fn(),
			close: vi.fn()
		});
		run.show(input, result);
		await run.run(input);
		expect(run.trouble).toBe('Cancelled after 0 of 4 faces. Nothing was changed.');
		await run.run(input);
		expect([run.trouble, run.result]).toEqual(['no room', result]);
	});
});
