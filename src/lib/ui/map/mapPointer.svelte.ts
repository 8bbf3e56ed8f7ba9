import type { Pick } from './mapTypes';

interface Options {
	targets: () => readonly Pick[];
	onpick: (pick: Pick, event: { shift: boolean }) => void;
	onstroke: (from: Pick, to: Pick) => void;
}

/** px that a finger may wander before a tap becomes a drag. */
const DRAG_FROM = 8;

/** Taps, drags and keys on the map: one tab stop, arrows walk the places in anatomical order. */
export class MapPointer {
	#at = $state(0);
	#start: { pick: Pick; x: number; y: number } | null = null;
	readonly #options: Options;

	constructor(options: Options) {
		this.#options = options;
	}

	tabindexOf(index: number): 0 | -1 {
		return index === Math.min(this.#at, this.#options.targets().length - 1) ? 0 : -1;
	}

	handlers(index: number) {
		return {
			onpointerdown: (e: PointerEvent) => this.#down(index, e),
			onpointerup: (e: PointerEvent) => this.#up(e),
			// A tap counts when it is over: acting earlier, its click would land on whatever has come under the finger.
			onclick: (e: MouseEvent) => this.#options.onpick(this.#options.targets()[index]!, { shift: e.shiftKey }),
			onkeydown: (e: KeyboardEvent) => this.#key(index, e),
			onfocus: () => (this.#at = index)
		};
	}

	#down(index: number, e: PointerEvent): void {
		if (e.button !== 0) return;
		(e.currentTarget as Element).releasePointerCapture?.(e.pointerId);
		this.#start = { pick: this.#options.targets()[index]!, x: e.clientX, y: e.clientY };
	}

	#up(e: PointerEvent): void {
		const start = this.#start;
		this.#start = null;
		if (!start) return;
		const moved = Math.hypot(e.clientX - start.x, e.clientY - start.y) > DRAG_FROM;
		const under = document.elementFromPoint(e.clientX, e.clientY)?.closest<SVGGElement>('[data-place]');
		const to = this.#options.targets().find((t) => t.place === under?.dataset.place && t.side === under?.dataset.side);
		if (moved && to && (to.place !== start.pick.place || to.side !== start.pick.side))
			this.#options.onstroke(start.pick, to);
	}

	#key(index: number, e: KeyboardEvent): void {
		const targets = this.#options.targets();
		if (e.key === 'Enter' || e.key === ' ') {
			e.preventDefault();
			this.#options.onpick(targets[index]!, { shift: e.shiftKey });
			return;
		}
		const here = targets[index]!;
		const across = targets.findIndex((t) => t.place === here.place && t.side !== here.side);
		const steps: Record<string, number> = {
			ArrowDown: targets.findIndex((t, i) => i > index && t.side === here.side),
			ArrowUp: targets.findLastIndex((t, i) => i < index && t.side === here.side),
			ArrowLeft: across,
			ArrowRight: across,
			Home: 0,
			End: targets.length - 1
		};
		const to = steps[e.key];
		if (to === undefined || to < 0) return;
		e.preventDefault();
		this.#at = to;
		const parent = (e.currentTarget as Element).parentElement;
		const next = targets[to]!;
		parent?.querySelector<SVGGElement>(`[data-place="${next.place}"][data-side="${next.side}"]`)?.focus();
	}
}
