/** Lets the cursor run at the pace of the clock. It holds no timer of its own while it rests. */
export class Player {
	running = $state(false);
	#frame = 0;

	/**
	 * @param now where the cursor is, seconds
	 * @param move puts it elsewhere
	 * @param end the last moment, seconds
	 */
	constructor(
		private readonly now: () => number,
		private readonly move: (seconds: number) => void,
		private readonly end: () => number
	) {}

	toggle(): void {
		if (this.running) this.stop();
		else this.start();
	}

	start(): void {
		if (this.running || this.end() <= 0) return;
		if (this.now() >= this.end() - 0.05) this.move(0);
		this.running = true;
		let last = performance.now();
		const tick = (time: number) => {
			// A tab that slept does not jump ahead.
			const passed = Math.min(0.25, Math.max(0, (time - last) / 1000));
			last = time;
			const next = Math.min(this.end(), this.now() + passed);
			this.move(next);
			if (next >= this.end()) this.stop();
			else if (this.running) this.#frame = requestAnimationFrame(tick);
		};
		this.#frame = requestAnimationFrame(tick);
	}

	stop(): void {
		this.running = false;
		cancelAnimationFrame(this.#frame);
	}
}
