import { formatISO } from 'date-fns';
import type { Day } from '../core/client/days';

/** How often it is looked whether a new day has begun, ms. */
const LOOK_EVERY_MS = 30_000;

/** The calendar day of the practice, by the clock on its wall: waiting periods end with it, also while the page is open. */
export class Today {
	current = $state<Day>('');

	constructor(private readonly now: () => Date) {
		this.#look();
	}
	#look = (): void => {
		const day = formatISO(this.now(), { representation: 'date' });
		if (day !== this.current) this.current = day;
	};

	/** Follows the clock. Returns the way to stop; call it in an effect. */
	follow(): () => void {
		this.#look();
		const timer = setInterval(this.#look, LOOK_EVERY_MS);
		document.addEventListener('visibilitychange', this.#look);
		return () => {
			clearInterval(timer);
			document.removeEventListener('visibilitychange', this.#look);
		};
	}
}
