import type { CustomRecord } from '../core/records/custom';
import { RecordGone } from '../store/recordGone';
import type { CustomKind } from '../store/repository';
import type { AppState } from './app.svelte';

/** An item of her own library in a form: it is kept as a change of what it was when the form was opened. */
export class CustomEditing<T extends CustomRecord['item']> {
	/** What stands in the form; null where none is open. */
	item = $state.raw<T | null>(null);
	/** What was removed elsewhere while it stood in the form. */
	gone = $state.raw<{ readonly words: string; readonly keepable: boolean } | null>(null);
	#lost: T | null = null;
	#revision = 0;

	constructor(
		private readonly app: Pick<AppState, 'repo' | 'run'>,
		private readonly kind: CustomKind
	) {}

	/** Opens the form with a new item. */
	begin(item: T): void {
		this.#revision = 0;
		this.item = item;
	}

	/** Opens the form with an item of hers as it is stored now. */
	async change(id: string): Promise<void> {
		const record = await this.app.run(() => this.app.repo.custom(this.kind, id));
		if (!record) return;
		this.#revision = record.revision;
		this.item = record.item as T;
	}

	leave = (): void => {
		this.item = null;
		this.gone = null;
	};

	/** Stores what was removed elsewhere as a new item. */
	keepAsNew = (): void => {
		this.gone = null;
		this.#revision = 0;
		if (this.#lost) void this.keep(this.#lost);
	};

	/** Keeps what the form says. Where it was changed meanwhile, both versions are kept. Returns whether it is stored. */
	async keep(item: T): Promise<boolean> {
		const saved = await this.app.run(async () => {
			try {
				return await this.app.repo.keepCustom(this.kind, item, this.#revision);
			} catch (error) {
				if (!(error instanceof RecordGone)) throw error;
				this.#lost = item;
				this.gone = { words: error.message, keepable: true };
				return null;
			}
		});
		if (saved) this.leave();
		return saved !== null;
	}
}
