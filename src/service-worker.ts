/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import { workerAnswer } from './lib/workers/policy';

/** The application works offline once loaded: assets by their hash, and one shell for every address. */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `soft-tide-${version}`;
const SHELL = '/';
const ASSETS = new Set([...build, ...files]);

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(CACHE)
			.then((cache) => cache.addAll([SHELL, ...ASSETS]))
			.then(() => worker.skipWaiting())
	);
});

worker.addEventListener('activate', (event) => {
	const old = caches.keys().then((keys) => Promise.all(keys.filter((k) => k !== CACHE).map((k) => caches.delete(k))));
	event.waitUntil(old.then(() => worker.clients.claim()));
});

/** Pages come fresh where there is a network; the shell answers where there is none. */
async function pageAnswer(request: Request): Promise<Response> {
	try {
		return await fetch(request);
	} catch {
		return (await caches.match(SHELL)) ?? Response.error();
	}
}

/** A worker comes under the policy that its address names, without a network too. */
async function workerScript(request: Request, url: URL): Promise<Response> {
	try {
		return await fetch(request);
	} catch {
		return workerAnswer(url.pathname.slice('/workers/'.length), url.searchParams.get('of')) ?? Response.error();
	}
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (url.pathname.startsWith('/api/') || url.pathname === '/healthz') return;
	if (request.mode === 'navigate') event.respondWith(pageAnswer(request));
	else if (url.pathname.startsWith('/workers/')) event.respondWith(workerScript(request, url));
	else if (ASSETS.has(url.pathname)) event.respondWith(caches.match(request).then((known) => known ?? fetch(request)));
});
