import type { Client, ClientChange } from '../core/records/client';
import { RecordGone } from '../store/recordGone';
import type { AppState } from './app.svelte';

/** Changes of clients, field by field: each is made on top of what is stored by then, one after the other. */
export class ClientEdits {
	/** What came of the last one, in words. */
	said = $state('');
	/** A client who was removed elsewhere while one typed. */
	gone = $state.raw<{ readonly words: string; readonly keepable: boolean } | null>(null);
	#lost: Client | null = null;
	#last: Promise<unknown> = Promise.resolve();
	/** As they were seen last: what is left of a client who is removed elsewhere. */
	readonly #seen = new Map<string, Client>();

	constructor(
		private readonly app: Pick<AppState, 'repo' | 'run'> & { readonly current: Pick<AppState['current'], 'byId'> }
	) {}

	change(id: string, fields: ClientChange): Promise<unknown> {
		const seen = this.app.current.byId(id);
		if (seen) this.#seen.set(id, seen);
		this.#last = this.#last.then(() => this.#save(id, fields));
		return this.#last;
	}

	async #save(id: string, fields: ClientChange): Promise<void> {
		const { repo } = this.app;
		const saved = await this.app.run(async () => {
			try {
				return await repo.changeClient(id, fields);
			} catch (error) {
				const seen = this.#seen.get(id);
				if (!(error instanceof RecordGone) || !seen) throw error;
				this.#lost = { ...seen, ...(typeof fields === 'function' ? fields(seen) : fields) };
				this.gone = { words: error.message, keepable: true };
				return null;
			}
		}, 'client');
		this.said = saved ? 'Saved' : '';
	}

	/** Stores who was removed elsewhere as a new client. */
	keepAsNew = (): void => {
		const lost = this.#lost;
		this.gone = null;
		if (lost) void this.app.run(() => this.app.repo.saveClient({ ...lost, revision: 0 }));
	};

	drop = (): void => {
		this.gone = null;
		this.#lost = null;
	};
}
