// A hundred thousand mutated files sent as requests, and requests that are broken off: the server answers each within
// bounds, never with a fault of its own, and is well afterwards.
import fc from 'fast-check';
import { Agent, request } from 'node:http';
import { Worker } from 'node:worker_threads';

const ROUTES = ['check', 'check', 'check', 'simulate', 'compare'];
const agent = new Agent({ keepAlive: true, maxSockets: 24 });

/** One question; status and length of the answer. `breakAfterMs`: the line is cut then. */
export function ask(base, path, body, breakAfterMs = null) {
	return new Promise((resolve) => {
		const asked = request(
			`${base}${path}`,
			{ method: body === null ? 'GET' : 'POST', agent, headers: { 'content-type': 'application/json' } },
			(answer) => {
				let length = 0;
				answer.on('data', (chunk) => (length += chunk.length));
				answer.on('end', () => resolve({ status: answer.statusCode, length }));
				answer.on('error', () => resolve({ status: 0, length }));
			}
		);
		asked.on('error', () => resolve({ status: 0, length: 0 }));
		if (breakAfterMs !== null) setTimeout(() => asked.destroy(), breakAfterMs);
		asked.end(body ?? undefined);
	});
}

const NASTY = [
	null,
	-1,
	0,
	1e308,
	-1e-9,
	1.5,
	'',
	'__proto__',
	'x'.repeat(5000),
	[],
	{},
	[[[[[]]]]],
	true,
	2 ** 53,
	'\u0000',
	{ __proto__: 1 }
];
/** A place in a file, 0..1: anywhere alike, not at the edges most of all. */
export const PLACE = fc.noBias(fc.integer({ min: 0, max: 1e6 })).map((n) => n / 1e6);

const mutation = fc.record({
	kind: fc.constantFrom(
		'replace',
		'replace',
		'replace',
		'remove',
		'repeat',
		'rename',
		'cut',
		'flip',
		'insert',
		'deepen',
		'widen'
	),
	at: PLACE,
	with: fc.oneof(fc.constantFrom(...NASTY), fc.jsonValue({ maxDepth: 2 })),
	times: fc.integer({ min: 2, max: 400 })
});

/** Every place in a value: its holder and its key. */
function placesIn(value, out = []) {
	if (typeof value === 'object' && value !== null)
		for (const key of Object.keys(value)) {
			out.push([value, key]);
			placesIn(value[key], out);
		}
	return out;
}
const nested = (n) => `${'['.repeat(n)}1${']'.repeat(n)}`;

/** A body after some mutations of its JSON, then of its bytes. */
export function mutated(body, mutations) {
	const value = JSON.parse(body);
	for (const { kind, at, with: given, times } of mutations) {
		const places = placesIn(value);
		const [holder, key] = places[Math.floor(at * (places.length - 1))] ?? [];
		if (!holder) continue;
		// A copy: what is put into two places would hold itself after the next change.
		if (kind === 'replace') holder[key] = structuredClone(given);
		else if (kind === 'remove') delete holder[key];
		else if (kind === 'rename') holder[`${key}-`] = holder[key];
		else if (kind === 'repeat' && Array.isArray(holder))
			holder.push(
				...Array(times)
					.fill(null)
					.map(() => structuredClone(holder[key]))
			);
		else if (kind === 'widen' && !Array.isArray(holder)) for (let i = 0; i < times; i++) holder[`k${i}`] = i;
	}
	let text = JSON.stringify(value);
	for (const { kind, at, times } of mutations) {
		const i = Math.floor(at * text.length);
		if (kind === 'cut') text = text.slice(0, i);
		else if (kind === 'flip') text = text.slice(0, i) + String.fromCharCode(text.charCodeAt(i) ^ 1) + text.slice(i + 1);
		else if (kind === 'insert') text = text.slice(0, i) + '"{[,:]}'[times % 7] + text.slice(i);
		else if (kind === 'deepen') text = text.replace(/"notes":""/, `"notes":${nested(times * 50)}`);
	}
	return text;
}

