/**
 * A session is performed in one window at a time: two would write one log. The browser's locks know which; where it has
 * none, nobody is kept out.
 */
export class StageHold {
	/** `elsewhere`: another window performs it; `taken`: it was taken over by another one. */
	state = $state<'asking' | 'mine' | 'elsewhere' | 'taken'>('asking');
	#release: () => void = () => {};
	#held = '';

	/** @param onlost it was taken over: what runs here stops */
	constructor(
		private readonly locks: Pick<LockManager, 'request'> | undefined,
		private readonly onlost: () => void
	) {}

	/** Asks for a session; resolves when it is known whose it is. */
	ask = (sessionId: string): Promise<void> => this.#request(sessionId, { ifAvailable: true });
	/** Takes it from the window that has it. */
	takeOver = (sessionId: string): Promise<void> => this.#request(sessionId, { steal: true });

	#request(sessionId: string, how: LockOptions): Promise<void> {
		if (this.state === 'mine' && this.#held === sessionId) return Promise.resolve();
		this.release();
		this.#held = sessionId;
		if (!this.locks) {
			this.state = 'mine';
			return Promise.resolve();
		}
		return new Promise((known) => {
			this.locks!.request(`soft-tide-stage-${sessionId}`, how, (lock) => {
				this.state = lock ? 'mine' : 'elsewhere';
				known();
				return lock ? new Promise<void>((release) => (this.#release = release)) : undefined;
			}).catch(() => {
				// Stolen: the other window goes on from what was logged.
				if (this.state === 'mine') {
					this.state = 'taken';
					this.onlost();
				}
				known();
			});
		});
	}

	release(): void {
		this.state = 'asking';
		this.#release();
		this.#release = () => {};
	}
}
