import { changeTest, errorInterval, holm } from '../statistics/typicalError';
import { normalQuantile } from '../statistics/distributions';
import { landmarkFaults, type LandmarkFault } from './faults';
import { rememberingSector } from './jaw';
import { placementSdPx, type MeasuredView, type Points } from './landmarks';
import { misfit, pairValues, type Misfit, type PairScales } from './pairMeasures';
import { pairMeasure, PAIR_MEASURES_OF, type FrontPairId, type PairMeasureId, type PairUnit } from './pairIds';
import type { PointedPhoto } from './photo.schema';
import { poseDifference, POSE_POINTS, pxPerMmOf, USUAL_DISTANCE_MM, type PoseDifference } from './pose';
import { POSE_SLOPES, UNSEEN_SD } from './poseSlopes';
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
	/** How exactly that is known, from own retakes; absent without any. */
	readonly mdcInterval?: readonly [low: number, high: number];
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
	/** From which side both were taken. */
	readonly view: MeasuredView;
	/** Null where the points do not suffice, and for profiles, which do not tell it. */
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
	/** From which side both were taken; absent: from the front. */
	readonly view?: MeasuredView;
	/** Told how much is done, 0 to 1. */
	readonly progress?: (share: number) => void;
}

/** How the head is turned between two photographs; null where one of the nine points is missing. */
export function poseOf(before: PointedPhoto, after: PointedPhoto): PoseDifference | null {
	const [a, b] = [before.points, after.points];
	if (!POSE_POINTS.every((id) => a[id] && b[id])) return null;
	const distanceMm = before.distanceMm ?? after.distanceMm ?? USUAL_DISTANCE_MM;
	return poseDifference(a, b, { sdPx: (id) => placementSdPx(id, pxPerMmOf(a, 'front')), distanceMm });
}

/** The same, but the last answer is remembered: most points of a face do not tell how it is turned. */
function rememberingPose(before: PointedPhoto, after: PointedPhoto) {
	let known: { readonly on: readonly unknown[]; readonly pose: PoseDifference | null } | null = null;
	return (a: Points, b: Points): PoseDifference | null => {
		const on = POSE_POINTS.flatMap((id) => [a[id], b[id]]);
		if (!known?.on.every((p, i) => p === on[i]))
			known = { on, pose: poseOf({ ...before, points: a }, { ...after, points: b }) };
		return known.pose;
	};
}

/** What a turned head did to a measure, by what is known of heads; and the variance that comes of not knowing better. */
function byPose(id: PairMeasureId, pose: PoseDifference | null): { shift: number; variance: number } {
	const unseen = UNSEEN_SD[id] ** 2;
	if (!pose) return { shift: 0, variance: unseen };
	const { yaw, pitch } = POSE_SLOPES[id as FrontPairId];
	const part = ([mean, sd]: readonly [number, number], degrees: number, error: number) => {
		const told = believed(error) * degrees;
		// What is not believed stays in the change; how points mislead the estimate is in the errors of their placement.
		const left = (1 - believed(error)) * POSE_SPREAD;
		return { shift: mean * told, variance: (mean * left) ** 2 + (sd * told) ** 2 };
	};
	const [a, b] = [part(yaw, pose.yaw, YAW_ERROR), part(pitch, pose.pitch, PITCH_ERROR)];
	return { shift: a.shift + b.shift, variance: a.variance + b.variance + unseen };
}

function notComparable(
	id: PairMeasureId,
	pose: PoseDifference | null,
	own: OwnError | undefined
): NotComparable | undefined {
	if (!pose) return undefined;
	if (turnedTooFar(pose)) return 'pose';
	// Own retakes hold what turning does; a working value does not.
	if (own?.df) return undefined;
	const [yaw, pitch] = POSE_SLOPES[id as FrontPairId].limit;
	if (yaw !== null && Math.abs(pose.yaw) > yaw) return 'turned';
	return pitch !== null && Math.abs(pose.pitch) > pitch ? 'tilted' : undefined;
}
const turnedTooFar = ({ yaw, pitch }: PoseDifference): boolean =>
	Math.max(Math.abs(yaw), Math.abs(pitch)) > MOST_TURNED_DEGREES;

