import { afterAll, expect, test } from 'vitest';
import { checkAnswer } from '../core/rules/answer';
import { factsOf } from '../core/screening/clientFacts';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { CORE_VERSION } from '../core/version';
import { writeSequenceFile } from '../formats/sequenceFile';
import { ask } from './ask';
import { JobPool } from './jobPool';

const sequence = sequenceOf([step('a', ['jawline', 'chin'])]);
const pool = new JobPool();
afterAll(() => pool.close());
const post = (body: string) =>
	ask('check', { request: new Request('http://x/api/v1/check', { method: 'POST', body }) }, pool);
const answer = async (body: string): Promise<unknown> => (await post(body)).json();
const problem = async (body: string) => {
	const refused = await post(body);
	expect(refused.headers.get('content-type')).toBe('application/problem+json');
	const text = await refused.text();
	return {
		status: refused.status,
		length: text.length,
		...(JSON.parse(text) as { detail: string; errors?: { path: string; message: string }[] })
	};
};

test('the answer is that of the core, to the letter, and names its version', async () => {
	const given = await answer(writeSequenceFile(sequence));
	expect(given).toEqual(JSON.parse(JSON.stringify(checkAnswer(sequence, CONTEXT))));
	expect(given).toMatchObject({ core: CORE_VERSION, timing: { expectedSeconds: 10 } });
});

test('other working values change the answer', async () => {
	const working = { evenShare: 0.2, toolPickUpSeconds: 12 };
	const tool = sequenceOf([step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'spoon' } })]);
	expect(await answer(JSON.stringify({ sequence: tool, working }))).toMatchObject({
		timing: { expectedSeconds: 22 }
	});
});

test('problems name the field', async () => {
	expect(await problem('{')).toMatchObject({ status: 400 });
	const bad = JSON.stringify({ ...sequence, budgetSeconds: -1 });
	expect((await problem(bad)).errors![0]!.path).toBe('budgetSeconds');
	expect((await problem(`{"sequence":${bad}}`)).errors![0]!.path).toBe('sequence.budgetSeconds');
	const working = JSON.stringify({ sequence, working: { neckFirmLevel: 4 } });
	expect((await problem(working)).errors![0]!.path).toBe('working.neckFirmLevel');
});

const postText = (body: string, query = '', pathPool = pool) =>
	ask(
		'check',
		{
			request: new Request(`http://x/api/v1/check${query}`, {
				method: 'POST',
				body,
				headers: { 'content-type': 'text/plain; charset=utf-8' }
			})
		},
		pathPool
	);

test('a text of the notation gets the answer of the file it says', async () => {
	const text = 'school crown-down\n# a comment\ndrain jawline > chin, medium, 5 (3 to 8), pace 2 s';
	const given = (await (await postText(text)).json()) as { timing: unknown; findings: { ruleId: string }[] };
	expect(given.timing).toMatchObject({ expectedSeconds: 10 });
	expect(given.findings.map((f) => f.ruleId)).toEqual(expect.arrayContaining(['against-drainage', 'no-glide']));
	const rules = async (query: string) =>
		((await (await postText(text, query)).json()) as typeof given).findings.map((f) => f.ruleId);
	expect(await rules('')).not.toContain('fluid-cap');
	expect(await rules('?school=outlet-first')).toContain('fluid-cap');
});

test('troubles of a text name line and column, an unknown school its remedy', async () => {
	const refused = await postText('drain jawline > chin\ndrain jawline > chni, 5\nlift malar, 8 each side, both');
	expect([refused.status, refused.headers.get('content-type')]).toEqual([422, 'application/problem+json']);
	const { errors } = (await refused.json()) as { errors: { path: string; message: string }[] };
	expect(errors.map((e) => e.path)).toEqual(['line 2, column 17', 'line 3, column 26']);
	expect(errors[1]!.message).toMatch(/contradicts/);
	const other = (await (await postText('drain jawline > chin', '?school=bubble')).json()) as { detail: string };
	expect(other.detail).toMatch(/bubble is no school/);
	const empty = (await (await postText('# nothing')).json()) as { detail: string };
	expect(empty.detail).toMatch(/no step/);
});

