import { getContext, setContext, type Snippet } from 'svelte';
import { liveQuery } from 'dexie';
import type { Settings } from '../core/records/settings';
import type { ExpandContext } from '../core/sequence/expand';
import { applySkin } from './skinTones';
import { DEFAULT_WORKING, type Working } from '../core/working/working.schema';
import { CurrentClient } from './currentClient.svelte';
import { askToPersist, storageTrouble } from '../store/plainWords';
import type { CustomLibrary, Repository } from '../store/repository';

const KEY = Symbol('soft-tide');
const THEME_KEY = 'soft-tide-theme';

/** What every page shares: the repository, the settings, and trouble with the storage. */
export class AppState {
	settings = $state.raw<Settings | null>(null);
	/** A storage failure in plain words; empty if all is well. */
	trouble = $state('');
	/** Whether the browser has promised to keep the records. */
	persisted = $state<boolean | null>(null);
	/** What the practitioner has added to the shipped library. */
	own = $state.raw<CustomLibrary>({ techniques: [], schools: [], media: [] });
	/** What a page puts into the window's title, instead of the name of the view. */
	title = $state('');
	/** Names what is looked at in the window's title. Returns the way to take it back; call it in an effect. */
	nameTitle(title: string | undefined): () => void {
		this.title = title ?? '';
		return () => (this.title = '');
	}
	/** What a page puts into the header, right of the navigation. */
	headerExtra = $state.raw<Snippet | null>(null);
	/** The numbers that the core reckons with, as the practitioner has set them. */
	working = $state.raw<Working>(DEFAULT_WORKING);
	/** Whether the working values have been read: pages wait for them, so that nothing is judged by others. */
	known = $state(false);
	/** What the core reads. */
	context = $derived<ExpandContext>({ working: this.working });
	/** Who is up next. */
	readonly current: CurrentClient;

	constructor(
		readonly repo: Repository,
		readonly demo: boolean
	) {
		this.current = new CurrentClient({
			repo,
			settings: () => this.settings,
			choose: (currentClientId) => void this.save({ currentClientId }),
			ontrouble: (error) => (this.trouble = storageTrouble(error))
		});
		repo.db.on('blocked', () => (this.trouble = storageTrouble(new DOMException('', 'BlockedError'))));
	}

	/** Follows the settings, the working values, the clients and her own library. Returns the way to stop; call it in an effect. */
	follow(): () => void {
		// Without a store the application opens all the same, with what ships.
		const error = (e: unknown) => {
			this.trouble = storageTrouble(e);
			this.known = true;
		};
		const follow = <T>(query: () => Promise<T>, next: (value: T) => void) =>
			liveQuery(query).subscribe({ next, error });
		const subscriptions = [
			follow(
				() => this.repo.settings(),
				(settings) => {
					this.settings = settings;
					applyLook(settings);
				}
			),
			follow(
				() => this.repo.working(),
				(working) => {
					this.working = working;
					this.known = true;
				}
			),
			follow(
				() => this.repo.customLibrary(),
				(own) => (this.own = own)
			)
		];
		const stop = this.current.follow();
		return () => {
			for (const subscription of subscriptions) subscription.unsubscribe();
			stop();
		};
	}

	/** Runs work on the database; a failure becomes a sentence, never silence. */
	async run<T>(work: () => Promise<T>): Promise<T | null> {
		try {
			const result = await work();
			this.trouble = '';
			return result;
		} catch (error) {
			this.trouble = storageTrouble(error);
			return null;
		}
	}

	save = (change: Partial<Settings>) => this.run(() => this.repo.saveSettings(change));

	/** Asks the browser to keep the records; remembers that it was asked. */
	async persist(): Promise<void> {
		this.persisted = await askToPersist();
		await this.save({ keepAskedAt: this.repo.stamp().now });
	}

	async lookWhetherPersisted(): Promise<void> {
		this.persisted = (await navigator.storage?.persisted?.()) ?? false;
	}
}

function applyLook({ theme, skinTone }: Settings): void {
	const dark = theme === 'evening' || (theme === 'auto' && matchMedia('(prefers-color-scheme: dark)').matches);
	document.documentElement.dataset.theme = dark ? 'evening' : 'day';
	applySkin(document.documentElement, skinTone, dark ? 'evening' : 'day');
	localStorage.setItem(THEME_KEY, theme);
}

/** Must be called during initialisation of the root layout. */
export const provideApp = (app: AppState): AppState => setContext(KEY, app);

/** The shared state. Must be called during component initialisation. */
export function useApp(): AppState {
	const app = getContext<AppState | undefined>(KEY);
	if (!app) throw new Error('no application state: useApp() was called outside of the root layout');
	return app;
}
