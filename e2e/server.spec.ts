import { readFileSync } from 'node:fs';
import http from 'node:http';
import { expect, test } from '@playwright/test';
import { GENERIC } from '../src/lib/core/measure/predict';
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

/** Sends what a line of the page sends, as a program does: with no header but those that it names. */
function sent(
	line: string,
	base: string,
	files: Readonly<Record<string, string>>
): Promise<{ status: number; text: string }> {
	const words = [...line.matchAll(/'([^']*)'|(\S+)/g)].map((m) => m[1] ?? m[2]!);
	const after = (flag: string) => (words.includes(flag) ? words[words.indexOf(flag) + 1] : undefined);
	const [name, value] = after('-H')?.split(': ') ?? [];
	const body = after('--data-binary')?.slice(1);
	return new Promise((done, failed) => {
		const asked = http.request(
			words.at(-1)!.replace('$BASE', base),
			{ method: after('-X') ?? 'GET', headers: name ? { [name]: value } : {} },
			(answer) => {
				let text = '';
				answer.on('data', (piece) => (text += piece));
				answer.on('end', () => done({ status: answer.statusCode!, text }));
			}
		);
		asked.on('error', failed);
		asked.end(body && files[body]);
	});
}

test('the commands of the page on formats are answered as they stand, without an origin', async ({ baseURL }) => {
	const two = sequenceOf([step('a', ['malar', 'zygoma', 'preauricular'])]);
	const points = GENERIC.front;
	const files: Record<string, string> = {
		'routine.txt':
			'soft-tide notation 2\ntitle Short\nschool crown-down\n\n~ Work\ndrain malar > zygoma > preauricular, 5\n',
		'sequence.json': writeSequenceFile(sequence),
		'simulate.json': JSON.stringify({ sequence, start: 'morning' }),
		'compare.json': JSON.stringify({ sequences: [sequence, { ...two, id: 'other' }], draws: 20 }),
		'photographs.json': JSON.stringify({ before: { points }, after: { points } })
	};
	const page = readFileSync(new URL('../docs/formats.md', import.meta.url), 'utf8');
	const lines = page.split('\n').filter((line) => line.startsWith('curl '));
	expect(lines.length).toBeGreaterThanOrEqual(7);
	for (const line of lines) {
		const { status, text } = await sent(line, baseURL!, files);
		expect(`${status} ${status === 200 ? '' : text}`, line).toBe('200 ');
		expect(Object.keys(JSON.parse(text) as object).length, line).toBeGreaterThan(1);
	}
});
