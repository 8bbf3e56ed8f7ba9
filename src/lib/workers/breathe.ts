/** Lets waiting messages in. */
export const breathe = (): Promise<void> =>
	new Promise((done) => {
		const { port1, port2 } = new MessageChannel();
		port1.onmessage = () => done();
		port2.postMessage(0);
	});

/** How long work goes on before messages are let in again, ms. */
const AT_A_TIME_MS = 16;

/**
 * Does work that is handed out in pieces, and lets messages in between.
 * @param onward asked between the pieces, told what the last one yielded: false stops
 * @returns null if it was stopped
 */
export async function doneInPieces<Y, R>(work: Generator<Y, R>, onward: (yielded: Y) => boolean): Promise<R | null> {
	for (;;) {
		const until = performance.now() + AT_A_TIME_MS;
		let piece = work.next();
		while (!piece.done && performance.now() < until) piece = work.next();
		if (piece.done) return piece.value;
		await breathe();
		if (!onward(piece.value)) return null;
	}
}
