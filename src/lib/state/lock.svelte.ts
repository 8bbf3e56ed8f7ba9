import { Lock, type Moving, type Prepared } from '../store/lock/lock';
import { TooEarly } from '../store/lock/refusals';
import { stillToWait, type LockRow } from '../store/lock/lockRow';
import { WrongPassphrase } from '../store/lock/sealing';
import { Tabs, type Said } from '../store/lock/tabs';
import { RowsDamaged, type RecordDamaged, type Vault } from '../store/lock/vault';
import { storageTrouble } from '../store/plainWords';
import { allStored, isPending } from './pendingWork';

/** ms between two looks at the clock, and between two words to the other windows that somebody is at work. */
const LOOK_MS = 1000;
const TELL_MS = 5000;
/** Seconds before it locks by itself in which that is said. */
const WARN_SECONDS = 20;
/** ms in which what was typed last begins to be stored, once its page is gone. */
const LAST_WRITES_MS = 600;
const TOUCHES = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

interface Options {
	readonly database: string;
	readonly vault: Vault;
	readonly clock: () => Date;
	/** Forgets all that this window knows: it is opened anew. */
	readonly leave?: () => void;
	/** Ends whatever reads or writes in this window: the records are taken elsewhere. */
	readonly quiet?: () => void;
	/** What could not be stored, in words; empty where all is. */
	readonly unstored?: () => string;
	readonly rounds?: number;
	readonly noiseRounds?: number;
}

/** The lock as a window lives with it: shut, opened once a sitting, locked by a key, by time, or by another window. */
export class LockState {
	phase = $state<'looking' | 'none' | 'shut' | 'open' | 'closing' | 'moving' | 'lost'>('looking');
	row = $state.raw<LockRow | null>(null);
	/** Why it did not open, or nothing. */
	said = $state('');
	/** How far a move is, as a sentence. */
	doing = $state('');
	/** Records that cannot be opened, and would stay behind: it is asked first. */
	damaged = $state.raw<readonly RecordDamaged[]>([]);
	/** What could not be stored before locking, in words. */
	unstored = $state('');
	/** Seconds before another try. */
	wait = $state(0);
	/** Seconds until it locks by itself, where they are few; null otherwise. */
	soon = $state<number | null>(null);
	readonly lock: Lock;
	readonly #tabs: Tabs;
	readonly #clock: () => Date;
	readonly #options: Options;
	#usedAt: number;
	#toldAt = 0;
	#kept = 0;
	#moving = false;

