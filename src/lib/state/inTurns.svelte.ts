import { oncePainted } from './oncePainted';

/** Rows of a list that are drawn in one go: about a window full. */
export const ROWS_AT_ONCE = 30;

/**
 * A number that grows to a wish, some more with each frame: what is long is drawn piece by piece, and the page answers in
 * between. Must be called while a component is set up.
 * @param wish how much there is to draw
 * @param first drawn at once
 * @param more drawn with each frame after
 */
export function inTurns(wish: () => number, first: number, more = first): { readonly current: number } {
	let drawn = $state(first);
	$effect(() => {
		if (drawn >= wish()) return;
		return oncePainted(() => (drawn += more));
	});
	return {
		get current() {
			return Math.min(drawn, wish());
		}
	};
}
