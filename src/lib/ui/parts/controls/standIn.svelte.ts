import type { Fetched } from '../../../state/fetched.svelte';

/** A button that stands for a part until it is fetched: it remembers that it was asked, and that it had the focus. */
export class StandIn {
	asked = $state(false);
	focused = $state(false);

	/** @param keys that ask as a click does */
	constructor(
		private readonly part: Fetched<unknown>,
		private readonly keys: readonly string[]
	) {}

	#ask = (): void => {
		this.asked = true;
		void this.part.want();
	};
	/** What the button hears. */
	readonly handlers = {
		onclick: this.#ask,
		onkeydown: (event: KeyboardEvent) => {
			if (!this.keys.includes(event.key)) return;
			event.preventDefault();
			this.#ask();
		},
		onfocus: () => void (this.focused = true),
		onblur: () => void (this.focused = false)
	};
}
