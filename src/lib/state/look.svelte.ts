import type { SkinTone } from '../core/client/skinTones';
import type { Settings } from '../core/records/settings';
import { rememberOutside } from '../store/outside';
import { applySkin } from './skinTones';
import { sunAt } from './sun';

/** How often it is looked whether the sun has set, ms. */
const LOOK_MS = 60_000;

/** Day or evening, and the skin of the figures: as the settings say, as the device does, or by the sun. */
export class Look {
	dark = $state(false);
	#down: boolean | null = null;
	#timer: ReturnType<typeof setInterval> | undefined;
	#drawn: { readonly settings: Settings; readonly hers: SkinTone | null } | null = null;

	/**
	 * @param hers the skin of whoever is looked at; null: as the settings say
	 * @returns whether it is remembered for the first moment of the next visit
	 */
	draw(settings: Settings, hers: SkinTone | null): boolean {
		const { theme, place, skinTone } = settings;
		const old = this.#drawn?.settings;
		const bySun = theme === 'sunset' && place !== null;
		this.#drawn = { settings, hers };
		if (old?.theme !== theme || old.place?.latitude !== place?.latitude || old.place?.longitude !== place?.longitude) {
			this.stop();
			if (bySun) {
				this.#timer = setInterval(() => void this.#lookUp(), LOOK_MS);
				void this.#lookUp();
			}
		}
		const device = matchMedia('(prefers-color-scheme: dark)').matches;
		// Till the sun is known it stays as it was remembered.
		const remembered = document.documentElement.dataset.theme === 'evening';
		this.dark = bySun ? (this.#down ?? remembered) : theme === 'evening' || (theme !== 'day' && device);
		const shown = this.dark ? 'evening' : 'day';
		document.documentElement.dataset.theme = shown;
		applySkin(document.documentElement, hers ?? skinTone, shown);
		return rememberOutside('theme', bySun ? shown : theme === 'sunset' ? 'auto' : theme);
	}

	async #lookUp(): Promise<void> {
		const asked = this.#drawn;
		if (!asked?.settings.place) return;
		// Without the library, as on a machine that was never online since, it stays as it is.
		const sun = await sunAt(new Date(), asked.settings.place).catch(() => null);
		if (!sun || this.#drawn?.settings.place !== asked.settings.place || sun.down === this.#down) return;
		this.#down = sun.down;
		this.draw(this.#drawn.settings, this.#drawn.hers);
	}

	stop(): void {
		clearInterval(this.#timer);
		this.#down = null;
	}
}
