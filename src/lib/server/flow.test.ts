import { afterAll, describe, expect, test } from 'vitest';
import { planOfSequence } from '../core/flow/compile';
import { gradesOfStart } from '../core/flow/starts';
import { tideOf } from '../core/flow/tide';
import { MODEL_SAYS } from '../core/flow/words';
import { CONTEXT, pump, sequenceOf, step } from '../core/testing';
import { CORE_VERSION } from '../core/version';
import { ask } from './ask';
import { comparisonOf, type CompareAnswer } from './jobs/compare';
import type { SimulateAnswer } from './jobs/simulate';
import { JobPool, type PoolLimits } from './jobPool';

const LIMITS: PoolLimits = { size: 1, answerMs: 60_000, waitMs: 60_000, waiting: 16, memoryMb: 512 };
const pool = new JobPool(LIMITS);
afterAll(() => pool.close());
const sequence = sequenceOf([pump('o', 'terminus'), step('a', ['buccal', 'jawline', 'n:submandibular'])]);
const other = { ...sequenceOf([step('a', ['jawline', 'buccal', 'malar'], { aim: 'lift' })]), id: 'other' };
const post = (body: unknown) =>
	new Request('http://x/', { method: 'POST', body: typeof body === 'string' ? body : JSON.stringify(body) });
type Problem = { status: number; title: string; detail: string; errors?: { path: string; message: string }[] };
const simulate = async (request: Request, by = pool) => ask('simulate', { request }, by);
const compare = async (request: Request, by = pool) => ask('compare', { request }, by);
const json = async <T>(answer: Promise<Response>): Promise<T> => (await answer).json() as Promise<T>;
const refused = async (answer: Promise<Response>): Promise<Problem> => {
	const response = await answer;
	if (response.ok) throw new Error('was accepted');
	return (await response.json()) as Problem;
};

describe('the tide of a sequence', () => {
	test('is that of the core, to the last digit, and says what it is', async () => {
		const answer = await json<SimulateAnswer>(simulate(post({ sequence })));
		const tide = tideOf(planOfSequence(sequence, CONTEXT), gradesOfStart('morning'));
		expect(answer).toMatchObject({ core: CORE_VERSION, says: MODEL_SAYS, reliefMl: tide.reliefMl });
		expect(answer.times).toEqual([...tide.times]);
		expect(answer.grades.flat()).toEqual([...tide.grades]);
		expect(answer.zones).toHaveLength(68);
	});
	test('with other grades, working values and parameters', async () => {
		const tide = (more: object) => json<SimulateAnswer>(simulate(post({ sequence, ...more })));
		const plain = await tide({});
		const felt = await tide({ start: [{ zone: 'buccal', side: 'left', grade: 3 }] });
		expect(felt.grades[0]![felt.zones.indexOf('buccal:left')]).toBeCloseTo(3, 5);
		expect(felt.startMl).toBeLessThan(plain.startMl);
		expect((await tide({ parameters: { phiZ: 0.02 } })).reliefMl).not.toBe(plain.reliefMl);
		const tool = sequenceOf([step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'spoon' } })]);
		const slow = await json<SimulateAnswer>(simulate(post({ sequence: tool, working: { toolPickUpSeconds: 60 } })));
		expect(slow.times.at(-1)).toBeCloseTo(70, 6);
	});
	test('what cannot be is refused with the field', async () => {
		const path = async (body: unknown) => (await refused(simulate(post(body)))).errors?.[0]?.path;
		expect((await refused(simulate(post('{')))).status).toBe(400);
		expect(await path({ sequence: { ...sequence, budgetSeconds: -1 } })).toBe('sequence.budgetSeconds');
		expect(await path({ sequence, parameters: { tZ: 5 } })).toBe('parameters.tZ');
		expect(await path({ sequence, working: { evenShare: 7 } })).toBe('working.evenShare');
		expect(await path({ sequence, start: 'nowhere' })).toMatch(/^start/);
		expect(await path({ sequence, start: [{ zone: 'nose', side: 'left', grade: 9 }] })).toMatch(/^start/);
		expect(await path({})).toMatch(/^sequence/);
	});
});

describe('a comparison', () => {
	const body = { sequences: [sequence, other], draws: 30, seed: 9, zones: ['jawline'] };
	test('is that of the core, to the last digit, and the same each time', async () => {
		const answer = await json<CompareAnswer>(compare(post(body)));
		const input = {
			...body,
			zones: ['jawline' as const],
			working: CONTEXT.working,
			grades: [...gradesOfStart('morning')]
		};
		expect(answer).toEqual(JSON.parse(JSON.stringify(comparisonOf(input))));
		expect(await json(compare(post(body)))).toEqual(answer);
		expect(answer.result.verdicts.all[0]!.lessIn).toBeGreaterThan(0.9 * body.draws);
	});
	test('one that would take too long is refused with its cost; too few, too many and odd numbers with the field', async () => {
		const no = async (change: object) => refused(compare(post({ ...body, ...change })));
		const dear = await no({ sequences: Array(6).fill(sequence), draws: 10_000 });
		expect(dear.status).toBe(422);
		expect(dear.detail).toMatch(/^6 × \d+ s × 10000 draws are [\d,]+ modelled seconds; at most 16,000,000 are run/);
		expect((await no({ sequences: [sequence] })).errors![0]).toMatchObject({
			path: 'sequences',
			message: expect.stringContaining('at least 2 sequences')
		});
		expect((await no({ draws: 0.5 })).errors![0]!.path).toBe('draws');
		expect((await no({ seed: -1 })).errors![0]!.path).toBe('seed');
		expect((await no({ sequences: [sequence, {}] })).errors![0]!.path).toMatch(/^sequences\[1\]/);
	});
});

describe('the pool', () => {
	const long = () => post({ sequences: [sequence, other], draws: 10_000, seed: 1 });
	test('gives up what takes too long, and answers the next one', async () => {
		const short = new JobPool({ ...LIMITS, answerMs: 300 });
		const late = await refused(compare(long(), short));
		expect([late.status, late.detail]).toEqual([504, expect.stringContaining('longer than 0.3 s')]);
		expect((await simulate(post({ sequence }))).status).toBe(200);
		await short.close();
	});
	test('refuses when too many wait, and what has waited too long: it says which, and when to ask again', async () => {
		const one = new JobPool({ ...LIMITS, waiting: 3, waitMs: 200 });
		const answers = Promise.all(Array.from({ length: 6 }, () => compare(long(), one)));
		const busy = (await answers).filter((a) => a.status === 503);
		expect(busy).toHaveLength(5);
		expect(busy.map((a) => a.headers.get('retry-after'))).toEqual(Array(5).fill('5'));
		const words = await Promise.all(busy.map(async (a) => ((await a.json()) as Problem).detail));
		expect(words.filter((w) => w.startsWith('3 questions are waiting'))).toHaveLength(2);
		expect(words.filter((w) => w.startsWith('No thread was free within 0.2 s'))).toHaveLength(3);
		await one.close();
	});
	test('drops what nobody waits for: what waits never runs, what runs is ended', async () => {
		const one = new JobPool(LIMITS);
		const leave = new AbortController();
		const asked = [1, 2, 3].map(() => compare(new Request(long(), { signal: leave.signal }), one));
		const after = simulate(post({ sequence }), one);
		setTimeout(() => leave.abort(), 300);
		expect((await after).status).toBe(200);
		expect((await Promise.all(asked)).map((a) => a.status)).toEqual([499, 499, 499]);
		await one.close();
	});
});
