/** What a pedal, or the keys of a headset, ask of the stage. */
export type Signal = 'toggle' | 'skip' | 'back' | 'more' | 'otherSide' | 'where' | 'menu';

/** Five pedals, from the left; what has fewer has the first ones, what has more does as the first. Held, the first two do something else. */
export const PEDALS: readonly { readonly signal: Signal; readonly held?: Signal; readonly label: string }[] = [
	{ signal: 'toggle', held: 'where', label: 'Left: begin, pause, resume' },
	{ signal: 'skip', held: 'menu', label: 'Right: next step' },
	{ signal: 'back', label: 'Third: repeat step' },
	{ signal: 'more', label: 'Fourth: one more' },
	{ signal: 'otherSide', label: 'Fifth: other side' }
];
export const signalOf = (pedal: number, held = false): Signal => {
	const row = PEDALS[pedal] ?? PEDALS[0]!;
	return held ? (row.held ?? row.signal) : row.signal;
};
/** A pedal that is down for so long is held. Working value. */
export const HELD_MS = 800;

/** The simulated pedal is another window: what is pressed there comes over this line. */
const LINE = 'soft-tide-pedal';
interface Pressed {
	readonly pedal: number;
	readonly held?: boolean;
}

/** A pedal that ships with the application, for trying and for tests. */
export class SimulatedPedal {
	readonly #line = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LINE);
	press = (pedal: number): void => this.#line?.postMessage({ pedal } satisfies Pressed);
	hold = (pedal: number): void => this.#line?.postMessage({ pedal, held: true } satisfies Pressed);
	close = (): void => this.#line?.close();
}

interface Options {
	readonly onsignal: (signal: Signal) => void;
	/** A pedal came, or went; then nothing is left but keys and touch. */
	readonly onplugged?: (there: boolean, name: string) => void;
	/** Milliseconds of a clock that nobody sets. */
	readonly clock?: () => number;
	/** Pads as the browser tells them; given in tests. */
	readonly pads?: () => readonly (Pick<Gamepad, 'index' | 'buttons'> | null)[];
}

/**
 * A pedal that is let go soon is pressed; one that stays down is held, and says so once. What has no second meaning acts as
 * it goes down.
 */
export class Pedals {
	/** Since when each button is down, ms; null: what it asks was told. */
	readonly #down = new Map<string, number | null>();
	constructor(private readonly options: Options) {}

	/** Looks at all pads. Called at each frame. */
	look(): void {
		const pads = this.options.pads?.() ?? navigator.getGamepads?.() ?? [];
		for (const pad of pads) pad?.buttons.forEach(({ pressed }, i) => this.#button(`${pad.index}:${i}`, i, pressed));
	}

	#button(key: string, i: number, pressed: boolean): void {
		const now = this.options.clock?.() ?? performance.now();
		const since = this.#down.get(key);
		if (!pressed) {
			if (typeof since === 'number') this.options.onsignal(signalOf(i));
			this.#down.delete(key);
			return;
		}
		if (since === undefined) {
			const waits = (PEDALS[i] ?? PEDALS[0]!).held !== undefined;
			this.#down.set(key, waits ? now : null);
			if (!waits) this.options.onsignal(signalOf(i));
		} else if (since !== null && now - since >= HELD_MS) {
			this.#down.set(key, null);
			this.options.onsignal(signalOf(i, true));
		}
	}

	/** The same where no stage has frames of its own: pads are looked at each frame. Returns the way to stop. */
	followAlone(): () => void {
		const stop = this.follow();
		let frame = requestAnimationFrame(() => next());
		const next = () => {
			this.look();
			frame = requestAnimationFrame(next);
		};
		return () => {
			cancelAnimationFrame(frame);
			stop();
		};
	}

	/** Hears the simulated pedal, the keys of a headset, and pads that come and go. Returns the way to stop; call it in an effect. */
	follow(): () => void {
		const { onsignal, onplugged } = this.options;
		const line = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LINE);
		line?.addEventListener('message', ({ data }: MessageEvent<Pressed>) => onsignal(signalOf(data.pedal, data.held)));
		const came = ({ gamepad }: GamepadEvent) => onplugged?.(true, gamepad.id);
		const went = ({ gamepad }: GamepadEvent) => onplugged?.(false, gamepad.id);
		window.addEventListener('gamepadconnected', came);
		window.addEventListener('gamepaddisconnected', went);
		const media: readonly [MediaSessionAction, Signal][] = [
			['play', 'toggle'],
			['pause', 'toggle'],
			['previoustrack', 'back'],
			['nexttrack', 'skip']
		];
		const session = navigator.mediaSession as MediaSession | undefined;
		for (const [action, signal] of media) session?.setActionHandler(action, () => onsignal(signal));
		return () => {
			line?.close();
			window.removeEventListener('gamepadconnected', came);
			window.removeEventListener('gamepaddisconnected', went);
			for (const [action] of media) session?.setActionHandler(action, null);
		};
	}
}
