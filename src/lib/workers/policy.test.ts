import { expect, test } from 'vitest';
import { workerAnswer, WORKER_POLICIES } from './policy';

const SCRIPT = '/_app/immutable/workers/exchange.worker-abc_1.js';

test('a worker is brought under its policy, and only WebAssembly’s own policy allows it', async () => {
	const plain = workerAnswer('plain', SCRIPT)!;
	expect(await plain.text()).toBe(`import "${SCRIPT}";\n`);
	expect(plain.headers.get('content-security-policy')).not.toContain('wasm');
	const detector = '/_app/immutable/workers/detector.worker-abc_1.js';
	expect(workerAnswer('wasm', detector)!.headers.get('content-security-policy')).toContain('wasm-unsafe-eval');
	// WebAssembly is for the one that needs it, and that one has no other policy.
	expect(workerAnswer('wasm', SCRIPT)).toBeNull();
	for (const name of ['tide', 'compare']) {
		const flow = `/_app/immutable/workers/${name}.worker-abc_1.js`;
		expect(workerAnswer('flow', flow)!.headers.get('content-security-policy')).toContain('wasm-unsafe-eval');
		for (const policy of ['plain', 'wasm']) expect(workerAnswer(policy, flow)).toBeNull();
	}
	expect(workerAnswer('flow', detector)).toBeNull();
	expect(workerAnswer('plain', detector)).toBeNull();
	for (const policy of Object.values(WORKER_POLICIES)) expect(policy).toContain("default-src 'none'");
});

test.each([
	'/evil.js',
	'//elsewhere/_app/immutable/workers/a.js',
	'/_app/immutable/workers/../a.js',
	'javascript:1',
	null
])('%s is no script of a worker', (script) => expect(workerAnswer('plain', script)).toBeNull());
test('nor is there a policy that nobody wrote', () => expect(workerAnswer('constructor', SCRIPT)).toBeNull());
