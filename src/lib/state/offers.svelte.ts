import { untrack } from 'svelte';
import type { Finding } from '../core/rules/rule';
import type { Edit } from '../core/sequence/edit.schema';
import { oncePainted } from './oncePainted';

/** ms of a frame that are spent on looking for fixes: the page answers in between. */
const SLICE_MS = 8;

/**
 * Which findings have a fix. Each fix is judged by what comes of it, which takes its time: it is looked for after what was
 * changed is on the screen, a few with each frame. Must be made while a component is set up.
 */
export class Offers {
	#known = $state.raw<ReadonlyMap<string, Edit | null>>(new Map());

	/**
	 * @param of what the findings are of: where it changes, all of them are looked for anew
	 * @param wanted the findings that are shown
	 * @param fix the edit that mends one; null where none is sound
	 */
	constructor(of: () => unknown, wanted: () => readonly Finding[], fix: (finding: Finding) => Edit | null) {
		let last: unknown;
		$effect(() => {
			const [now, findings] = [of(), wanted()];
			return untrack(() => {
				if (now !== last) this.#known = new Map();
				last = now;
				let stopped = false;
				let stop = () => {};
				const look = () => {
					const found = new Map(this.#known);
					const from = performance.now();
					const open = findings.filter((f) => !found.has(f.key));
					for (const finding of open) {
						found.set(finding.key, fix(finding));
						if (performance.now() - from > SLICE_MS) break;
					}
					if (found.size === this.#known.size) return;
					this.#known = found;
					if (!stopped) stop = oncePainted(look);
				};
				stop = oncePainted(look);
				return () => {
					stopped = true;
					stop();
				};
			});
		});
	}

	/** Whether there is one, as far as that is known by now. */
	has = (finding: Finding): boolean => Boolean(this.#known.get(finding.key));
}
