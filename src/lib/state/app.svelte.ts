import { getContext, setContext, type Snippet } from 'svelte';
import type { Settings } from '../core/records/settings';
import type { JudgeInput } from '../core/rules/judge';
import type { Client } from '../core/records/client';
import { Look } from './look.svelte';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import type { Working } from '../core/working/working.schema';
import { BeforeDrafts } from './beforeDrafts.svelte';
import { CurrentClient } from './currentClient.svelte';
import { follow } from '../store/liveRows.svelte';
import { askToPersist, isClosed, isStoreless, storageTrouble } from '../store/plainWords';
import type { LockState } from './lock.svelte';
import { pending } from './pendingWork';
import { Today } from './today.svelte';
import { takeUpdate, watchUpdates } from './updates';
import type { CustomLibrary, Repository } from '../store/repository';

const KEY = Symbol('soft-tide');

/** What is said about the store as a whole. */
const STORE = 'store';

/** What every page shares: the repository, the settings, and trouble with the storage. */
export class AppState {
	settings = $state.raw<Settings | null>(null);
	/** Failures in plain words, by what they are about: one goes when its own cause goes. */
	#troubles = $state.raw<ReadonlyMap<string, string>>(new Map());
	/** All failures of the moment, each said once. */
	troubles = $derived([...new Set(this.#troubles.values())]);
	/** Why there is no store; empty where there is one. */
	storeless = $derived.by(() => this.#troubles.get(STORE) ?? '');
	/** How far an older store is being brought up to date; null where none is. */
	upgrading = $state.raw<{ readonly done: number; readonly total: number } | null>(null);
	/** A newer version of the application lies ready, or is needed for what was asked for. */
	update = $state<'none' | 'ready' | 'needed'>('none');
	/** Whether the browser has promised to keep the records. */
	persisted = $state<boolean | null>(null);
	/** What the practitioner has added to the shipped library. */
	own = $state.raw<CustomLibrary>({ techniques: [], schools: [], media: [] });
	/** What a page puts into the header, right of the navigation. */
	headerExtra = $state.raw<Snippet | null>(null);
	/** The numbers that the core reckons with, as the practitioner has set them. */
	working = $state.raw<Working>(DEFAULT_WORKING);
	/** Whether the working values have been read: pages wait for them, so that nothing is judged by others. */
	#valued = $state(false);
	/** The store cannot be read: what ships is all there is. */
	#lacking = $state(false);
	/** Values, settings and who is next are known, or cannot be: pages open, and none is opened for another client first. */
	known = $derived.by(
		() => this.#lacking || (this.#valued && this.settings !== null && this.current.read.state !== 'pending')
	);
	/** What the core reads. */
	context = $derived<JudgeInput>({ working: this.working, licence: this.settings?.licence ?? [] });
	/** The calendar day of the practice. */
	readonly today: Today;
	/** Whose record is looked at, where that is not who is up next. */
	shown = $state.raw<Client | null>(null);
	readonly look = new Look();
	/** Skin of the figure of whoever it is; null: as the settings say. */
	figure = $derived.by(() => (this.shown ?? this.current.client)?.skinTone ?? null);
	/** Draws the figures anew where she has a skin of her own. Call it in an effect. */
	drawFigure = (): void => void (this.settings && this.look.draw(this.settings, this.figure));

	/** Who is up next. */
	readonly current: CurrentClient;
	/** What is entered before sessions that have not begun. */
	readonly before: BeforeDrafts;

	constructor(
		readonly repo: Repository,
		readonly demo: boolean,
		readonly lock: LockState
	) {
		this.today = new Today(() => new Date(repo.stamp().now));
		this.before = new BeforeDrafts(() => repo.stamp().now);
		this.current = new CurrentClient({
			repo,
			settings: () => this.settings,
			choose: (currentClientId) => this.save({ currentClientId }),
			ontrouble: (error) => this.tell(STORE, storageTrouble(error))
		});
		repo.db.on('blocked', () => this.tell(STORE, storageTrouble(new DOMException('', 'BlockedError'))));
		repo.db.on('ready', () => this.tell(STORE, ''), true);
	}

	/** Follows the settings, the working values, the clients and her own library. Returns the way to stop; call it in an effect. */
	follow(): () => void {
		// Without a store the application opens all the same, with what ships.
		const error = (e: unknown) => {
			this.#lacksStore(e);
			this.#lacking = true;
		};
		// A query that follows says nothing of a store that cannot be opened: it is asked itself.
		void this.repo.db.open().catch(error);
		const followed = <T>(query: () => Promise<T>, next: (value: T) => void) => follow(query, next, error);
		const stops = [
			followed(
				() => this.repo.settings(),
				(settings) => {
					this.settings = settings;
					this.#sayOnce(this.look.draw(settings, this.figure));
				}
			),
			followed(
				() => this.repo.working(),
				(working) => {
					this.working = working;
					this.#valued = true;
				}
			),
			followed(
				() => this.repo.customLibrary(),
				(own) => (this.own = own)
			)
		];
		const stop = this.current.follow();
		const stopDay = this.today.follow();
		return () => {
			stopDay();
			this.look.stop();
			for (const end of stops) end();
			stop();
		};
	}

	/** Follows newer versions of the application. Returns the way to stop; call it in an effect. */
	followUpdates = (version: string): (() => void) =>
		watchUpdates(
			{
				onready: () => (this.update = this.update === 'needed' ? 'needed' : 'ready'),
				onneeded: () => (this.update = 'needed')
			},
			version
		);
	takeUpdate = (): Promise<void> => takeUpdate();
	/** Not now; at the next start it is there anyway. */
	leaveUpdate = (): void => {
		this.update = 'none';
	};

	/** Says what is wrong with something, or by an empty text that it is well again. */
	tell = (about: string, words: string): void => {
		if ((this.#troubles.get(about) ?? '') === words) return;
		const next = new Map(this.#troubles);
		if (words) next.set(about, words);
		else next.delete(about);
		this.#troubles = next;
	};

	#saidSmall = false;
	/** The browser's small store is full or shut: one sentence, once. */
	#sayOnce(remembered: boolean): void {
		if (remembered || this.#saidSmall) return;
		this.#saidSmall = true;
		this.tell(
			'outside',
			'This browser does not remember small things: pages open by day first, whatever look was chosen. Records are not touched by that.'
		);
	}

	/** There is no store, and why: what follows from a first cause does not hide it. */
	#lacksStore(error: unknown): void {
		if (!this.storeless || !isClosed(error)) this.tell(STORE, storageTrouble(error));
	}

	/** The user has read it. */
	dismiss = (words: string): void => {
		this.#troubles = new Map([...this.#troubles].filter(([, w]) => w !== words));
	};

	/**
	 * Runs work on the database; a failure becomes a sentence, never silence. The next work on the same that is well takes
	 * it away.
	 */
	async run<T>(work: () => Promise<T>, about = 'work'): Promise<T | null> {
		try {
			const result = await pending(work());
			this.tell(about, '');
			return result;
		} catch (error) {
			if (isStoreless(error)) this.#lacksStore(error);
			else this.tell(about, storageTrouble(error));
			return null;
		}
	}

	save = (change: Partial<Settings>) => this.run(() => this.repo.saveSettings(change), 'settings');

	/** Asks the browser to keep the records; remembers that it was asked. */
	async persist(): Promise<void> {
		this.persisted = await askToPersist();
		await this.save({ keepAskedAt: this.repo.stamp().now });
	}

	async lookWhetherPersisted(): Promise<void> {
		this.persisted = (await navigator.storage?.persisted?.()) ?? false;
	}
}

/** Must be called during initialisation of the root layout. */
export const provideApp = (app: AppState): AppState => setContext(KEY, app);

/** The shared state. Must be called during component initialisation. */
export function useApp(): AppState {
	const app = getContext<AppState | undefined>(KEY);
	if (!app) throw new Error('no application state: useApp() was called outside of the root layout');
	return app;
}
