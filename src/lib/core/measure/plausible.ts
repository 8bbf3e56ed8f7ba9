/** Distances by tape as they usually are: mean and spread over people, mm. Working values. */
export const TAPE_DISTANCES = {
	tragusChin: [148, 9],
	tragusMouth: [114, 8],
	jawAngleNoseWing: [92, 7],
	jawAngleInnerEye: [109, 7],
	jawAngleOuterEye: [97, 7],
	chinInnerEye: [116, 8],
	jawAngleChin: [104, 8],
	neckUpper: [345, 32],
	neckMiddle: [340, 32],
	neckLower: [355, 34]
} as const satisfies Record<string, readonly [mean: number, sd: number]>;
export type TapeDistance = keyof typeof TAPE_DISTANCES;
type Entered = Partial<Record<TapeDistance, number>>;

/** What may be amiss with an entry. It is always asked, never changed by itself. */
export type Doubt =
	| { readonly kind: 'out-of-range'; readonly z: number }
	/** In centimetres, in inches, with a digit too many, or millimetres taken for inches: it would fit as `suggestMm`. */
	| { readonly kind: 'cm' | 'inch' | 'tenfold' | 'inch-as-given'; readonly suggestMm: number; readonly z: number }
	/** Two entries fit better the other way round, by so much of Σz². */
	| { readonly kind: 'swapped'; readonly with: TapeDistance; readonly gain: number };

const HARD_MM = [20, 700] as const;
const FACTORS = [
	['cm', 10],
	['inch', 25.4],
	['tenfold', 0.1],
	['inch-as-given', 1 / 25.4]
] as const;
/** Beyond so many spreads it is asked: of somebody new, and of somebody known. Working values. */
const [NEW_Z, KNOWN_Z] = [3.3, 3.5];
/** A suggestion must fit as well as this. */
const FITS_Z = 3;
/** People differ from the working values by more than their spread says. */
const NEW_SPREAD = 1.15;
/** A face is not the same each day, mm. */
const DAYS_SD_MM = 4;
/** Round the neck a tape errs by so much more. */
const NECK_ERROR = 2.4;

/**
 * What of some entered distances is to be asked again.
 * @param entered mm; what is no number is passed over
 * @param usual the middle of her earlier readings, mm, where there are any
 * @param teMm typical error of one reading, mm
 */
export function doubtsOf(entered: Entered, usual: Entered = {}, teMm = 1.5): Partial<Record<TapeDistance, Doubt>> {
	const z = (id: TapeDistance, mm: number): number => {
		const [mean, sd] = TAPE_DISTANCES[id];
		const known = usual[id];
		if (known === undefined) return (mm - mean) / (sd * NEW_SPREAD);
		const error = teMm * Math.SQRT2 * (id.startsWith('neck') ? NECK_ERROR : 1);
		return (mm - known) / Math.hypot(error, DAYS_SD_MM);
	};
	const doubts: Partial<Record<TapeDistance, Doubt>> = {};
	const ids = (Object.keys(entered) as TapeDistance[]).filter((id) => Number.isFinite(entered[id]));
	for (const id of ids) {
		const mm = entered[id]!;
		const off = Math.abs(z(id, mm));
		const outside = mm < HARD_MM[0] || mm > HARD_MM[1];
		if (!outside && off <= (usual[id] === undefined ? NEW_Z : KNOWN_Z)) continue;
		const [best] = FACTORS.map(([kind, factor]) => ({
			kind,
			suggestMm: mm * factor,
			z: Math.abs(z(id, mm * factor))
		}))
			.filter((d) => d.z < FITS_Z)
			.sort((a, b) => a.z - b.z);
		doubts[id] = best ?? { kind: 'out-of-range', z: off };
	}
	for (const [i, a] of ids.entries())
		for (const b of ids.slice(i + 1)) {
			const misfit = (x: number, y: number) => z(a, x) ** 2 + z(b, y) ** 2;
			const [now, other] = [misfit(entered[a]!, entered[b]!), misfit(entered[b]!, entered[a]!)];
			const known = usual[a] !== undefined && usual[b] !== undefined;
			if (now - other <= (known ? 11 : 9) || other >= 9 || now <= (known ? 12 : 11)) continue;
			for (const [id, partner] of [
				[a, b],
				[b, a]
			] as const)
				if (!doubts[id] || doubts[id].kind === 'out-of-range')
					doubts[id] = { kind: 'swapped', with: partner, gain: now - other };
		}
	return doubts;
}
