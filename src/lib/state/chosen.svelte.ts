/** Steps chosen together. The one that was selected first stays the anchor from which a range is drawn. */
export class Chosen {
	#more = $state.raw<ReadonlySet<string>>(new Set());
	readonly #order: () => readonly string[];
	readonly #anchor: () => string | null;

	/** @param order ids in playing order; @param anchor the selected one */
	constructor(order: () => readonly string[], anchor: () => string | null) {
		this.#order = order;
		this.#anchor = anchor;
	}

	/** All chosen ids that are there, the selected one included, in playing order. */
	get ids(): ReadonlySet<string> {
		const anchor = this.#anchor();
		if (!this.#more.size) return new Set(anchor ? [anchor] : []);
		return new Set(this.#order().filter((id) => id === anchor || this.#more.has(id)));
	}
	get many(): boolean {
		return this.#more.size > 0 && this.ids.size > 1;
	}
	has(id: string): boolean {
		return id === this.#anchor() || this.#more.has(id);
	}

	clear(): void {
		if (this.#more.size) this.#more = new Set();
	}

	/** Takes a step to the chosen ones, or out of them. */
	toggle(id: string): void {
		const more = new Set(this.#more);
		if (!more.delete(id)) more.add(id);
		this.#more = more;
	}

	/** Chooses all from the anchor to a step. */
	extendTo(id: string): void {
		const order = this.#order();
		const [a, b] = [order.indexOf(this.#anchor() ?? id), order.indexOf(id)];
		if (b >= 0) this.#more = new Set(order.slice(Math.min(a < 0 ? b : a, b), Math.max(a, b) + 1));
	}

	/** Chooses these. */
	these(ids: readonly string[]): void {
		this.#more = new Set(ids);
	}

	all(): void {
		this.#more = new Set(this.#order());
	}
}
