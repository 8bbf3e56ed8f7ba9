/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import { workerAnswer } from './lib/workers/policy';

/**
 * The application works offline once loaded: assets by their hash, and one shell for every address. A newer version waits
 * until a page lets it take over; what an older page still uses stays until no page does.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const PREFIX = 'soft-tide-';
const CACHE = PREFIX + version;
const SHELL = '/';
/** The face detector is large and not everybody’s: it is kept once it was used. */
const SELDOM = /detector/;
const ASSETS = new Set([...build, ...files].filter((path) => !SELDOM.test(path)));
/** A server that has not answered by then is as good as none, ms. */
const PATIENCE_MS = 3000;
/** A page that does not say by then which version it is: nothing is thrown away, ms. */
const ANSWER_MS = 1000;

worker.addEventListener('install', (event) => {
	event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll([SHELL, ...ASSETS])));
});

/** The version of a page, or null where it does not say. */
function versionOf(client: Client): Promise<string | null> {
	return new Promise((resolve) => {
		const { port1, port2 } = new MessageChannel();
		const timer = setTimeout(() => resolve(null), ANSWER_MS);
		port1.onmessage = ({ data }) => {
			clearTimeout(timer);
			resolve(typeof data === 'string' ? data : null);
		};
		client.postMessage({ kind: 'which-version' }, [port2]);
	});
}

/** Throws away the caches that no open page uses. */
async function sweep(): Promise<void> {
	const pages = await worker.clients.matchAll({ type: 'window', includeUncontrolled: true });
	const used = await Promise.all(pages.map(versionOf));
	if (used.includes(null)) return;
	const kept = new Set([CACHE, ...used.map((v) => PREFIX + v)]);
	const names = await caches.keys();
	await Promise.all(names.filter((n) => n.startsWith(PREFIX) && !kept.has(n)).map((n) => caches.delete(n)));
}

worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));
worker.addEventListener('message', (event) => {
	const { kind } = (event.data ?? {}) as { kind?: string };
	if (kind === 'take-over') void worker.skipWaiting();
	// A page that is there asks for it: then all that are open can be asked.
	if (kind === 'sweep') event.waitUntil(sweep());
});

const shell = async (): Promise<Response> => (await (await caches.open(CACHE)).match(SHELL)) ?? Response.error();

/** Pages come fresh where there is a server that answers; the shell answers where there is none, or one in trouble. */
async function pageAnswer(request: Request): Promise<Response> {
	try {
		const fresh = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
		return fresh.status >= 500 ? await shell() : fresh;
	} catch {
		return shell();
	}
}

/** A worker comes under the policy that its address names, without a network too. */
async function workerScript(request: Request, url: URL): Promise<Response> {
	const own = () =>
		workerAnswer(url.pathname.slice('/workers/'.length), url.searchParams.get('of')) ?? Response.error();
	try {
		const fresh = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
		return fresh.status >= 500 ? own() : fresh;
	} catch {
		return own();
	}
}

async function keptOnceUsed(request: Request): Promise<Response> {
	const known = await caches.match(request);
	if (known) return known;
	const fresh = await fetch(request);
	if (fresh.ok) await (await caches.open(CACHE)).put(request, fresh.clone());
	return fresh;
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (url.pathname.startsWith('/api/') || url.pathname === '/healthz') return;
	if (request.mode === 'navigate') event.respondWith(pageAnswer(request));
	else if (url.pathname.startsWith('/workers/')) event.respondWith(workerScript(request, url));
	else if (SELDOM.test(url.pathname)) event.respondWith(keptOnceUsed(request));
	else if (ASSETS.has(url.pathname) || url.pathname.startsWith('/_app/immutable/'))
		// Older caches too: a page of an older version finds its parts there.
		event.respondWith(caches.match(request).then((known) => known ?? fetch(request)));
});
