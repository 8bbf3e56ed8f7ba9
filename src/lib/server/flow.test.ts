import { afterAll, describe, expect, test } from 'vitest';
import { planOfSequence } from '../core/flow/compile';
import { gradesOfStart } from '../core/flow/starts';
import { tideOf } from '../core/flow/tide';
import { MODEL_SAYS } from '../core/flow/words';
import { CONTEXT, pump, sequenceOf, step } from '../core/testing';
import { CORE_VERSION } from '../core/version';
import { compare, simulate } from './flow';
import { compare as compareJob, type CompareAnswer } from './jobs/compare';
import type { SimulateAnswer } from './jobs/simulate';
import { JobPool } from './jobPool';

const pool = new JobPool(1, 60_000);
afterAll(() => pool.close());
const sequence = sequenceOf([pump('o', 'terminus'), step('a', ['buccal', 'jawline', 'n:submandibular'])]);
const other = { ...sequenceOf([step('a', ['jawline', 'buccal', 'malar'], { aim: 'lift' })]), id: 'other' };
const post = (body: unknown) =>
	new Request('http://x/', { method: 'POST', body: typeof body === 'string' ? body : JSON.stringify(body) });
type Problem = { status: number; title: string; detail: string; errors?: { path: string; message: string }[] };
const refused = async (answer: object): Promise<Problem> => {
	if (!(answer instanceof Response)) throw new Error('was accepted');
	return (await answer.json()) as Problem;
};

describe('the tide of a sequence', () => {
	test('is that of the core, to the last digit, and says what it is', async () => {
		const answer = (await simulate(post({ sequence }), pool)) as SimulateAnswer;
		const tide = tideOf(planOfSequence(sequence, CONTEXT), gradesOfStart('morning'));
		expect(answer).toMatchObject({ core: CORE_VERSION, says: MODEL_SAYS, reliefMl: tide.reliefMl });
		expect(answer.times).toEqual([...tide.times]);
		expect(answer.grades.flat()).toEqual([...tide.grades]);
		expect(answer.zones).toHaveLength(68);
	});
	test('with other grades, working values and parameters', async () => {
		const ask = async (more: object) => (await simulate(post({ sequence, ...more }), pool)) as SimulateAnswer;
		const plain = await ask({});
		const felt = await ask({ start: [{ zone: 'buccal', side: 'left', grade: 3 }] });
		expect(felt.grades[0]![felt.zones.indexOf('buccal:left')]).toBeCloseTo(3, 5);
		expect(felt.startMl).toBeLessThan(plain.startMl);
		expect((await ask({ parameters: { phiZ: 0.02 } })).reliefMl).not.toBe(plain.reliefMl);
		const tool = sequenceOf([step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'spoon' } })]);
		const slow = (await simulate(post({ sequence: tool, working: { toolPickUpSeconds: 60 } }), pool)) as SimulateAnswer;
		expect(slow.times.at(-1)).toBeCloseTo(70, 6);
	});
	test('what cannot be is refused with the field', async () => {
		const path = async (body: unknown) => (await refused(await simulate(post(body), pool))).errors?.[0]?.path;
		expect((await refused(await simulate(post('{'), pool))).status).toBe(400);
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
		const answer = (await compare(post(body), pool)) as CompareAnswer;
		const input = {
			...body,
			zones: ['jawline' as const],
			working: CONTEXT.working,
			grades: [...gradesOfStart('morning')]
		};
		expect(answer).toEqual(compareJob(input));
		expect(await compare(post(body), pool)).toEqual(answer);
		expect(answer.result.verdicts.all[0]!.share).toBeGreaterThan(0.9);
	});
	test('one that would take too long is refused with its cost; too few, too many and odd numbers with the field', async () => {
		const no = async (change: object) => refused(await compare(post({ ...body, ...change }), pool));
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
	test('gives up what takes too long, and answers the next one', async () => {
		const short = new JobPool(1, 300);
		const long = { sequences: [sequence, other], draws: 10_000, seed: 1 };
		const late = await refused(await compare(post(long), short));
		expect([late.status, late.detail]).toEqual([504, expect.stringContaining('longer than 0.3 s')]);
		const patient = new JobPool(1, 60_000);
		expect(await simulate(post({ sequence }), patient)).toMatchObject({ core: CORE_VERSION });
		await Promise.all([short.close(), patient.close()]);
	});
	test('refuses when too many wait', async () => {
		const one = new JobPool(1, 60_000);
		const asked = Array.from({ length: 20 }, () => simulate(post({ sequence }), one));
		const answers = await Promise.all(asked);
		const busy = answers.filter((a) => a instanceof Response);
		expect(busy.length).toBeGreaterThan(0);
		expect((await refused(busy[0]!)).status).toBe(503);
		expect(answers.length - busy.length).toBeGreaterThan(10);
		await one.close();
	});
});
