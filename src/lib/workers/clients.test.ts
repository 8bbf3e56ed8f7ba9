import * as Comlink from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { describe, expect, test, vi } from 'vitest';
import { gradesOfStart } from '../core/flow/starts';
import type { Tide } from '../core/flow/tide';
import type { PairedFigures } from '../core/flow/paired';
import type { ComparisonResult } from '../core/flow/comparison.schema';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { CompareClient } from './compareClient';
import type { CompareWorker, TideWorker } from './protocol';
import { TideClient } from './tideClient';

/** A worker in this thread: the same messages over a channel, and an end that can be called from outside. */
function workerOf<T extends object>(impl: T) {
	const { port1, port2 } = new MessageChannel();
	Comlink.expose(impl, port2 as unknown as Comlink.Endpoint);
	let onerror: (e: Partial<ErrorEvent>) => void = () => {};
	const worker = {
		postMessage: port1.postMessage.bind(port1),
		start: () => port1.start(),
		removeEventListener: port1.removeEventListener?.bind(port1),
		addEventListener: (type: string, listener: (e: unknown) => void) => {
			if (type === 'error') onerror = listener;
			else port1.addEventListener('message' as never, listener as never);
		},
		terminate: () => {
			port1.close();
			port2.close();
		}
	};
	port1.start();
	return { worker: worker as unknown as Worker, die: () => onerror({}) };
}

const request = (id: string) => ({
	sequence: sequenceOf([step(id, ['chin', 'jawline'])]),
	working: CONTEXT.working,
	grades: gradesOfStart('morning')
});
const tideNamed = (name: string) => ({ startMl: name.length, marks: [{ stepId: name }] }) as unknown as Tide;
const nameOf = (tide: Tide | null) => tide?.marks[0]?.stepId ?? null;

describe('the tide', () => {
	function made(delay = 5) {
		const asked: string[] = [];
		const deaths: (() => void)[] = [];
		const client = new TideClient(() => {
			const { worker, die } = workerOf({
				tide: async ({ sequence }: Parameters<TideWorker['tide']>[0]) => {
					const id = sequence.phases[0]!.blocks[0]!.steps[0]!.id;
					asked.push(id);
					await new Promise((done) => setTimeout(done, delay));
					if (id === 'bad') throw new RangeError('the start of malar:left must lie between');
					return tideNamed(id);
				},
				worth: (id: string) => ({ stepId: id }),
				allWorth: async (tell: (done: number) => void) => {
					tell(1);
					await new Promise((done) => setTimeout(done, 20));
					setTimeout(() => tell(2), 10);
					return {};
				}
			});
			deaths.push(die);
			return worker;
		});
		return { client, asked, deaths };
	}
	test('the latest edit wins: what was overtaken is never run', async () => {
		const { client, asked } = made();
		const answers = await Promise.all(['a', 'b', 'c', 'd'].map((id) => client.tide(request(id))));
		expect(answers.map(nameOf)).toEqual(['a', null, null, 'd']);
		expect(asked).toEqual(['a', 'd']);
		expect(await client.worth('x')).toEqual({ stepId: 'x' });
		client.close();
	});
	test('an error is told with its words, and the next one is run', async () => {
		const { client } = made();
		await expect(client.tide(request('bad'))).rejects.toThrow(/start of malar:left/);
		expect(nameOf(await client.tide(request('good')))).toBe('good');
		client.close();
	});
	test('what is told after the answer is not heard: nothing goes on that is over', async () => {
		const { client } = made();
		const told: number[] = [];
		await client.allWorth((done) => told.push(done));
		await new Promise((done) => setTimeout(done, 60));
		expect(told).toEqual([1]);
		client.close();
	});
	test('a worker that dies is told, and made anew for the next question', async () => {
		const { client, deaths } = made(400);
		const lost = client.tide(request('a'));
		await vi.waitFor(() => expect(deaths).toHaveLength(1));
		deaths[0]!();
		await expect(lost).rejects.toMatchObject({ name: 'WorkerDied' });
		expect(nameOf(await client.tide(request('b')))).toBe('b');
		expect(deaths).toHaveLength(2);
		client.close();
	});
});

describe('a comparison', () => {
	test('is shared out over workers, tells how far it is, and can be cancelled', async () => {
		let stop = false;
		const stretches: { readonly from: number; readonly draws: number }[] = [];
		const client = new CompareClient(
			() =>
				workerOf<CompareWorker>({
					run: async (_request, stretch, progress) => {
						stretches.push(stretch);
						for (let done = 1; done <= stretch.draws; done++) {
							progress(done);
							await new Promise((go) => setTimeout(go, 5));
							if (stop) return null;
						}
						return { draws: stretch.draws } as PairedFigures;
					},
					result: (parts) => ({ draws: parts.reduce((n, p) => n + p.draws, 0) }) as ComparisonResult,
					cancel: () => void (stop = true)
				}).worker,
			3
		);
		const { working, grades } = request('a');
		const all = { sequences: [], working, grades: [...grades], zones: [], draws: 100, seed: 1 };
		const told: number[] = [];
		const running = client.compare(all, (done) => told.push(done));
		await vi.waitFor(() => expect(told.length).toBeGreaterThan(2));
		client.cancel();
		expect(await running).toBeNull();
		expect(told.at(-1)).toBeLessThan(100);
		stop = false;
		stretches.length = 0;
		expect(await client.compare(all, (done) => told.push(done))).toEqual({ draws: 100 });
		expect(told.at(-1)).toBe(100);
		expect(stretches.sort((a, b) => a.from - b.from)).toEqual([
			{ from: 0, draws: 34 },
			{ from: 34, draws: 34 },
			{ from: 68, draws: 32 }
		]);
		client.close();
	});
});
