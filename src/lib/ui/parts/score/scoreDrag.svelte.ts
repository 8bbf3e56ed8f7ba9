import { stepBefore } from './scoreView';
import type { ScoreStep } from './scoreLayout';

/** Less than this is a shaking hand, px. */
const MOVED_PX = 8;

interface Around {
	steps: () => readonly ScoreStep[];
	secondsUnder: (clientX: number) => number;
	/** What a drag on the ground pans; null where all is in sight. */
	scroller: () => HTMLElement | null;
	/** A swell was let go before another one, or at the end. */
	onmove: (stepId: string, before: string | null) => void;
}

/** A swell is picked up by its body; the ground is taken hold of to pan. */
export class ScoreDrag {
	held = $state.raw<{ step: ScoreStep; x: number; moved: boolean; to: ScoreStep | null } | null>(null);
	/** True until the click that ends a drag has passed: it chooses nothing. */
	justMoved = false;
	#pan: { x: number; from: number; scroller: HTMLElement } | null = null;
	#around: Around;

	constructor(around: Around) {
		this.#around = around;
	}
	down = (e: PointerEvent): void => {
		if (e.button !== 0 || e.pointerType === 'touch') return;
		const at = e.target as Element;
		const key = at.closest<SVGGElement>('[data-key]')?.dataset.key;
		const step = this.#around.steps().find((s) => s.key === key);
		const scroller = this.#around.scroller();
		if (step) this.held = { step, x: e.clientX, moved: false, to: null };
		else if (scroller && !at.closest('.scrub, .handle'))
			this.#pan = { x: e.clientX, from: scroller.scrollLeft, scroller };
	};
	move = (e: PointerEvent): void => {
		if (this.#pan) this.#pan.scroller.scrollLeft = this.#pan.from - (e.clientX - this.#pan.x);
		const { held } = this;
		if (!held || (!held.moved && Math.abs(e.clientX - held.x) <= MOVED_PX)) return;
		this.held = { ...held, moved: true, to: stepBefore(this.#around.steps(), this.#around.secondsUnder(e.clientX)) };
	};
	up = (): void => {
		const { held } = this;
		this.#pan = null;
		this.held = null;
		if (!held?.moved) return;
		this.justMoved = true;
		setTimeout(() => (this.justMoved = false));
		const [id, to] = [held.step.placed.step.id, held.to?.placed.step.id ?? null];
		if (to !== id) this.#around.onmove(id, to);
	};
}
