import { withEarlier } from '../core/records/earlier';
import type { Session } from '../core/records/session';
import type { Repository } from '../store/repository';
import { SaveLoop } from './saveLoop.svelte';

/** A session being written down; each entry is saved at once. */
export class SessionDraft {
	current = $state.raw() as Session;
	readonly saving: SaveLoop<Session>;

	readonly #now: () => string;

	constructor(initial: Session, repo: Repository) {
		this.#now = () => repo.stamp().now;
		this.current = initial;
		this.saving = new SaveLoop(
			(onto) => repo.saveSession(this.current, onto),
			({ revision, updatedAt }) => (this.current = { ...this.current, revision, updatedAt })
		);
	}

	/** Stores what was removed elsewhere as a new record. */
	keepAsNew(): void {
		this.current = { ...this.current, revision: 0 };
		void this.saving.resume();
	}

	/** Changes fields, and keeps what stood there where the session is long over; resolves when they are saved. */
	change(fields: Partial<Session>): Promise<void> {
		this.current = { ...this.current, ...withEarlier(this.current, fields, this.#now()) };
		return this.saving.changed();
	}
}
