// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { flushSync } from 'svelte';
import { expect, test, vi } from 'vitest';
import { liveRows, type LiveRows } from './liveRows.svelte';
import { ifHere, together, type Read } from './rows';

/** A read that is answered by hand, and late if wished. */
interface Asked {
	readonly key: string;
	readonly answer: (rows: string[]) => void;
	readonly fail: (cause: Error) => void;
}
function opened(first: string) {
	let key = $state(first);
	const asked: Asked[] = [];
	let rows!: LiveRows<string, string[]>;
	const stop = $effect.root(() => {
		rows = liveRows(
			() => key,
			(k) => new Promise((answer, fail) => asked.push({ key: k, answer, fail }))
		);
	});
	flushSync();
	return {
		asked,
		rows: () => rows.current,
		choose: (next: string) => {
			key = next;
		},
		stop
	};
}
const settle = () => new Promise((done) => setTimeout(done, 0)).then(() => flushSync());

test('rows of one key are never reached under another, not even before anything was asked anew', async () => {
	const o = opened('a');
	await vi.waitFor(() => expect(o.asked).toHaveLength(1));
	o.asked[0]!.answer(['of a']);
	await vi.waitFor(() => expect(o.rows()).toMatchObject({ state: 'here', key: 'a', rows: ['of a'] }));
	o.choose('b');
	// At once, in the same turn: the key has changed, the effect has not run.
	expect(o.rows()).toEqual({ key: 'b', state: 'pending' });
	flushSync();
	expect(o.rows()).toEqual({ key: 'b', state: 'pending' });
	o.stop();
});

test('a read that comes late is not heard; one that failed says so, and can be asked again', async () => {
	const o = opened('a');
	await vi.waitFor(() => expect(o.asked).toHaveLength(1));
	o.choose('b');
	flushSync();
	await vi.waitFor(() => expect(o.asked).toHaveLength(2));
	o.asked[0]!.answer(['of a']);
	await settle();
	expect(o.rows().state).toBe('pending');
	o.asked[1]!.fail(new Error('the disk'));
	await vi.waitFor(() => expect(o.rows().state).toBe('failed'));
	const read = o.rows();
	if (read.state !== 'failed') throw new Error('unreachable');
	expect(read.key).toBe('b');
	read.again();
	flushSync();
	expect(o.rows()).toEqual({ key: 'b', state: 'pending' });
	await vi.waitFor(() => expect(o.asked).toHaveLength(3));
	o.asked[2]!.answer(['of b']);
	await vi.waitFor(() => expect(ifHere(o.rows())).toEqual(['of b']));
	o.stop();
});

test('whatever is chosen, answered late or failed: what is here was read for the key that is asked', async () => {
	const act = fc.oneof(
		fc.record({ kind: fc.constant('choose' as const), key: fc.constantFrom('a', 'b', 'c') }),
		fc.record({ kind: fc.constantFrom('answer' as const, 'fail' as const), nth: fc.nat(20) })
	);
	await fc.assert(
		fc.asyncProperty(fc.array(act, { maxLength: 14 }), async (acts) => {
			const o = opened('a');
			let key = 'a';
			const sound = () => {
				const read = o.rows();
				expect(read.key).toBe(key);
				if (read.state === 'here') expect(read.rows).toEqual([`of ${key}`]);
			};
			for (const a of acts) {
				if (a.kind === 'choose') o.choose((key = a.key));
				else {
					const one = o.asked[a.nth % Math.max(1, o.asked.length)];
					if (a.kind === 'answer') one?.answer([`of ${one.key}`]);
					else one?.fail(new Error('x'));
				}
				sound();
				await settle();
				sound();
			}
			o.stop();
		}),
		{ numRuns: 60 }
	);
});

test('several reads together are here only where all are, and failed where one is', () => {
	const here = (rows: number): Read<number> => ({ state: 'here', rows });
	const again = vi.fn();
	const failed: Read<number> = { state: 'failed', cause: new Error('x'), again };
	expect(together({ a: here(1), b: here(2) })).toEqual({ state: 'here', rows: { a: 1, b: 2 } });
	expect(together({ a: here(1), b: { state: 'pending' } as Read<number> }).state).toBe('pending');
	const one = together({ a: here(1), b: { state: 'pending' } as Read<number>, c: failed });
	expect(one.state).toBe('failed');
	if (one.state === 'failed') one.again();
	expect(again).toHaveBeenCalledOnce();
});