	constructor(options: Options) {
		const { database, vault, clock, rounds, noiseRounds } = options;
		this.#options = options;
		this.#clock = clock;
		this.#usedAt = clock().getTime();
		const fewer = {
			...(rounds === undefined ? {} : { rounds }),
			...(noiseRounds === undefined ? {} : { noiseRounds })
		};
		this.lock = new Lock(database, vault, clock, () => this.#held(), fewer);
		this.#tabs = new Tabs(database, (said) => void this.#hear(said));
	}
	#leave = (): void => (this.#options.leave ?? (() => location.reload()))();

	/** Whether there is a lock, whatever holds at the moment. */
	set = $derived.by(() => this.row !== null);

	/** What holds now is told to the other windows. */
	#held(): void {
		if (this.#moving) return void (this.row = this.lock.row);
		const { hold } = this.lock.vault;
		if (hold.kind === 'open') this.#tabs.say({ kind: 'keys', keys: { key: hold.key, names: hold.names } });
		if (hold.kind === 'none') this.#tabs.say({ kind: 'none' });
		this.#show();
	}
	#show = (): void => {
		this.row = this.lock.row;
		if (this.phase !== 'closing') this.phase = this.lock.lost ? 'lost' : this.lock.vault.hold.kind;
	};
	async #hear(said: Said): Promise<void> {
		const { vault } = this.lock;
		if (said.kind === 'used') this.#usedAt = this.#clock().getTime();
		// A window that is being locked tells nobody any more.
		if (said.kind === 'ask' && this.phase === 'open' && vault.hold.kind === 'open')
			this.#tabs.say({ kind: 'keys', keys: { key: vault.hold.key, names: vault.hold.names } });
		if ((said.kind === 'shut' && this.phase === 'open') || (said.kind === 'moving' && !this.#moving))
			void this.#forget();
		if (said.kind === 'none' && this.phase === 'shut') {
			await this.lock.look();
			this.#show();
		}
		if (said.kind === 'keys' && this.phase === 'shut') {
			// Where the records are by now is what the lock says.
			await this.lock.look();
			if (this.lock.row === null || this.lock.unfinished) return this.#show();
			vault.hold = { kind: 'open', ...said.keys };
			this.#used();
			this.#show();
		}
	}

	/** Looks for a lock; where there is one, the other windows are asked for the key. @throws what the database throws */
	async look(): Promise<void> {
		await this.lock.look();
		this.#show();
		if (this.phase !== 'shut') return;
		this.wait = stillToWait(this.row!, this.#clock());
		this.#tabs.say({ kind: 'ask' });
	}

	/** Tries a passphrase; what was broken off is gone on with. What comes of it is said. @param leaveOut records that cannot be opened may stay behind */
	async open(passphrase: string, leaveOut?: boolean): Promise<boolean> {
		this.said = '';
		this.damaged = [];
		this.#moving = this.lock.unfinished;
		try {
			const right = await this.#tried(() => this.lock.open(passphrase, this.#moves(leaveOut)));
			this.#moving = false;
			if (right) this.#held();
			return right;
		} catch (error) {
			if (!(error instanceof RowsDamaged)) throw error;
			this.damaged = error.rows;
			return false;
		} finally {
			this.doing = '';
			this.#moving = false;
		}
	}
	/** The records as they lie, though not all of them are where they are to be. */
	openAsItIs = (): void => {
		this.damaged = [];
		this.#held();
	};
	/** Work that asks for the passphrase. @returns whether it was the right one; what else goes wrong is thrown */
	async #tried(work: () => Promise<unknown>): Promise<boolean> {
		try {
			await work();
			this.wait = 0;
			this.#used();
			return true;
		} catch (error) {
			if (!(error instanceof WrongPassphrase) && !(error instanceof TooEarly)) throw error;
			this.said = error.message;
			this.row = this.lock.row;
			this.wait = stillToWait(this.row!, this.#clock());
			return false;
		}
	}
	/** How a move is told. */
	#moves(leaveOut?: boolean): Moving {
		let done = 0;
		return {
			...(leaveOut === undefined ? {} : { leaveOut }),
			onrows: (count) => (this.doing = `${(done += count).toLocaleString('en')} records taken over and read back …`),
			onclear: (round, of) => (this.doing = `Writing over what lay there before: ${round} of ${of} …`)
		};
	}

	/**
	 * Takes the records elsewhere. Nothing else reads or writes meanwhile, in no window; then this window is opened anew. Where it
	 * is broken off, it goes on when the records are opened next.
	 */
	async #move(work: (moving: Moving) => Promise<unknown>): Promise<void> {
		this.#moving = true;
		this.phase = 'moving';
		[this.said, this.doing] = ['', 'What was typed last is stored …'];
		this.#tabs.say({ kind: 'moving' });
		await this.#lastWrites();
		this.#options.quiet?.();
		try {
			await work(this.#moves());
			this.#moving = false;
			if (this.lock.vault.hold.kind === 'none') this.#tabs.say({ kind: 'none' });
			this.#leave();
		} catch (error) {
			this.said =
				error instanceof RowsDamaged
					? `${error.message}. Open the records to decide what becomes of them.`
					: storageTrouble(error);
			this.doing = '';
		}
	}
	/** Puts the lock on, by what was tried on a copy. */
	putOn = (prepared: Prepared, passphrase: string, idleMinutes: LockRow['idleMinutes']): Promise<void> =>
		this.#move((moving) => this.lock.putOn(prepared, passphrase, idleMinutes, moving));
	/** @returns whether the old passphrase was right; why not is said @throws {NoRoom} */
	async change(from: string, to: string): Promise<boolean> {
		const right = await this.#tried(() => this.lock.mayMove(from));
		if (right) await this.#move((moving) => this.lock.change(from, to, moving));
		return right;
	}
	async takeOff(passphrase: string): Promise<boolean> {
		const right = await this.#tried(() => this.lock.mayMove(passphrase));
		if (right) await this.#move((moving) => this.lock.takeOff(passphrase, moving));
		return right;
	}
	setIdle = (idleMinutes: LockRow['idleMinutes']): Promise<void> => this.lock.setIdle(idleMinutes);

	/** Locks at once, in every window. */
	shut = (): void => {
		if (this.phase !== 'open') return;
		this.#tabs.say({ kind: 'shut' });
		void this.#forget();
	};
	/** What is shown goes at once; what was typed last is stored, however long that takes; then the window is opened anew and knows nothing. */
	async #forget(): Promise<void> {
		this.phase = 'closing';
		await this.#lastWrites();
		this.unstored = this.#options.unstored?.() ?? '';
		if (!this.unstored) this.#leave();
	}
	/** It is locked although something could not be stored. */
	leaveUnstored = (): void => this.#leave();
	async #lastWrites(): Promise<void> {
		await new Promise((done) => setTimeout(done, LAST_WRITES_MS));
		await allStored();
	}

	/** While something runs by itself, a stage or a long file, nobody needs to touch anything. Returns the way to end it. */
	keepOpen = (): (() => void) => {
		this.#kept++;
		return () => {
			this.#kept--;
			this.#used();
		};
	};
	#used(): void {
		const now = this.#clock().getTime();
		this.#usedAt = now;
		this.soon = null;
		if (now - this.#toldAt < TELL_MS) return;
		this.#toldAt = now;
		this.#tabs.say({ kind: 'used' });
	}
	/** Watches whether somebody is there. Returns the way to stop; call it in an effect. */
	follow(): () => void {
		const used = () => this.phase === 'open' && this.#used();
		const look = () => this.#tick();
		for (const touch of TOUCHES) window.addEventListener(touch, used, { passive: true, capture: true });
		document.addEventListener('visibilitychange', look);
		const timer = setInterval(look, LOOK_MS);
		return () => {
			clearInterval(timer);
			document.removeEventListener('visibilitychange', look);
			for (const touch of TOUCHES) window.removeEventListener(touch, used, { capture: true });
			this.#tabs.close();
		};
	}
	#tick(): void {
		if (this.phase === 'shut' && this.wait > 0) this.wait = stillToWait(this.row!, this.#clock());
		const minutes = this.row?.idleMinutes ?? 0;
		if (this.phase !== 'open' || minutes === 0) return;
		if (this.#kept > 0 || isPending()) return this.#used();
		const left = Math.ceil(minutes * 60 - (this.#clock().getTime() - this.#usedAt) / 1000);
		this.soon = left <= WARN_SECONDS ? Math.max(0, left) : null;
		if (left <= 0) this.shut();
	}
}