/** Asks how the server is, every 50 ms, from a thread of its own: what is measured is the server, not the sender. */
function watchHealth(base) {
	const code = `
		const { parentPort, workerData } = require('node:worker_threads');
		const times = [];
		let [wrong, going] = [0, true];
		parentPort.on('message', () => (going = false));
		(async () => {
			while (going) {
				const from = performance.now();
				const good = await fetch(workerData + '/healthz').then((r) => r.text().then(() => r.ok), () => false);
				if (good) times.push(performance.now() - from);
				else wrong++;
				await new Promise((done) => setTimeout(done, 50));
			}
			parentPort.postMessage({ times: times.sort((a, b) => a - b), wrong });
		})();`;
	const thread = new Worker(code, { eval: true, workerData: base });
	const answer = new Promise((done) => thread.once('message', done));
	return {
		stop: async () => {
			thread.postMessage('stop');
			const told = await answer;
			await thread.terminate();
			return told;
		}
	};
}

/** @param until when to stop, ms */
export async function tortureRequests({ base, seed, count, until }) {
	const { items } = JSON.parse(await (await fetch(`${base}/api/v1/library/sequences`)).text());
	const whole = items.map((i) => i.sequence ?? i);
	// Short ones: a hundred thousand of them are to be read in minutes.
	const small = whole.slice(0, 6).map(({ phases: [{ blocks, ...phase }], ...rest }) => {
		const [{ steps, ...block }] = blocks;
		return { ...rest, phases: [{ ...phase, blocks: [{ ...block, steps: steps.slice(0, 3) }] }] };
	});
	const bodies = {
		check: small.map((s) => JSON.stringify(s)),
		simulate: small.map((sequence) => JSON.stringify({ sequence })),
		compare: [
			JSON.stringify({ sequences: [small[0], { ...small[1], id: 'b' }], draws: 2, seed: 1, zones: ['jawline'] })
		]
	};
	const statuses = {};
	const faults = [];
	let [sent, longest] = [0, 0];
	const health = watchHealth(base);
	const BATCH = 2000;
	for (let batch = 0; sent < count && Date.now() < until; batch++) {
		const cases = fc.sample(fc.array(mutation, { minLength: 1, maxLength: 4 }), {
			seed: seed + batch,
			numRuns: Math.min(BATCH, count - sent)
		});
		let next = 0;
		const lane = async () => {
			while (next < cases.length) {
				const i = next++;
				const route = ROUTES[i % ROUTES.length];
				const text = mutated(bodies[route][i % bodies[route].length], cases[i]);
				const { status, length } = await ask(base, `/api/v1/${route}`, text);
				statuses[status] = (statuses[status] ?? 0) + 1;
				if (status !== 200) longest = Math.max(longest, length);
				if (![200, 400, 413, 422, 503, 504].includes(status) || (status !== 200 && length > 20_000))
					faults.push(`seed ${seed + batch}, case ${i}, ${route}: ${status}, ${length} bytes`);
			}
		};
		await Promise.all(Array.from({ length: 16 }, lane));
		sent += cases.length;
	}
	// Lines that are cut: nothing of it is left to do afterwards.
	const heavy = JSON.stringify({ sequences: [whole[2], { ...whole[3], id: 'b' }], draws: 3000 });
	const cut = 300;
	await Promise.all(Array.from({ length: cut }, (_, i) => ask(base, '/api/v1/compare', heavy, 1 + ((i * 7) % 400))));
	const from = performance.now();
	const after = await ask(base, '/api/v1/check', bodies.check[0]);
	const afterMs = performance.now() - from;
	if (after.status !== 200 || afterMs > 3000)
		faults.push(`after ${cut} broken requests a check took ${Math.round(afterMs)} ms: ${after.status}`);
	const { times, wrong } = await health.stop();
	if (wrong) faults.push(`/healthz failed ${wrong} times`);
	const [middle, slowest] = [times[times.length >> 1], times.at(-1)];
	return {
		figures: {
			sent,
			statuses,
			'longest refusal, bytes': longest,
			'requests broken off': cut,
			'check after them, ms': Math.round(afterMs),
			'healthz median / longest, ms': `${middle.toFixed(1)} / ${slowest.toFixed(1)}`
		},
		faults
	};
}
