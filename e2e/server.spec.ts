import { expect, test } from '@playwright/test';
import { overLimits } from '../src/lib/core/sequence/cost';
import { CONTEXT, sequenceOf, step } from '../src/lib/core/testing';
import { checkAnswer } from '../src/lib/core/rules/answer';
import { writeSequenceFile } from '../src/lib/formats/sequenceFile';

const sequence = sequenceOf([step('a', ['jawline', 'chin'])]);

test('the built server checks a sequence as the core does, and names the field when it cannot', async ({ request }) => {
	const good = await request.post('/api/v1/check', { data: writeSequenceFile(sequence) });
	expect(await good.json()).toEqual(JSON.parse(JSON.stringify(checkAnswer(sequence, CONTEXT))));
	const bad = await request.post('/api/v1/check', {
		data: JSON.stringify({ ...sequence, budgetSeconds: 'long' })
	});
	expect(bad.status()).toBe(422);
	expect(bad.headers()['content-type']).toContain('application/problem+json');
	expect((await bad.json()).errors[0].path).toBe('budgetSeconds');
	const large = await request.post('/api/v1/check', { data: ' '.repeat(5 * 1024 * 1024) });
	expect(large.status()).toBe(413);
});

test('the worst that is let in is checked and simulated while the server answers others; files carry the headers too', async ({
	request
}) => {
	const reps = { kind: 'reps' as const, min: 1, target: 300, max: 300 };
	const side = { alternate: true as const, first: 'left' as const };
	const stations = { places: ['jawline' as const], hold: { kind: 'seconds' as const, amount: 0.1 } };
	const worst = sequenceOf(
		Array.from({ length: 24 }, (_, i) => step(`s${i}`, ['chin', 'jawline'], { dose: reps, side, stations }))
	);
	expect(overLimits(worst)).toEqual([]);
	expect(
		overLimits(
			sequenceOf([
				...worst.phases[0]!.blocks[0]!.steps,
				step('more', ['chin'], { dose: reps, side, stations: { ...stations, places: ['chin'] } })
			])
		)
	).not.toEqual([]);
	const order: string[] = [];
	const ask = async (path: string, data: unknown) => {
		const answer = await request.post(`/api/v1/${path}`, { data });
		order.push(path);
		return answer.status();
	};
	const heavy = [
		ask('check', worst),
		ask('simulate', { sequence: worst }),
		ask('compare', { sequences: [worst, { ...worst, id: 'b' }], draws: 5 })
	];
	for (let i = 0; i < 5; i++) expect((await request.get('/healthz')).status()).toBe(200);
	order.push('health');
	expect(await Promise.all(heavy)).toEqual([200, 200, 200]);
	expect(order.indexOf('health')).toBeLessThan(order.indexOf('compare'));
	for (const file of [
		'/favicon.svg',
		'/service-worker.js',
		'/THIRD-PARTY-LICENSES.txt',
		'/healthz',
		'/api/v1/schema/sequence'
	]) {
		const headers = (await request.get(file)).headers();
		expect(
			[headers['x-content-type-options'], headers['cross-origin-opener-policy'], headers['referrer-policy']],
			file
		).toEqual(['nosniff', 'same-origin', 'no-referrer']);
	}
	expect(await (await request.get('/THIRD-PARTY-LICENSES.txt')).text()).toMatch(/Name: dexie[\s\S]*Name: zod/);
});

test('schemas, health and headers', async ({ request }) => {
	expect((await (await request.get('/healthz')).json()).status).toBe('ok');
	const schema = await request.get('/api/v1/schema/sequence');
	expect((await schema.json()).title).toBe('soft-tide/sequence');
	expect((await request.get('/api/v1/schema/nothing')).status()).toBe(404);
	const page = await request.get('/');
	expect(page.headers()['x-content-type-options']).toBe('nosniff');
	expect(page.headers()['referrer-policy']).toBe('no-referrer');
	expect(page.headers()['content-security-policy']).toContain("script-src 'self'");
});

test('the built-in library is served as lists with the version of the core', async ({ request }) => {
	for (const kind of ['techniques', 'rules', 'schools', 'goals', 'media']) {
		const list = await (await request.get(`/api/v1/library/${kind}`)).json();
		expect(list.kind).toBe(kind);
		expect(list.items.length).toBeGreaterThan(4);
	}
	const unknown = await request.get('/api/v1/library/spells');
	expect(unknown.status()).toBe(404);
	expect((await unknown.json()).detail).toContain('techniques, rules, schools, goals, media');
});

test('WebAssembly runs in a worker whose policy allows it, and in no other; the camera is ours alone', async ({
	page
}) => {
	// A script of a worker that tells whether it may compile the smallest module there is.
	await page.route(/\/_app\/immutable\/workers\/(detector|tide|probe)\.worker-x\.js$/, (route) =>
		route.fulfill({
			contentType: 'text/javascript',
			body: 'WebAssembly.compile(new Uint8Array([0,97,115,109,1,0,0,0])).then(() => postMessage("ran"), (e) => postMessage("refused " + e.name));'
		})
	);
	const answer = await page.goto('/');
	expect(answer!.headers()['permissions-policy']).toContain('camera=(self)');
	expect(answer!.headers()['content-security-policy']).not.toContain('wasm');
	const tried = (policy: string, of: string) =>
		page.evaluate(
			([name, worker_]) =>
				new Promise((done) => {
					const script = encodeURIComponent(`/_app/immutable/workers/${worker_}.worker-x.js`);
					const worker = new Worker(`/workers/${name}?of=${script}`, { type: 'module' });
					worker.onmessage = (e) => done(e.data);
					worker.onerror = (e) => done(`failed ${e.message}`);
				}),
			[policy, of] as const
		);
	expect(await tried('wasm', 'detector')).toBe('ran');
	expect(await tried('flow', 'tide')).toBe('ran');
	expect(await tried('plain', 'probe')).toBe('refused CompileError');
});
