import { landmarkFaults, missingPoints } from '../core/measure/faults';
import { POINTS_OF_VIEW, type AnyPoint, type MeasuredView, type Pixel, type Points } from '../core/measure/landmarks';
import { genericPoints, predicted } from '../core/measure/predict';
import { scalesApart } from '../core/measure/scale';
import type { Photo } from '../core/records/photo';
import { measuredView } from '../core/records/photoPairs';

type End = `end${0 | 1 | 2 | 3}`;
/** An end of an iris against which a marker is checked: it is not stored. */
type Check = `check${0 | 1 | 2 | 3}`;
/** What is placed on a photograph: a landmark, or an end of what tells its size. */
export type Target = AnyPoint | End | Check;
const isEnd = (target: Target): target is End => target.startsWith('end');
const isCheck = (target: Target): target is Check => target.startsWith('check');
const numberOf = (target: End | Check): number => Number(target.at(-1));
const END_NAMES = {
	iris: [
		'right iris, its right edge',
		'right iris, its left edge',
		'left iris, its right edge',
		'left iris, its left edge'
	],
	marker: ['one end of the marker', 'the other end of the marker']
} as const;
/** So many points tell how a face lies. */
const FEWEST_TOLD = 2;
/** Steps of the arrows, px of the picture: usual, with Shift, with Alt. */
const NUDGE_PX = { usual: 1, far: 10, fine: 0.25 } as const;
export type NudgeSize = keyof typeof NUDGE_PX;

type Placeable = Pick<Photo, 'points' | 'scale' | 'view' | 'widthPx' | 'heightPx'>;

/** Placing the points of one photograph, in order: each begins where it probably lies, and counts once it was confirmed. */
export class Placing {
	points = $state.raw<Points>({});
	#ends = $state.raw<readonly (Pixel | null)[]>([]);
	/** Irises placed beside a marker, to see whether both say the same; null: not asked. */
	#checks = $state.raw<readonly (Pixel | null)[] | null>(null);
	/** Where a detector saw points: suggestions only. */
	#offered = $state.raw<Points>({});
	scaleKind = $state<'none' | 'iris' | 'marker'>('none');
	lengthMm = $state(25);
	at = $state(0);
	/** Where the point at hand was moved to before it is confirmed. */
	#moved = $state.raw<Pixel | null>(null);
	readonly view: MeasuredView;
	readonly #known: Points;
	readonly #frame: Pixel;

	/**
	 * @param earlier points of the last photograph of her from this side; null: there is none
	 * @param onchange hears what is to be stored
	 */
	constructor(
		photo: Placeable,
		earlier: Points | null,
		private readonly onchange: (change: Pick<Photo, 'points' | 'scale'>) => void
	) {
		this.view = measuredView(photo.view);
		this.points = photo.points;
		this.scaleKind = photo.scale.kind;
		if (photo.scale.kind !== 'none') this.#ends = photo.scale.ends;
		if (photo.scale.kind === 'marker') this.lengthMm = photo.scale.lengthMm;
		this.#known = { ...genericPoints(photo.view), ...earlier };
		this.#frame = [photo.widthPx, photo.heightPx];
		const open = this.targets.findIndex((t) => !this.placed(t));
		this.at = open < 0 ? 0 : open;
	}

