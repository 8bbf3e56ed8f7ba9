import { oncePainted } from './oncePainted';
import { untilReleased } from './pointer';
import { onceTouched } from './touched';

/** A part that a page opens without: fetched at the first touch, or as soon as it is asked for, and then shared by all. */
export class Fetched<T> {
	current = $state.raw<T | null>(null);
	#asked: Promise<void> | undefined;
	#waiting = 0;
	#callOff = () => {};

	constructor(private readonly fetch: () => Promise<T>) {}

	/** Asks for it now. Where it cannot be fetched, the next touch asks again. */
	want = (): Promise<void> =>
		(this.#asked ??= this.fetch().then(
			(part) => untilReleased().then(() => void (this.current = part)),
			() => {
				this.#asked = undefined;
				onceTouched(() => void this.want());
			}
		));

	/** Fetches it at the first touch of the page. Must be called while a component is set up. */
	soon(): this {
		$effect(() => {
			if (this.current) return;
			// One watch for all who wait: a list has a menu in every row.
			if (this.#waiting++ === 0) this.#callOff = onceTouched(() => void this.want());
			return () => {
				if (--this.#waiting === 0) this.#callOff();
			};
		});
		return this;
	}
	/** Fetches it once the page is on the screen and has use for it. Must be called while a component is set up. */
	oncePainted(use: () => unknown): this {
		$effect(() => (use() ? oncePainted(() => void this.want()) : undefined));
		return this;
	}
}
