import { changeTest, holm } from '../statistics/typicalError';
import { normalQuantile } from '../statistics/distributions';
import { landmarkFaults, type LandmarkFault } from './faults';
import { rememberingSector } from './jaw';
import { placementSdPx, type Points } from './landmarks';
import {
	misfit,
	pairMeasure,
	PAIR_MEASURE_IDS,
	pairValues,
	type Misfit,
	type PairMeasureId,
	type PairUnit
} from './pairMeasures';
import type { PointedPhoto } from './photo.schema';
import { poseDifference, POSE_POINTS, pxPerMmByEyes, USUAL_DISTANCE_MM, type PoseDifference } from './pose';
import { POSE_SLOPES } from './poseSlopes';
import { propagate } from './propagate';
import { scaleOf } from './scale';

/** Own repeats of a measure: standard deviation of one photograph, from retakes, and how many pairs of them. */
export interface OwnError {
	readonly te: number;
	readonly df: number;
}
export type OwnErrors = Partial<Record<PairMeasureId, OwnError>>;

export type PairVerdict = 'changed' | 'within-error' | 'not-comparable';
/** Why a measure of a pair is not judged. */
export type NotComparable = 'pose' | 'turned' | 'tilted';

export interface PairMeasure {
	readonly id: PairMeasureId;
	readonly label: string;
	readonly unit: PairUnit;
	/** Absent for what lies between two contours. */
	readonly before?: number;
	readonly after?: number;
	/** What is left when what the turned head did is taken away. */
	readonly change: number;
	/** As measured. */
	readonly rawChange: number;
	/** Standard error of the change. */
	readonly se: number;
	readonly interval: readonly [low: number, high: number];
	/** The smallest change that is shown as more than error, at 95 %. */
	readonly mdc95: number;
	readonly p: number;
	/** Adjusted for how many measures were asked: those declared among themselves, all others together with them. */
	readonly pAdjusted: number;
	readonly primary: boolean;
	/** How many pairs of own retakes the error rests on. */
	readonly ownRetakes: number;
	readonly verdict: PairVerdict;
	readonly why?: NotComparable;
}

export interface PairComparison {
	/** Null where the points do not suffice. */
	readonly pose: PoseDifference | null;
	/** Too far turned or tilted against one another: nothing of the pair is judged. */
	readonly refused: boolean;
	readonly measures: readonly PairMeasure[];
	/** mm of a px of the first photograph, and what its scale may be wrong by in all photographs alike; null: no lengths. */
	readonly scale: { readonly mmPerPx: number; readonly systematic: number } | null;
	readonly misfit: Misfit | null;
	readonly faults: readonly { readonly photo: 'before' | 'after'; readonly fault: LandmarkFault }[];
}

/** Beyond so many degrees a pair is not comparable. Working value. */
export const MOST_TURNED_DEGREES = 6;
/** How far poses of a pair usually lie apart, and how exactly the difference is told, degrees. Working values. */
const POSE_SPREAD = 1.7;
const [YAW_ERROR, PITCH_ERROR] = [0.84, 1.11];
/** How much of an estimated turn is believed. */
const believed = (error: number): number => POSE_SPREAD ** 2 / (POSE_SPREAD ** 2 + error ** 2);
/** How many retakes what is known beforehand is worth. Working value. */
const PRIOR_DF = 6;
/** Without retakes the error is what placement and pose are known to do: no estimate of few. */
const KNOWN_DF = 1e6;
const ALPHA = 0.05;

export interface CompareOptions {
	/** Declared before looking, one to four. */
	readonly primaries?: readonly PairMeasureId[];
	readonly own?: OwnErrors;
}

const pxPerMmOf = (points: Points): number => pxPerMmByEyes(points) ?? 1;

