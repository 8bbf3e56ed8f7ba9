import { oncePainted } from './oncePainted';

/**
 * A value that follows another one a frame later: what is drawn from it waits until what was edited is on the screen.
 * Must be called while a component is set up.
 * @param value read at once for the first time
 */
export function afterPaint<T>(value: () => T): { readonly current: T } {
	let shown = $state.raw(value());
	$effect(() => {
		const next = value();
		if (next === shown) return;
		return oncePainted(() => (shown = next));
	});
	return {
		get current() {
			return shown;
		}
	};
}
