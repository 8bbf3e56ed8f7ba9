import type { Pick } from './mapTypes';

/** How a place was chosen. */
export interface PickEvent {
	readonly shift: boolean;
	readonly keys: boolean;
}

interface Options {
	targets: () => readonly Pick[];
	/** The small target within reach of a point on the screen; null where the shape under it is meant. */
	near: (clientX: number, clientY: number) => number | null;
	onpick: (pick: Pick, event: PickEvent) => void;
	/** A drag from one place to another, or inside one: then where it led on the screen. */
	onstroke: (from: Pick, to: Pick, drawn: { from: ScreenPoint; to: ScreenPoint }) => void;
	/** A drag passes over places, first the one where it began: each is told once as it is entered. Then there are no strokes. */
	passing?: () => ((pick: Pick, first: boolean) => void) | undefined;
}

/** px of the window. */
export interface ScreenPoint {
	readonly x: number;
	readonly y: number;
}

/** px that a finger may wander before a tap becomes a drag. */
const DRAG_FROM = 8;
/** px from which a drag inside one place is a stroke in it; shorter, it was a tap that slipped. */
const STROKE_FROM = 24;
/** px between two looks at what a quick drag passes over. */
const LOOK_EVERY = 10;

/** A stroke that is being drawn: where it began, the place under the finger, and the finger itself. */
export interface Drag {
	readonly from: Pick;
	readonly to: Pick | null;
	readonly x: number;
	readonly y: number;
}

/** Taps, drags and keys on the map: one tab stop, arrows walk the places in anatomical order. */
export class MapPointer {
	#at = $state(0);
	#near = $state(-1);
	#stroked = false;
	#start: { pick: Pick; x: number; y: number } | null = null;
	/** Of a drag that passes over places: the last of them, and where it was then. */
	#passed: { pick: Pick; x: number; y: number } | null = null;
	drag = $state.raw<Drag | null>(null);
	readonly #options: Options;

	constructor(options: Options) {
		this.#options = options;
	}

	tabindexOf(index: number): 0 | -1 {
		return index === Math.min(this.#at, this.#options.targets().length - 1) ? 0 : -1;
	}

	/** The place under the pointer; null where there is none. */
	get named(): Pick | null {
		return this.#options.targets()[this.#near] ?? null;
	}

	/** Whether a target is the one that a tap here would choose. */
	isNear(index: number): boolean {
		return index === this.#near;
	}

	/** Handlers of the whole drawing. */
	readonly surface = {
		onpointermove: (e: PointerEvent) => this.#move(e),
		onpointerleave: () => (this.#near = -1),
		onpointerup: (e: PointerEvent) => this.#up(e),
		onpointercancel: () => this.#letGo()
	};

	handlers(index: number) {
		return {
			onpointerdown: (e: PointerEvent) => this.#down(index, e),
			// A tap counts when it is over: acting earlier, its click would land on whatever has come under the finger.
			onclick: (e: MouseEvent) => this.#click(index, e),
			onkeydown: (e: KeyboardEvent) => this.#key(index, e),
			onfocus: () => (this.#at = index)
		};
	}

	/** The target at a point: a small one within reach before the shape that lies there. */
	#meant({ clientX, clientY }: Pointed): number {
		const near = this.#options.near(clientX, clientY);
		if (near !== null) return near;
		const under = document.elementFromPoint(clientX, clientY)?.closest<SVGGElement>('[data-place]');
		return this.#options.targets().findIndex((t) => t.place === under?.dataset.place && t.side === under?.dataset.side);
	}

	/** Lets go of a drag that ended anywhere: outside of the drawing, or with the window. */
	readonly end = (): void => this.#letGo();

	#click(index: number, e: MouseEvent): void {
		if (this.#stroked) {
			this.#stroked = false;
			return;
		}
		// A click by keyboard or by a program has no place on the screen.
		const meant = e.detail > 0 ? this.#options.near(e.clientX, e.clientY) : null;
		this.#options.onpick(this.#options.targets()[meant ?? index]!, { shift: e.shiftKey, keys: false });
	}

	#down(index: number, e: PointerEvent): void {
		if (e.button !== 0) return;
		this.#stroked = false;
		(e.currentTarget as Element).releasePointerCapture?.(e.pointerId);
		const meant = this.#options.near(e.clientX, e.clientY) ?? index;
		this.#start = { pick: this.#options.targets()[meant]!, x: e.clientX, y: e.clientY };
	}

	#move(e: PointerEvent): void {
		// A button that came up outside of the window is told by the next move.
		if (this.#start && e.buttons === 0 && e.pointerType === 'mouse') this.#letGo();
		const start = this.#start;
		const at = this.#meant(e);
		this.#near = e.pointerType === 'touch' && !start ? -1 : at;
		if (!start || Math.hypot(e.clientX - start.x, e.clientY - start.y) <= DRAG_FROM) return;
		const pass = this.#options.passing?.();
		if (pass) return this.#pass(start, e, pass);
		const to = this.#options.targets()[at] ?? null;
		this.drag = { from: start.pick, to: to && !same(to, start.pick) ? to : null, x: e.clientX, y: e.clientY };
	}

	/** Tells every place between where the drag was and where it is. */
	#pass(
		start: { pick: Pick; x: number; y: number },
		e: PointerEvent,
		pass: (pick: Pick, first: boolean) => void
	): void {
		if (!this.#passed) pass(start.pick, true);
		let last = this.#passed ?? start;
		const steps = Math.max(1, Math.ceil(Math.hypot(e.clientX - last.x, e.clientY - last.y) / LOOK_EVERY));
		const [dx, dy] = [(e.clientX - last.x) / steps, (e.clientY - last.y) / steps];
		for (let i = 1; i <= steps; i++) {
			const at = { clientX: last.x + dx, clientY: last.y + dy };
			const to = this.#options.targets()[this.#meant(at)];
			if (to && !same(to, last.pick)) pass(to, false);
			last = { pick: to ?? last.pick, x: at.clientX, y: at.clientY };
		}
		this.#passed = last;
	}

	#up(e: PointerEvent): void {
		const start = this.#start;
		const passed = this.#passed;
		this.#letGo();
		if (!start) return;
		if (passed) {
			// The click that follows is none.
			this.#stroked = true;
			return;
		}
		const moved = Math.hypot(e.clientX - start.x, e.clientY - start.y) > DRAG_FROM;
		const to = this.#options.targets()[this.#meant(e)];
		if (!moved || !to) return;
		const far = Math.hypot(e.clientX - start.x, e.clientY - start.y) >= STROKE_FROM;
		if (!same(to, start.pick) || far)
			this.#options.onstroke(start.pick, to, { from: { x: start.x, y: start.y }, to: { x: e.clientX, y: e.clientY } });
		// The click that follows a stroke inside one place is none.
		this.#stroked = same(to, start.pick) && far;
	}

	#letGo(): void {
		this.#start = null;
		this.#passed = null;
		this.drag = null;
	}

	#key(index: number, e: KeyboardEvent): void {
		const targets = this.#options.targets();
		if (e.key === 'Enter' || e.key === ' ') {
			e.preventDefault();
			this.#options.onpick(targets[index]!, { shift: e.shiftKey, keys: true });
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

/** A point of the window, as a pointer tells it. */
type Pointed = { readonly clientX: number; readonly clientY: number };

const same = (a: Pick, b: Pick): boolean => a.place === b.place && a.side === b.side;
