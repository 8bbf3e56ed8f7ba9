import type { Position } from '../core/perform/position';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { Step } from '../core/step/step.schema';

/** What another window of this browser shows: the face and the breath, nobody's name and no number. */
export interface ScreenFrame {
	readonly step: Step;
	readonly position: Position;
	readonly orientation: Sequence['orientation'];
	readonly moving: boolean;
	/** Whether breath goes in or out at this moment; null where nobody is asked to. */
	readonly breath: 'in' | 'out' | null;
}

const LINE = 'soft-tide-screen';
/** So often a frame is sent while something moves. */
const EVERY_MS = 80;

const open = () => (typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LINE));

/** The stage's end of the line. */
export class ScreenSender {
	readonly #line = open();
	#lastMs = -Infinity;
	#last: ScreenFrame | null = null;

	constructor(private readonly clock: () => number) {
		// Who opens a window in the middle of a step sees at once where it is.
		this.#line?.addEventListener(
			'message',
			({ data }) => data === 'asks' && this.#last && this.#line?.postMessage(this.#last)
		);
	}
	send(frame: ScreenFrame): void {
		const now = this.clock();
		const still = this.#last?.step === frame.step && !frame.moving && !this.#last.moving;
		this.#last = frame;
		if (still || now - this.#lastMs < EVERY_MS) return;
		this.#lastMs = now;
		this.#line?.postMessage(frame);
	}
	/** The stage is left. */
	close(): void {
		this.#line?.postMessage(null);
		this.#line?.close();
	}
}

/** Hears the stage. Returns the way to stop. @param onframe null: no stage is open any more */
export function followStage(onframe: (frame: ScreenFrame | null) => void): () => void {
	const line = open();
	line?.addEventListener('message', ({ data }: MessageEvent<ScreenFrame | null | 'asks'>) => {
		if (data !== 'asks') onframe(data);
	});
	line?.postMessage('asks');
	return () => line?.close();
}
