/** Less of a difference is a clock set right by the network. */
const LEAST_MS = 60_000;

/** Watches whether the clock of the device is moved against the one that only runs on, and whether the zone is. */
export class ClockWatch {
	#offsetMs: number;
	#zone: number;

	/**
	 * @param now ms since 1970
	 * @param clock ms of a clock that is never set
	 */
	constructor(
		private readonly now: () => number,
		private readonly clock: () => number,
		private readonly zone: () => number = () => new Date().getTimezoneOffset()
	) {
		this.#offsetMs = now() - clock();
		this.#zone = zone();
	}

	/** By how much it was moved since it was last asked, and whether the zone was; null where neither was. */
	moved(): { readonly ms: number; readonly zone: boolean } | null {
		const [offset, zone] = [this.now() - this.clock(), this.zone()];
		const [ms, otherZone] = [offset - this.#offsetMs, zone !== this.#zone];
		if (Math.abs(ms) < LEAST_MS && !otherZone) return null;
		[this.#offsetMs, this.#zone] = [offset, zone];
		return { ms: Math.abs(ms) < LEAST_MS ? 0 : ms, zone: otherZone };
	}
}