/** How the head is turned between two photographs; null where one of the nine points is missing. */
function poseOf(before: PointedPhoto, after: PointedPhoto): PoseDifference | null {
	const [a, b] = [before.points, after.points];
	if (!POSE_POINTS.every((id) => a[id] && b[id])) return null;
	const distanceMm = before.distanceMm ?? after.distanceMm ?? USUAL_DISTANCE_MM;
	return poseDifference(a, b, { sdPx: (id) => placementSdPx(id, pxPerMmOf(a)), distanceMm });
}

/** What a turned head did to a measure, by what is known of heads; and the variance that comes of not knowing better. */
function byPose(id: PairMeasureId, pose: PoseDifference): { shift: number; variance: number } {
	const { yaw, pitch } = POSE_SLOPES[id];
	const part = ([mean, sd]: readonly [number, number], degrees: number, error: number) => {
		const told = believed(error) * degrees;
		const unsure = mean ** 2 * believed(error) * error ** 2 + sd ** 2 * told ** 2;
		return { shift: mean * told, variance: unsure };
	};
	const [a, b] = [part(yaw, pose.yaw, YAW_ERROR), part(pitch, pose.pitch, PITCH_ERROR)];
	return { shift: a.shift + b.shift, variance: a.variance + b.variance };
}

function notComparable(id: PairMeasureId, pose: PoseDifference, own: OwnError | undefined): NotComparable | undefined {
	if (turnedTooFar(pose)) return 'pose';
	// Own retakes hold what turning does; a working value does not.
	if (own?.df) return undefined;
	const [yaw, pitch] = POSE_SLOPES[id].limit;
	if (yaw !== null && Math.abs(pose.yaw) > yaw) return 'turned';
	return pitch !== null && Math.abs(pose.pitch) > pitch ? 'tilted' : undefined;
}
const turnedTooFar = ({ yaw, pitch }: PoseDifference): boolean =>
	Math.max(Math.abs(yaw), Math.abs(pitch)) > MOST_TURNED_DEGREES;

/** Standard errors of what a pair of photographs says, from the spread of each placement in both, through the alignment. */
function placementErrors(before: PointedPhoto, after: PointedPhoto, mmPerPx: number | null) {
	const pxPerMm = pxPerMmOf(before.points);
	const sector = rememberingSector();
	const change = (a: Points, b: Points) => pairValues(a, b, mmPerPx, pxPerMm, sector)?.change ?? {};
	const spread = ({ points, zoom }: PointedPhoto) => {
		const scale = pxPerMmOf(points);
		return (id: Parameters<typeof placementSdPx>[0]) => placementSdPx(id, scale, zoom);
	};
	const ofBefore = propagate((a: Points) => change(a, after.points), before.points, spread(before));
	const ofAfter = propagate((b: Points) => change(before.points, b), after.points, spread(after));
	return (id: PairMeasureId): number => Math.hypot(ofBefore[id] ?? 0, ofAfter[id] ?? 0);
}

type Judged = Omit<PairMeasure, 'pAdjusted' | 'verdict' | 'why'> & { readonly why: NotComparable | undefined };

/** Verdicts: declared measures are adjusted among themselves, the others over all that was looked at. */
function withVerdicts(judged: readonly Judged[]): PairMeasure[] {
	const asked = judged.filter((m) => !m.why);
	const adjusted = (of: readonly Judged[]) => {
		const ps = holm(of.map((m) => m.p));
		return new Map(of.map((m, i) => [m.id, ps[i]!]));
	};
	const [primary, all] = [adjusted(asked.filter((m) => m.primary)), adjusted(asked)];
	return judged.map(({ why, ...m }) => {
		if (why) return { ...m, pAdjusted: 1, verdict: 'not-comparable', why };
		const pAdjusted = (m.primary ? primary : all).get(m.id)!;
		return { ...m, pAdjusted, verdict: pAdjusted <= ALPHA ? 'changed' : 'within-error' };
	});
}

