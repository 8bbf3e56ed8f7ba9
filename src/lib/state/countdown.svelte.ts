/** Counts down to a picture, so that hands can leave the screen. */
export class Countdown {
	/** Seconds that are left; null at rest. */
	left = $state<number | null>(null);
	#timer: ReturnType<typeof setInterval> | undefined;

	/** @param done called when it is over */
	begin(seconds: number, done: () => void): void {
		if (this.left !== null) return this.stop();
		this.left = seconds;
		this.#timer = setInterval(() => {
			this.left = (this.left ?? 1) - 1;
			if (this.left > 0) return;
			this.stop();
			done();
		}, 1000);
	}
	stop(): void {
		clearInterval(this.#timer);
		this.left = null;
	}
}
