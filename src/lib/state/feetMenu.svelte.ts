import { FOOT_ITEMS, hasClosed, openMenu, walkMenu, type FootItem, type FootMenu } from '../core/perform/footMenu';
import type { Signal } from './pedals';

interface Options {
	/** Whether something can be asked for just now. */
	readonly can: (item: FootItem) => boolean;
	readonly ontake: (item: FootItem) => void;
	/** Each item is said as it is walked to. */
	readonly onsaid: (words: string) => void;
	/** Milliseconds of a clock that nobody sets. */
	readonly clock: () => number;
}

/** The menu that is walked by the left pedal and taken from by the right one, while it is open. */
export class FeetMenu {
	open = $state.raw<FootMenu | null>(null);
	constructor(private readonly options: Options) {}

	/** @returns whether the signal was for the menu, and nothing else is to hear it */
	signal(signal: Signal): boolean {
		const { can, clock, ontake } = this.options;
		this.look();
		if (signal === 'menu') {
			this.#at(openMenu(can, clock()));
			return true;
		}
		if (!this.open) return false;
		if (signal === 'toggle') this.#at(walkMenu(this.open, can, clock()));
		else {
			const { item } = this.open;
			this.open = null;
			if (signal === 'skip' && item !== 'back') ontake(item);
		}
		return true;
	}

	/** It closes by itself. Called at each frame. */
	look(): void {
		if (this.open && hasClosed(this.open, this.options.clock())) this.open = null;
	}

	#at(menu: FootMenu): void {
		this.open = menu;
		this.options.onsaid(FOOT_ITEMS[menu.item]);
	}
}
