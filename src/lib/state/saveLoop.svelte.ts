import { RecordGone } from '../store/recordGone';
import { storageTrouble } from '../store/plainWords';
import type { Saved } from '../store/repository';
import { oncePainted } from './oncePainted';
import { pending } from './pendingWork';

export type SaveState = 'saved' | 'saving' | 'trouble' | 'second-version' | 'gone';

/** What was changed is on the screen before it is written away. */
const painted = (): Promise<void> => new Promise((done) => oncePainted(done));

/**
 * The one way in which whatever is edited gets stored. Saves after every change, one save at a time: what changes meanwhile is
 * saved next, never lost and never from an old revision. Where something else was stored meanwhile, it goes on in a second
 * version beside it, until one of the two is chosen.
 */
export class SaveLoop<T> {
	state = $state<SaveState>('saved');
	/** What went wrong, in plain words. */
	trouble = $state('');
	/** Why it was removed elsewhere, in words, and whether it can be kept as a new one. */
	gone = $state.raw<{ readonly words: string; readonly keepable: boolean } | null>(null);
	#running: Promise<void> | null = null;
	#dirty = false;
	/** The second version in which it is kept. */
	#onto: string | null = null;

	/**
	 * @param save saves the present draft, into the second version where there is one
	 * @param taken hears what was stored, so that the draft says from which revision it goes on
	 */
	constructor(
		private readonly save: (onto: string | null) => Promise<Saved<T>>,
		private readonly taken: (record: T) => void
	) {}

	/** Something was changed. Resolves when all of it is saved, or when it is known why not. */
	changed(): Promise<void> {
		this.#dirty = true;
		if (this.gone) return Promise.resolve();
		return (this.#running ??= pending(this.#run()));
	}

	async #run(): Promise<void> {
		if (this.state !== 'second-version') this.state = 'saving';
		try {
			while (this.#dirty) {
				await painted();
				this.#dirty = false;
				this.#take(await this.save(this.#onto));
			}
			this.state = this.#onto === null ? 'saved' : 'second-version';
			this.trouble = '';
		} catch (error) {
			this.#dirty = true;
			if (error instanceof RecordGone) return this.lose(error.message, error.owner === null);
			this.state = 'trouble';
			this.trouble = storageTrouble(error);
		} finally {
			// At once: whatever is changed from here on begins anew.
			this.#running = null;
		}
	}
	#take(saved: Saved<T>): void {
		switch (saved.outcome) {
			case 'saved':
				this.#onto = null;
				return this.taken(saved.record);
			case 'second-version':
				// The draft stays one of the revision that it was made from: it never stands for the stored one.
				this.#onto = saved.secondId;
				this.state = 'second-version';
				return;
			default:
				saved satisfies never;
		}
	}

	/** What is edited was removed elsewhere: nothing is saved until the user says what becomes of it. */
	lose(words: string, keepable: boolean): void {
		this.gone = { words, keepable };
		this.state = 'gone';
	}

	/** It goes on as a new record: the draft says revision 0 by now. */
	resume(): Promise<void> {
		this.gone = null;
		this.#onto = null;
		this.state = 'saved';
		return this.changed();
	}
}
