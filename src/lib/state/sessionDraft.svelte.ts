import type { Session } from '../core/records/session';
import type { Repository } from '../store/repository';
import { SaveLoop } from './saveLoop.svelte';

/** A session being written down; each entry is saved at once. */
export class SessionDraft {
	current = $state.raw() as Session;
	readonly saving: SaveLoop;

	constructor(initial: Session, repo: Repository) {
		this.current = initial;
		this.saving = new SaveLoop(async () => {
			const { record, second } = await repo.saveSession(this.current);
			this.current = { ...this.current, revision: record.revision, updatedAt: record.updatedAt };
			return second;
		});
	}

	/** Stores what was removed elsewhere as a new record. */
	keepAsNew(): void {
		this.current = { ...this.current, revision: 0 };
		void this.saving.resume();
	}

	/** Changes fields; resolves when they are saved. */
	change(fields: Partial<Session>): Promise<void> {
		this.current = { ...this.current, ...fields };
		return this.saving.changed();
	}
}