/**
 * Compares two front photographs of one person by their landmarks: no pictures are needed.
 * @param before gives the scale; the second photograph takes its own from the alignment
 * @returns measures in mm, mm², degrees, percent and ratios; without a scale only the last three
 * @source measures and policy of docs/measurement.md
 */
export function comparePair(
	before: PointedPhoto,
	after: PointedPhoto,
	{ primaries = [], own = {} }: CompareOptions = {}
): PairComparison {
	const [a, b] = [before.points, after.points];
	const pxPerMm = pxPerMmOf(a);
	const scale = scaleOf(before.scale);
	const values = pairValues(a, b, scale?.mmPerPx ?? null, pxPerMm);
	const pose = poseOf(before, after);
	const faults = [
		...landmarkFaults(a, 'front').map((fault) => ({ photo: 'before' as const, fault })),
		...landmarkFaults(b, 'front').map((fault) => ({ photo: 'after' as const, fault }))
	];
	const common = {
		pose,
		refused: pose !== null && turnedTooFar(pose),
		scale: scale && { mmPerPx: scale.mmPerPx, systematic: Math.hypot(scale.systematic, scale.seLog) },
		misfit: misfit(a, b, pxPerMm),
		faults
	};
	if (!values || !pose) return { ...common, measures: [] };
	const errorOf = placementErrors(before, after, scale?.mmPerPx ?? null);
	const judged = PAIR_MEASURE_IDS.flatMap((id): Judged[] => {
		const raw = values.change[id];
		if (raw === undefined) return [];
		const { shift, variance } = byPose(id, pose);
		const known = Math.sqrt(errorOf(id) ** 2 + variance) / Math.SQRT2;
		const mine = own[id];
		const df = mine?.df ? PRIOR_DF + mine.df : KNOWN_DF;
		const te = mine?.df ? Math.sqrt((PRIOR_DF * known ** 2 + mine.df * mine.te ** 2) / df) : known;
		const change = raw - shift;
		const { se, p, interval } = changeTest(change, { te, df });
		const [was, is] = [values.before[id], values.after[id]];
		return [
			{
				id,
				...pairMeasure(id),
				...(was === undefined || is === undefined ? {} : { before: was, after: is }),
				change,
				rawChange: raw,
				se,
				interval,
				mdc95: normalQuantile(0.975) * Math.SQRT2 * te,
				p,
				primary: primaries.includes(id),
				ownRetakes: mine?.df ?? 0,
				why: notComparable(id, pose, mine)
			}
		];
	});
	return { ...common, measures: withVerdicts(judged) };
}

/** The changes of a pair alone, without their errors: what a turned head did is taken away. Nothing for a pair that is refused. */
function plainChanges(before: PointedPhoto, after: PointedPhoto): Partial<Record<PairMeasureId, number>> {
	const [a, b] = [before.points, after.points];
	const pose = poseOf(before, after);
	const values = pairValues(a, b, scaleOf(before.scale)?.mmPerPx ?? null, pxPerMmOf(a));
	if (!values || !pose || turnedTooFar(pose)) return {};
	const ids = PAIR_MEASURE_IDS.filter((id) => values.change[id] !== undefined);
	return Object.fromEntries(ids.map((id) => [id, values.change[id]! - byPose(id, pose).shift]));
}

/**
 * Typical error of each measure from retakes: pairs of photographs of one and the same moment.
 * @returns nothing for a measure that no pair has
 */
export function ownErrors(pairs: readonly (readonly [PointedPhoto, PointedPhoto])[]): OwnErrors {
	const squares = new Map<PairMeasureId, number[]>();
	for (const [a, b] of pairs)
		for (const [id, change] of Object.entries(plainChanges(a, b)) as [PairMeasureId, number][])
			squares.set(id, [...(squares.get(id) ?? []), change * change]);
	return Object.fromEntries(
		[...squares].map(([id, list]) => [
			id,
			{ te: Math.sqrt(list.reduce((x, y) => x + y, 0) / (2 * list.length)), df: list.length }
		])
	);
}
