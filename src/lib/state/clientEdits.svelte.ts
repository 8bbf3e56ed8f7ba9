import type { Client, ClientChange, ClientSeen } from '../core/records/client';
import { RecordGone } from '../store/recordGone';
import type { Saved } from '../store/repository';
import type { AppState } from './app.svelte';

const fieldsOf = (client: Client, fields: Partial<Client>): Partial<Client> =>
	Object.fromEntries(Object.keys(fields).map((name) => [name, client[name as keyof Client]]));

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
	/** Second versions in which changes are kept, by the client. */
	readonly #onto = new Map<string, string>();

	constructor(
		private readonly app: Pick<AppState, 'repo' | 'run'> & { readonly current: Pick<AppState['current'], 'byId'> }
	) {}

	/** @param seen the fields as they were when they were changed; absent: as they are seen now */
	change(id: string, fields: ClientChange, seen?: ClientSeen): Promise<unknown> {
		const client = this.app.current.byId(id);
		if (client) this.#seen.set(id, client);
		const from = seen ?? (client && typeof fields !== 'function' ? fieldsOf(client, fields) : undefined);
		this.#last = this.#last.then(() => this.#save(id, fields, from));
		return this.#last;
	}

	async #save(id: string, fields: ClientChange, seen: ClientSeen | undefined): Promise<void> {
		const { repo } = this.app;
		const saved = await this.app.run(async () => {
			try {
				return await repo.changeClient(id, fields, seen, this.#onto.get(id) ?? null);
			} catch (error) {
				const known = this.#seen.get(id);
				if (!(error instanceof RecordGone) || !known) throw error;
				this.#lost = { ...known, ...(typeof fields === 'function' ? fields(known) : fields) };
				this.gone = { words: error.message, keepable: true };
				return null;
			}
		}, 'client');
		this.said = saved ? this.#saidOf(id, saved) : '';
	}
	#saidOf(id: string, saved: Saved<Client>): string {
		switch (saved.outcome) {
			case 'saved':
				return 'Saved';
			case 'second-version':
				// What is typed on goes into the same second version, until one of the two is chosen.
				this.#onto.set(id, saved.secondId);
				return 'Kept beside what was saved elsewhere: choose between the two versions above';
			default:
				return saved satisfies never;
		}
	}

	/** Stores who was removed elsewhere as a new client. */
	keepAsNew = (): void => {
		const lost = this.#lost;
		this.gone = null;
		if (lost) void this.app.run(() => this.app.repo.addClient(lost));
	};

	drop = (): void => {
		this.gone = null;
		this.#lost = null;
	};
}
