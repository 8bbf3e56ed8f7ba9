import { RecordGone } from '../store/recordGone';
import { storageTrouble } from '../store/plainWords';
import { oncePainted } from './oncePainted';

export type SaveState = 'saved' | 'saving' | 'trouble' | 'second-version' | 'gone';

/** What was changed is on the screen before it is written away. */
const painted = (): Promise<void> => new Promise((done) => oncePainted(done));

/**
 * Saves after every change, one save at a time: what changes meanwhile is saved next, never lost and never from an
 * old revision.
 */
export class SaveLoop {
	state = $state<SaveState>('saved');
	/** What went wrong, in plain words. */
	trouble = $state('');
	/** Why it was removed elsewhere, in words, and whether it can be kept as a new one. */
	gone = $state.raw<{ readonly words: string; readonly keepable: boolean } | null>(null);
	#running: Promise<void> | null = null;
	#dirty = false;

	/** @param save saves the present draft; answers whether it became a second version */
	constructor(private readonly save: () => Promise<boolean>) {}

	/** Something was changed. Resolves when all of it is saved, or when it is known why not. */
	changed(): Promise<void> {
		this.#dirty = true;
		if (this.state === 'second-version' || this.gone) return Promise.resolve();
		return (this.#running ??= this.#run());
	}

	async #run(): Promise<void> {
		this.state = 'saving';
		try {
			while (this.#dirty) {
				await painted();
				this.#dirty = false;
				if (!(await this.save())) continue;
				this.state = 'second-version';
				return;
			}
			this.state = 'saved';
			this.trouble = '';
		} catch (error) {
			if (error instanceof RecordGone) return this.lose(error.message, error.owner === null);
			this.state = 'trouble';
			this.trouble = storageTrouble(error);
		} finally {
			// At once: whatever is changed from here on begins anew.
			this.#running = null;
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
		this.state = 'saved';
		return this.changed();
	}
}
