import { emptyAssessment } from '../core/assess/assessment';
import type { Assessment, Entry } from '../core/assess/assessment.schema';
import type { Session } from '../core/records/session';
import { NO_WISHES, type Wishes } from '../core/visit/wishes';

/** What is entered of one client before a session, until it begins: it stays when one looks at something else meanwhile. */
export class BeforeDraft {
	assessment = $state.raw() as Assessment;
	context = $state.raw<readonly Entry[]>([]);
	told = $state('');
	/** Id of the sequence that is wished; null: as it is offered. */
	wished = $state<string | null>(null);
	/** What is chosen of each sequence, by its id. */
	#wishes = $state.raw<ReadonlyMap<string, Wishes>>(new Map());

	/** As it began. */
	readonly #from: { readonly entries: Assessment['entries']; readonly context: readonly Entry[] };

	/** @param begun a look of today from which the session goes on */
	constructor(
		readonly begun: Session | null,
		now: string
	) {
		this.assessment = begun?.before ?? emptyAssessment(now);
		this.context = begun?.context ?? [];
		this.told = begun?.told ?? '';
		this.#from = { entries: this.assessment.entries, context: this.context };
	}

	wishesOf = (sequenceId: string | null): Wishes => this.#wishes.get(sequenceId ?? '') ?? NO_WISHES;
	wish(sequenceId: string | null, change: Partial<Wishes>): void {
		const id = sequenceId ?? '';
		this.#wishes = new Map(this.#wishes).set(id, { ...this.wishesOf(id), ...change });
	}
	/** Nothing was entered yet. */
	get untouched(): boolean {
		const { entries } = this.assessment;
		return (
			entries === this.#from.entries && this.context === this.#from.context && this.told === (this.begun?.told ?? '')
		);
	}
}

/** The drafts of a sitting, by the client: what is entered for one is never another’s, and is there when one comes back. */
export class BeforeDrafts {
	readonly #drafts = new Map<string, BeforeDraft>();

	constructor(private readonly now: () => string) {}

	of(clientId: string | null, begun: Session | null): BeforeDraft {
		const known = this.#drafts.get(clientId ?? '');
		if (known && (known.begun?.id === begun?.id || !known.untouched)) return known;
		const made = new BeforeDraft(begun, this.now());
		this.#drafts.set(clientId ?? '', made);
		return made;
	}
	/** The session has begun: the next one begins with nothing. */
	done = (clientId: string | null): void => void this.#drafts.delete(clientId ?? '');
}
