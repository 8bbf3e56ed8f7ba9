import type { ForceSample } from '../../core/train/pressure';
import type { ForceSource } from './source';

/**
 * Grams in a line of a scale: a number with its unit, a sign before it, spaces between.
 * @returns null for a line without a reading, such as “ERR” or a stability mark alone
 * @example gramsIn('ST,GS,+  12.5 g') // => 12.5
 */
export function gramsIn(line: string): number | null {
	const read = /([+-]?)\s*(\d+(?:\.\d+)?)\s*(kg|g)\b/i.exec(line);
	if (!read) return null;
	const grams = Number(read[2]) * (read[3]!.toLowerCase() === 'kg' ? 1000 : 1);
	return read[1] === '-' ? -grams : grams;
}

/** Lines of a stream of bytes as they become whole. */
export async function readLines(
	stream: ReadableStream<Uint8Array>,
	online: (line: string) => void,
	stopped: () => boolean
): Promise<void> {
	const reader = stream.getReader();
	const decoder = new TextDecoder();
	let rest = '';
	try {
		while (!stopped()) {
			const { done, value } = await reader.read();
			if (done) return;
			const parts = (rest + decoder.decode(value, { stream: true })).split(/\r\n|\r|\n/);
			rest = parts.pop()!.slice(-200);
			for (const line of parts) online(line);
		}
	} finally {
		reader.releaseLock();
	}
}

/** A port as Web Serial gives it. */
export interface Port {
	readonly readable: ReadableStream<Uint8Array> | null;
}

/** A scale on a cable that sends a line a reading. */
export class SerialScale implements ForceSource {
	readonly name = 'Scale on a cable';
	readonly simulated = false;
	constructor(
		private readonly port: Port,
		private readonly clock: () => number
	) {}

	start(onsample: (sample: ForceSample) => void, ontrouble: (words: string) => void): () => void {
		let stopped = false;
		const gone = () => !stopped && ontrouble('The scale is not there any more. Plug it in again, and choose it anew.');
		if (!this.port.readable) gone();
		else
			readLines(
				this.port.readable,
				(line) => {
					const grams = gramsIn(line);
					if (grams !== null && !stopped) onsample({ atMs: this.clock(), grams });
				},
				() => stopped
			).then(gone, gone);
		return () => void (stopped = true);
	}
}