/** Standard errors of what a pair of photographs says, from the spread of each placement in both, through alignment and pose. */
function placementErrors(
	before: PointedPhoto,
	after: PointedPhoto,
	scales: PairScales,
	view: MeasuredView,
	progress: (share: number) => void
) {
	const sector = rememberingSector();
	const pose = rememberingPose(before, after);
	const change = (a: Points, b: Points) => {
		const raw = pairValues(a, b, scales, view, sector)?.change ?? {};
		const turned = view === 'front' ? pose(a, b) : null;
		const ids = Object.keys(raw) as PairMeasureId[];
		return Object.fromEntries(ids.map((id) => [id, raw[id]! - byPose(id, turned).shift]));
	};
	const spread = ({ points, zoom }: PointedPhoto) => {
		const scale = pxPerMmOf(points, view);
		return (id: Parameters<typeof placementSdPx>[0]) => placementSdPx(id, scale, zoom);
	};
	const ofBefore = propagate((a: Points) => change(a, after.points), before.points, spread(before));
	progress(0.5);
	const ofAfter = propagate((b: Points) => change(before.points, b), after.points, spread(after));
	progress(1);
	return (id: PairMeasureId): number => Math.hypot(ofBefore[id] ?? 0, ofAfter[id] ?? 0);
}

/** The smallest change worth believing, by the typical error. */
const MDC_PER_ERROR = normalQuantile(0.975) * Math.SQRT2;
function mdcIntervalOf(te: number, df: number): readonly [number, number] {
	const [low, high] = errorInterval(te, df);
	return [MDC_PER_ERROR * low, MDC_PER_ERROR * high];
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
 * Compares two photographs of one person from one side by their landmarks: no pictures are needed.
 * @param before gives the scale; the second photograph takes its own from the alignment
 * @returns measures in mm, mm², degrees, percent and ratios; without a scale only the last three
 * @source measures and policy of docs/measurement.md
 */
export function comparePair(
	before: PointedPhoto,
	after: PointedPhoto,
	{ primaries = [], own = {}, view = 'front', progress = () => {} }: CompareOptions = {}
): PairComparison {
	const [a, b] = [before.points, after.points];
	const scale = scaleOf(before.scale);
	const scales = { mmPerPx: scale?.mmPerPx ?? null, pxPerMm: pxPerMmOf(a, view) };
	const values = pairValues(a, b, scales, view);
	const pose = view === 'front' ? poseOf(before, after) : null;
	const faults = [
		...landmarkFaults(a, view).map((fault) => ({ photo: 'before' as const, fault })),
		...landmarkFaults(b, view).map((fault) => ({ photo: 'after' as const, fault }))
	];
	const common = {
		view,
		pose,
		refused: pose !== null && turnedTooFar(pose),
		scale: scale && { mmPerPx: scale.mmPerPx, systematic: Math.hypot(scale.systematic, scale.seLog) },
		misfit: misfit(a, b, scales.pxPerMm, view),
		faults
	};
	if (!values || (view === 'front' && !pose)) return { ...common, measures: [] };
	const errorOf = placementErrors(before, after, scales, view, progress);
	const judged = PAIR_MEASURES_OF[view].flatMap((id): Judged[] => {
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
				mdc95: MDC_PER_ERROR * te,
				...(mine?.df ? { mdcInterval: mdcIntervalOf(te, df) } : {}),
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
function plainChanges(
	before: PointedPhoto,
	after: PointedPhoto,
	view: MeasuredView
): Partial<Record<PairMeasureId, number>> {
	const [a, b] = [before.points, after.points];
	const pose = view === 'front' ? poseOf(before, after) : null;
	const scales = { mmPerPx: scaleOf(before.scale)?.mmPerPx ?? null, pxPerMm: pxPerMmOf(a, view) };
	const values = pairValues(a, b, scales, view);
	if (!values || (view === 'front' && (!pose || turnedTooFar(pose)))) return {};
	const ids = PAIR_MEASURES_OF[view].filter((id) => values.change[id] !== undefined);
	return Object.fromEntries(ids.map((id) => [id, values.change[id]! - byPose(id, pose).shift]));
}

/**
 * Typical error of each measure from retakes: pairs of photographs of one and the same moment.
 * @returns nothing for a measure that no pair has
 */
export function ownErrors(
	pairs: readonly (readonly [PointedPhoto, PointedPhoto])[],
	view: MeasuredView = 'front'
): OwnErrors {
	const squares = new Map<PairMeasureId, number[]>();
	for (const [a, b] of pairs)
		for (const [id, change] of Object.entries(plainChanges(a, b, view)) as [PairMeasureId, number][])
			squares.set(id, [...(squares.get(id) ?? []), change * change]);
	return Object.fromEntries(
		[...squares].map(([id, list]) => [
			id,
			{ te: Math.sqrt(list.reduce((x, y) => x + y, 0) / (2 * list.length)), df: list.length }
		])
	);
}