	targets = $derived.by((): readonly Target[] => [
		...POINTS_OF_VIEW[this.view],
		...(this.scaleKind === 'none' ? [] : END_NAMES[this.scaleKind].map((_, i) => `end${i}` as Target)),
		...(this.#checks ? END_NAMES.iris.map((_, i) => `check${i}` as Target) : [])
	]);
	target = $derived.by((): Target => this.targets[Math.min(this.at, this.targets.length - 1)]!);
	faults = $derived.by(() => landmarkFaults(this.points, this.view));
	missing = $derived.by(() => missingPoints(this.points, this.view));
	/** The name of an end; landmarks have names of their own. */
	endName = (target: Target): string | null => {
		if (isCheck(target)) return END_NAMES.iris[numberOf(target)] ?? null;
		return isEnd(target) && this.scaleKind !== 'none' ? (END_NAMES[this.scaleKind][numberOf(target)] ?? null) : null;
	};
	/** A marker and irises that do not both say the truth: by what share; null where they agree, or are not all placed. */
	markerOff = $derived.by((): number | null => {
		const [marker, checks] = [this.#scale(), this.#checks];
		if (marker.kind !== 'marker' || !checks?.every((c) => c)) return null;
		return scalesApart(marker, { kind: 'iris', ends: checks as [Pixel, Pixel, Pixel, Pixel] });
	});
	checking = $derived.by(() => this.#checks !== null);

	/** Where something was placed; null where it was not. */
	placed = (target: Target): Pixel | null =>
		isCheck(target)
			? (this.#checks?.[numberOf(target)] ?? null)
			: isEnd(target)
				? (this.#ends[numberOf(target)] ?? null)
				: (this.points[target] ?? null);
	/** Where the point at hand is: placed, moved, or where it probably lies. */
	here = $derived.by((): Pixel => this.#moved ?? this.placed(this.target) ?? this.#guess(this.target));
	confirmed = $derived.by(() => this.placed(this.target) !== null && this.#moved === null);

	#guess(target: Target): Pixel {
		const middle: Pixel = [this.#frame[0] / 2, this.#frame[1] / 2];
		if (!isEnd(target) && !isCheck(target))
			return (
				this.#offered[target] ??
				predicted(target, { ...this.#offered, ...this.points }, this.#known, this.#frame) ??
				middle
			);
		const { pR, pL, exL, exR } = this.points;
		const end = numberOf(target);
		const pupil = this.scaleKind === 'iris' || isCheck(target) ? (end < 2 ? pR : pL) : null;
		if (!pupil || !exL || !exR) return middle;
		const reach = 0.063 * Math.hypot(exL[0] - exR[0], exL[1] - exR[1]) * (end % 2 ? 1 : -1);
		return [pupil[0] + reach, pupil[1]];
	}

	/** Where all that is not placed probably lies; empty before anything tells how the face lies. */
	suggestions = $derived.by((): readonly { readonly target: Target; readonly at: Pixel }[] => {
		const told = Object.keys({ ...this.#offered, ...this.points }).length;
		if (told < FEWEST_TOLD) return [];
		return this.targets.flatMap((target) =>
			this.placed(target) || isEnd(target) || isCheck(target) ? [] : [{ target, at: this.#guess(target) }]
		);
	});
	/** Points that were seen on the picture: where they are suggested, until they are placed. */
	offer(points: Points): void {
		this.#offered = points;
	}
	/** Irises beside a marker, or no more. */
	check(on: boolean): void {
		this.#checks = on ? [null, null, null, null] : null;
		if (on) this.choose(this.targets.length - END_NAMES.iris.length);
		else this.choose(Math.min(this.at, this.targets.length - 1));
	}
	choose(at: number): void {
		this.#moved = null;
		this.at = Math.min(this.targets.length - 1, Math.max(0, at));
	}
	move(to: Pixel): void {
		this.#moved = [Math.min(this.#frame[0], Math.max(0, to[0])), Math.min(this.#frame[1], Math.max(0, to[1]))];
	}
	nudge(dx: number, dy: number, size: NudgeSize): void {
		const px = NUDGE_PX[size];
		this.move([this.here[0] + dx * px, this.here[1] + dy * px]);
	}
	/** It lies here: on to the next one that is not placed. */
	confirm(): void {
		this.#put(this.target, this.here);
		this.#moved = null;
		const after = this.targets.findIndex((t, i) => i > this.at && !this.placed(t));
		this.at = after < 0 ? Math.min(this.targets.length - 1, this.at + 1) : after;
	}
	/** Takes the point at hand away. */
	take(): void {
		const target = this.target;
		if (isCheck(target)) this.#checks = this.#checks!.map((c, i) => (i === numberOf(target) ? null : c));
		else if (isEnd(this.target))
			this.#ends = this.#ends.map((end, i) => (i === numberOf(this.target as End) ? null : end));
		else this.points = Object.fromEntries(Object.entries(this.points).filter(([id]) => id !== this.target));
		this.#moved = null;
		this.#tell();
	}
	/** Places all that is given at once: the truth of a simulated face. */
	putAll(points: Points): void {
		this.points = { ...this.points, ...points };
		this.#moved = null;
		this.#tell();
	}
	setScale(kind: 'none' | 'iris' | 'marker'): void {
		this.scaleKind = kind;
		this.#ends = [];
		this.#checks = null;
		this.choose(kind === 'none' ? this.at : this.targets.length - END_NAMES[kind].length);
		this.#tell();
	}
	setLength(mm: number): void {
		this.lengthMm = mm;
		this.#tell();
	}
	#put(target: Target, to: Pixel): void {
		if (isCheck(target)) {
			this.#checks = this.#checks!.map((c, i) => (i === numberOf(target) ? to : c));
			return;
		}
		if (isEnd(target)) {
			const ends = [...this.#ends];
			ends[numberOf(target)] = to;
			this.#ends = ends;
		} else this.points = { ...this.points, [target]: to };
		this.#tell();
	}
	#scale(): Photo['scale'] {
		const kind = this.scaleKind;
		const ends = kind === 'none' ? [] : END_NAMES[kind].map((_, i) => this.#ends[i]);
		if (kind === 'none' || ends.some((e) => !e)) return { kind: 'none' };
		return (kind === 'iris' ? { kind, ends } : { kind, ends, lengthMm: this.lengthMm }) as unknown as Photo['scale'];
	}
	#tell = (): void => this.onchange({ points: this.points as Photo['points'], scale: this.#scale() });
}
