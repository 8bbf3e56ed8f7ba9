import type { RowKeys } from './sealedRow';

/** What the windows of one browser say to one another about the lock. */
export type Said =
	| { readonly kind: 'ask' }
	/** The keys of a window that is open, for one that asks; or what holds from now on for all. */
	| { readonly kind: 'keys'; readonly keys: RowKeys }
	/** The records are on their way into another database: nobody writes meanwhile. */
	| { readonly kind: 'none' | 'shut' | 'moving' }
	/** Somebody is at work in one of them. */
	| { readonly kind: 'used' };

/** A line between the windows. It carries the key only within this browser, and nothing writes it down. */
export class Tabs {
	readonly #channel: BroadcastChannel | null;
	constructor(database: string, hear: (said: Said) => void) {
		this.#channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`soft-tide-lock ${database}`);
		this.#channel?.addEventListener('message', ({ data }: MessageEvent<Said>) => hear(data));
	}
	say = (said: Said): void => this.#channel?.postMessage(said);
	close = (): void => this.#channel?.close();
}
