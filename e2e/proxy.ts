import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A server between browser and application that can be in trouble, or bring a newer version. */
export interface Proxy {
	readonly url: string;
	/** `hangs`: pages get no answer; `broken`: they get a 502. */
	mode: 'well' | 'hangs' | 'broken';
	/** Stands at the end of the version of the service worker: another one is a newer build. */
	build: string;
	/** Addresses that are gone, as those of an older build are. */
	gone: RegExp | null;
	close(): Promise<void>;
}

/** @param target address of the application */
export async function proxyTo(target: string): Promise<Proxy> {
	const proxy = { url: '', mode: 'well', build: '', gone: null } as unknown as Proxy & { url: string };
	const server: Server = createServer((req, res) => {
		const path = req.url ?? '/';
		const isPage = req.headers['sec-fetch-mode'] === 'navigate';
		if (isPage && proxy.mode === 'hangs') return;
		if (isPage && proxy.mode === 'broken') return void res.writeHead(502).end('bad gateway');
		if (proxy.gone?.test(path)) return void res.writeHead(404).end('gone');
		const { 'if-none-match': _tag, 'if-modified-since': _since, ...asked } = req.headers;
		const headers = { ...asked, host: new URL(target).host, 'accept-encoding': 'identity' };
		const onward = request(`${target}${path}`, { method: req.method, headers }, (answer) => {
			const renamed = path === '/service-worker.js' && proxy.build;
			if (!renamed) {
				res.writeHead(answer.statusCode ?? 500, answer.headers);
				return void answer.pipe(res);
			}
			const chunks: Buffer[] = [];
			answer.on('data', (c: Buffer) => chunks.push(c));
			answer.on('end', () => {
				const { 'content-length': _length, etag: _etag, ...rest } = answer.headers;
				res.writeHead(200, rest);
				// The build gives its version as a text of digits: the time at which it was made.
				res.end(
					Buffer.concat(chunks)
						.toString()
						.replace(/(["'`])(\d{13})\1/, `$1$2${proxy.build}$1`)
				);
			});
		});
		onward.on('error', () => res.destroy());
		req.pipe(onward);
	});
	await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
	proxy.url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
	proxy.close = () => {
		server.closeAllConnections();
		return new Promise((done) => server.close(() => done()));
	};
	return proxy;
}
