/**
 * What a worker may do. Its content policy is that of the answer that brought it, so every worker comes through
 * `/workers/<policy>`: scripts from here only, and WebAssembly where the policy says so and nowhere else.
 */
export const WORKER_POLICIES = {
	plain: "default-src 'none'; script-src 'self'; connect-src 'self'",
	wasm: "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'",
	flow: "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'"
} as const;
export type WorkerPolicy = keyof typeof WORKER_POLICIES;

/** Where the scripts of workers lie in the built application. */
const SCRIPT = /^\/_app\/immutable\/workers\/[\w.-]+\.js$/;
/** Workers that need WebAssembly, each under the policy that is theirs: nothing else is served under it. */
const THEIRS: Partial<Record<WorkerPolicy, RegExp>> = {
	wasm: /\/detector\.worker-[\w-]+\.js$/,
	flow: /\/(?:tide|compare)\.worker-[\w-]+\.js$/
};
const mayHave = (policy: WorkerPolicy, script: string): boolean =>
	THEIRS[policy]?.test(script) ?? !Object.values(THEIRS).some((theirs) => theirs.test(script));
export const isPolicy = (name: string): name is WorkerPolicy => Object.hasOwn(WORKER_POLICIES, name);

/** The answer that brings a worker: its script, under a policy; null for anything that is no script of a worker. */
export function workerAnswer(policy: string, script: string | null): Response | null {
	if (!isPolicy(policy) || !script || !SCRIPT.test(script) || !mayHave(policy, script)) return null;
	return new Response(`import ${JSON.stringify(script)};\n`, {
		headers: {
			'content-type': 'text/javascript',
			'content-security-policy': WORKER_POLICIES[policy],
			'cache-control': 'no-cache',
			'x-content-type-options': 'nosniff'
		}
	});
}
