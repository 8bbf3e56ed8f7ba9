import { liveQuery } from 'dexie';
import type { Client } from '../core/records/client';
import type { Settings } from '../core/records/settings';
import type { Repository } from '../store/repository';

interface Options {
	readonly repo: Repository;
	readonly settings: () => Settings | null;
	/** Remembers who is up next. */
	readonly choose: (id: string | null) => void;
	readonly ontrouble: (error: unknown) => void;
}

/** The clients, and the one who is up next: asked once, read by every page. */
export class CurrentClient {
	/** By name. */
	all = $state.raw<readonly Client[]>([]);
	loaded = $state(false);
	/** Those who are not archived: who is offered. Whoever is up next is among them all the same. */
	here = $derived.by(() => this.all.filter((c) => !c.archived || c.id === this.id));
	readonly #options: Options;
	id = $derived.by(() => this.#options.settings()?.currentClientId ?? null);
	client = $derived.by(() => this.all.find((c) => c.id === this.id) ?? null);
	/** The client who is up next, else the first one. */
	orFirst = $derived.by(() => this.client ?? this.all[0] ?? null);

	constructor(options: Options) {
		this.#options = options;
	}

	/** Follows the database. Returns the way to stop. */
	follow(): () => void {
		const subscription = liveQuery(() => this.#options.repo.clients()).subscribe({
			next: (clients) => {
				this.all = clients;
				this.loaded = true;
			},
			error: (error) => this.#options.ontrouble(error)
		});
		return () => subscription.unsubscribe();
	}

	byId = (id: string | null): Client | null => this.all.find((c) => c.id === id) ?? null;
	choose = (id: string | null): void => this.#options.choose(id);
}