test('a body over 4 MiB is refused with the limit', async () => {
	expect(await problem(' '.repeat(4 * 1024 * 1024 + 1))).toMatchObject({
		status: 413,
		detail: expect.stringContaining('4194304')
	});
});

test('what asks for a day of hands in a few hundred bytes is refused with the limit, not computed', async () => {
	const dose = { kind: 'reps' as const, min: 1, target: 1000, max: 1000 };
	const side = { alternate: true as const, first: 'left' as const };
	const stations = { places: ['chin' as const], hold: { kind: 'breaths' as const, amount: 100 } };
	const huge = sequenceOf([step('a', ['jawline', 'chin'], { dose, side, stations, lanes: 12, reverse: true })]);
	const refused = await problem(JSON.stringify(huge));
	expect([refused.status, refused.errors![0]!.path]).toEqual([422, 'phases[0].blocks[0].steps[0].dose']);
	expect(refused.errors![0]!.message).toMatch(/at most 4,000 separate stretches/);
});

test('errors are bounded, whatever was sent', async () => {
	const long = 'x'.repeat(3_000_000);
	const keys = Object.fromEntries(Array.from({ length: 15_000 }, (_, i) => [`unknown-${i}`, 1]));
	const bad = Array.from({ length: 15_000 }, () => ({ id: 1 }));
	const sent = [
		JSON.stringify({ ...sequence, format: long }),
		JSON.stringify({ ...sequence, title: long }),
		JSON.stringify({ ...sequence, [long]: 1 }),
		JSON.stringify({ ...sequence, ...keys }),
		JSON.stringify({ ...sequence, techniques: bad }),
		JSON.stringify({ ...sequence, mutes: Array.from({ length: 250_000 }, () => 0) }),
		`{"format":"soft-tide/sequence","version":2,"notes":${'['.repeat(500_000)}${']'.repeat(500_000)}}`,
		`{"${long}`,
		JSON.stringify({ sequence, working: { [long]: 1 } })
	];
	for (const body of sent) {
		const refused = await problem(body);
		expect([400, 422]).toContain(refused.status);
		expect(refused.length).toBeLessThan(20_000);
		expect(refused.errors?.length ?? 0).toBeLessThanOrEqual(21);
	}
	expect((await problem(sent[3]!)).errors![0]!.message).toBe(
		'unknown here: unknown-0, unknown-1, unknown-2, unknown-3, unknown-4 and 14995 more'
	);
});

test('what today allows a client, and what a licence covers, are judged by as data, and a slip is named', async () => {
	const client = factsOf(
		{
			cautions: '',
			marks: [],
			clearances: [],
			answers: [
				{
					flag: 'open-skin',
					says: 'yes',
					places: ['jawline:left'],
					since: null,
					until: null,
					note: '',
					day: '2026-03-01',
					at: '2026-03-01T08:00:00Z'
				}
			]
		},
		'2026-03-01'
	);
	const ids = async (body: object) =>
		((await answer(JSON.stringify({ sequence, ...body }))) as { findings: { ruleId: string }[] }).findings.map(
			(f) => f.ruleId
		);
	expect(await ids({ client })).toContain('client-left-out');
	expect(await ids({})).not.toContain('client-left-out');
	const licence = [{ id: 'neck', covers: 'no', on: '2026-01-01' }];
	expect(await ids({ licence })).not.toContain('outside-licence');
	const neck = sequenceOf([step('n', ['sternocleidomastoid'])]);
	expect(await ids({ sequence: neck, licence })).toContain('outside-licence');
	const bad = { ...client, limits: [{ ...client!.limits[0], where: ['elbow:left'] }] };
	const refused = await problem(JSON.stringify({ sequence, client: bad }));
	expect(refused.status).toBe(422);
	expect(refused.errors!.some((e) => e.path.startsWith('client.limits[0]'))).toBe(true);
	const unknown = await problem(
		JSON.stringify({ sequence, licence: [{ id: 'wings', covers: 'no', on: '2026-01-01' }] })
	);
	expect(unknown.errors![0]!.path).toBe('licence[0].id');
});
