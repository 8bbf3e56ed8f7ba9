import type { Socket } from 'node:net';

/** Tells when who asked has hung up: the framework's own signal only knows of requests that broke off half-way. */
export function whenGone(socket: Pick<Socket, 'once' | 'off' | 'destroyed'> | undefined) {
	const controller = new AbortController();
	const gone = () => controller.abort();
	if (socket?.destroyed) gone();
	socket?.once('close', gone);
	return { signal: controller.signal, forget: () => void socket?.off('close', gone) };
}
