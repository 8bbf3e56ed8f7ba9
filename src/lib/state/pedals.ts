/** What a pedal, or the keys of a headset, ask of the stage. */
export type Signal = 'toggle' | 'back' | 'skip' | 'more' | 'otherSide';

/** Five pedals, from the left; what has fewer has the first ones, what has more does as the first. */
export const PEDALS: readonly { readonly signal: Signal; readonly label: string }[] = [
	{ signal: 'toggle', label: 'Left: begin, pause, go on' },
	{ signal: 'back', label: 'Middle: the step again' },
	{ signal: 'skip', label: 'Right: next step' },
	{ signal: 'more', label: 'Fourth: one more' },
	{ signal: 'otherSide', label: 'Fifth: the other side' }
];
export const signalOf = (pedal: number): Signal => PEDALS[pedal]?.signal ?? 'toggle';

/** The simulated pedal is another window: what is pressed there comes over this line. */
const LINE = 'soft-tide-pedal';
interface Pressed {
	readonly pedal: number;
}

/** A pedal that ships with the application, for trying and for tests. */
export class SimulatedPedal {
	readonly #line = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LINE);
	press = (pedal: number): void => this.#line?.postMessage({ pedal } satisfies Pressed);
	close = (): void => this.#line?.close();
}

interface Options {
	readonly onsignal: (signal: Signal) => void;
	/** A pedal came, or went; then nothing is left but keys and touch. */
	readonly onplugged?: (there: boolean, name: string) => void;
	/** Pads as the browser tells them; given in tests. */
	readonly pads?: () => readonly (Pick<Gamepad, 'index' | 'buttons'> | null)[];
}

/** Buttons that are down now and were not a moment ago: a pedal that is held does not repeat. */
export class Pedals {
	readonly #down = new Map<string, boolean>();
	constructor(private readonly options: Options) {}

	/** Looks at all pads. Called at each frame. */
	look(): void {
		const pads = this.options.pads?.() ?? navigator.getGamepads?.() ?? [];
		for (const pad of pads)
			pad?.buttons.forEach(({ pressed }, i) => {
				const key = `${pad.index}:${i}`;
				if (pressed && !this.#down.get(key)) this.options.onsignal(signalOf(i));
				this.#down.set(key, pressed);
			});
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
		line?.addEventListener('message', ({ data }: MessageEvent<Pressed>) => onsignal(signalOf(data.pedal)));
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
