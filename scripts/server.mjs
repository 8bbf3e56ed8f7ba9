// The built application as a process: every answer with its headers, files too, and no connection held open by a slow hand.
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';

const HEADERS = Object.entries(
	JSON.parse(readFileSync(new URL('../src/lib/server/headers.json', import.meta.url), 'utf8'))
);
/** A request that has not come whole by then is ended, ms. */
const REQUEST_MS = 20_000;
const { handler } = await import(new URL('../build/handler.js', import.meta.url));

const server = createServer(
	{ headersTimeout: REQUEST_MS, requestTimeout: REQUEST_MS, connectionsCheckingInterval: 2_000 },
	(request, response) => {
		for (const [name, value] of HEADERS) response.setHeader(name, value);
		handler(request, response, () => {
			response.statusCode = 404;
			response.end('Not found');
		});
	}
);
const { HOST = '0.0.0.0', PORT = '3000' } = process.env;
server.listen(Number(PORT), HOST);
for (const signal of ['SIGINT', 'SIGTERM'])
	process.on(signal, () => {
		server.close(() => process.exit(0));
		server.closeIdleConnections();
		setTimeout(() => process.exit(0), 5_000).unref();
	});
