import type { Client } from '../core/records/client';
import type { Settings } from '../core/records/settings';
import { follow } from '../store/liveRows.svelte';
import type { Repository } from '../store/repository';
import { ifHere, type Read } from '../store/rows';

const NOBODY: readonly Client[] = [];

interface Options {
	readonly repo: Repository;
	readonly settings: () => Settings | null;
	/** Remembers who is up next. */
	readonly choose: (id: string | null) => Promise<unknown>;
	readonly ontrouble: (error: unknown) => void;
}

/** The clients, and the one who is up next: asked once, read by every page. */
export class CurrentClient {
	/** By name, as far as they were read. */
	read = $state.raw<Read<readonly Client[]>>({ state: 'pending' });
	/** Those who were read: none where nobody was, which `read` tells from nobody being there. */
	all = $derived.by(() => ifHere(this.read) ?? NOBODY);
	loaded = $derived.by(() => this.read.state === 'here');
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
		let stop = () => {};
		const begin = (): void => {
			stop();
			stop = follow(
				() => this.#options.repo.clients(),
				(rows) => (this.read = { state: 'here', rows }),
				(cause) => {
					this.read = { state: 'failed', cause, again: begin };
					this.#options.ontrouble(cause);
				}
			);
		};
		begin();
		return () => stop();
	}

	byId = (id: string | null): Client | null => this.all.find((c) => c.id === id) ?? null;
	/** Whose page an address opens: of whom it asks for, else of whoever is up next, else of the first one. */
	asked = (url: URL): string | null => url.searchParams.get('client') ?? this.orFirst?.id ?? null;
	/** Resolves when it is stored: what opens next finds who was chosen. */
	choose = (id: string | null): Promise<unknown> => this.#options.choose(id);
}
