import { storageTrouble } from '../store/plainWords';
import { oncePainted } from './oncePainted';

export type SaveState = 'saved' | 'saving' | 'trouble' | 'second-version';

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
	#busy = false;
	#dirty = false;

	/** @param save saves the present draft; answers whether it became a second version */
	constructor(private readonly save: () => Promise<boolean>) {}

	async changed(): Promise<void> {
		this.#dirty = true;
		if (this.#busy || this.state === 'second-version') return;
		this.#busy = true;
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
			this.state = 'trouble';
			this.trouble = storageTrouble(error);
		} finally {
			this.#busy = false;
		}
	}
}
