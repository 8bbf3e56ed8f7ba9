import type { WorkerPolicy } from './policy';

/**
 * Opens a worker under a policy.
 * @param script its address, as the build names it
 */
export function openWorker(script: string, policy: WorkerPolicy = 'plain'): Worker {
	const path = new URL(script, location.href).pathname;
	// In development scripts lie elsewhere and are brought as they are.
	const address = path.startsWith('/_app/') ? `/workers/${policy}?of=${encodeURIComponent(path)}` : script;
	return new Worker(address, { type: 'module' });
}
