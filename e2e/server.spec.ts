import { expect, test } from '@playwright/test';
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
	await page.route('**/_app/immutable/workers/probe.js', (route) =>
		route.fulfill({
			contentType: 'text/javascript',
			body: 'WebAssembly.compile(new Uint8Array([0,97,115,109,1,0,0,0])).then(() => postMessage("ran"), (e) => postMessage("refused " + e.name));'
		})
	);
	const answer = await page.goto('/');
	expect(answer!.headers()['permissions-policy']).toContain('camera=(self)');
	expect(answer!.headers()['content-security-policy']).not.toContain('wasm');
	const tried = (policy: string) =>
		page.evaluate(
			(name) =>
				new Promise((done) => {
					const script = encodeURIComponent('/_app/immutable/workers/probe.js');
					const worker = new Worker(`/workers/${name}?of=${script}`, { type: 'module' });
					worker.onmessage = (e) => done(e.data);
					worker.onerror = (e) => done(`failed ${e.message}`);
				}),
			policy
		);
	expect(await tried('wasm')).toBe('ran');
	expect(await tried('plain')).toBe('refused CompileError');
});
