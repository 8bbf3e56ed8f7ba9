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
	/** What became of the last save, where that was not simply stored. */
	said = $state('');
	#lost: T | null = null;
	#revision = 0;
	#onto: string | null = null;

	constructor(
		private readonly app: Pick<AppState, 'repo' | 'run'>,
		private readonly kind: CustomKind
	) {}

	/** Opens the form with a new item. */
	begin(item: T): void {
		this.#revision = 0;
		this.#onto = null;
		this.said = '';
		this.item = item;
	}

	/** Opens the form with an item of hers as it is stored now. */
	async change(id: string): Promise<void> {
		const record = await this.app.run(() => this.app.repo.custom(this.kind, id));
		if (!record) return;
		this.#revision = record.revision;
		this.#onto = null;
		this.said = '';
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

	/** Keeps what the form says. Returns whether it is stored, by itself or beside what was stored meanwhile. */
	async keep(item: T): Promise<boolean> {
		const saved = await this.app.run(async () => {
			try {
				return await this.app.repo.keepCustom(this.kind, item, this.#revision, this.#onto);
			} catch (error) {
				if (!(error instanceof RecordGone)) throw error;
				this.#lost = item;
				this.gone = { words: error.message, keepable: true };
				return null;
			}
		});
		if (!saved) return false;
		switch (saved.outcome) {
			case 'saved':
				this.leave();
				return true;
			case 'second-version':
				this.leave();
				this.#onto = saved.secondId;
				this.said = `“${item.title}” was changed in another window meanwhile. Both versions are kept: choose between them here.`;
				return true;
			default:
				return saved satisfies never;
		}
	}
}
