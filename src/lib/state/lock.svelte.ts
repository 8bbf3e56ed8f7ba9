import { Lock, TooEarly } from '../store/lock/lock';
import { stillToWait, type LockRow } from '../store/lock/lockRow';
import { WrongPassphrase } from '../store/lock/sealing';
import { Tabs, type Said } from '../store/lock/tabs';
import type { Vault } from '../store/lock/vault';

/** ms between two looks at the clock, and between two words to the other windows that somebody is at work. */
const LOOK_MS = 1000;
const TELL_MS = 5000;
/** Seconds before it locks by itself in which that is said. */
const WARN_SECONDS = 20;
/** ms for which what was typed last may still be stored before the window forgets all it knows. */
const LAST_WRITES_MS = 600;
const TOUCHES = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

interface Options {
	readonly database: string;
	readonly vault: Vault;
	readonly clock: () => Date;
	/** Forgets all that this window knows: it is opened anew. */
	readonly leave?: () => void;
	readonly rounds?: number;
}

/** The lock as a window lives with it: shut, opened once a sitting, locked by a key, by time, or by another window. */
export class LockState {
	phase = $state<'looking' | 'none' | 'shut' | 'open' | 'closing'>('looking');
	row = $state.raw<LockRow | null>(null);
	/** Why it did not open, or nothing. */
	said = $state('');
	/** Seconds before another try. */
	wait = $state(0);
	/** Seconds until it locks by itself, where they are few; null otherwise. */
	soon = $state<number | null>(null);
	readonly lock: Lock;
	readonly #tabs: Tabs;
	readonly #clock: () => Date;
	readonly #leave: () => void;
	#usedAt: number;
	#toldAt = 0;
	#kept = 0;

	constructor({ database, vault, clock, leave, rounds }: Options) {
		this.#clock = clock;
		this.#leave = leave ?? (() => location.reload());
		this.#usedAt = clock().getTime();
		this.lock = new Lock(database, vault, clock, () => this.#held(), rounds);
		this.#tabs = new Tabs(database, (said) => void this.#hear(said));
	}

	/** Whether there is a lock, whatever holds at the moment. */
	set = $derived.by(() => this.row !== null);

	/** What holds now is told to the other windows. */
	#held(): void {
		const { hold } = this.lock.vault;
		if (hold.kind === 'open') this.#tabs.say({ kind: 'key', key: hold.key });
		if (hold.kind === 'none') this.#tabs.say({ kind: 'none' });
		this.#show();
	}
	#show(): void {
		this.row = this.lock.row;
		if (this.phase !== 'closing') this.phase = this.lock.vault.hold.kind;
	}
	async #hear(said: Said): Promise<void> {
		const { vault } = this.lock;
		if (said.kind === 'used') this.#usedAt = this.#clock().getTime();
		// A window that is being locked tells nobody any more.
		if (said.kind === 'ask' && this.phase === 'open' && vault.hold.kind === 'open')
			this.#tabs.say({ kind: 'key', key: vault.hold.key });
		if (said.kind === 'shut' && this.phase === 'open') this.#forget();
		if (said.kind === 'none' && this.phase !== 'none' && this.phase !== 'closing') {
			vault.hold = { kind: 'none' };
			this.lock.row = null;
			this.#show();
		}
		if (said.kind === 'key' && this.phase !== 'closing') {
			// How it is to be written is what the lock says by now.
			await this.lock.look();
			vault.hold = {
				kind: 'open',
				key: said.key,
				seals: this.lock.row !== null && this.lock.row.state !== 'unsealing'
			};
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

	/** Tries a passphrase; what comes of it is said. */
	async open(passphrase: string): Promise<boolean> {
		this.said = '';
		return this.#tried(() => this.lock.open(passphrase));
	}
	/** Work that asks for the passphrase. @returns whether it was the right one; what else goes wrong is thrown */
	async #tried(work: () => Promise<void>): Promise<boolean> {
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
	/** @returns whether the old passphrase was right; why not is said */
	change = (from: string, to: string): Promise<boolean> => this.#tried(() => this.lock.change(from, to));
	takeOff = (passphrase: string, onrows: (count: number) => void): Promise<boolean> =>
		this.#tried(() => this.lock.takeOff(passphrase, onrows));
	setIdle = (idleMinutes: LockRow['idleMinutes']): Promise<void> => this.lock.setIdle(idleMinutes);

	/** Locks at once, in every window. */
	shut = (): void => {
		if (this.phase !== 'open') return;
		this.#tabs.say({ kind: 'shut' });
		this.#forget();
	};
	/** What is shown goes at once; what was typed last is stored; then the window is opened anew and knows nothing. */
	#forget(): void {
		this.phase = 'closing';
		setTimeout(() => this.#leave(), LAST_WRITES_MS);
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
		if (this.#kept > 0) return this.#used();
		const left = Math.ceil(minutes * 60 - (this.#clock().getTime() - this.#usedAt) / 1000);
		this.soon = left <= WARN_SECONDS ? Math.max(0, left) : null;
		if (left <= 0) this.shut();
	}
}
