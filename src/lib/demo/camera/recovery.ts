import { randomNormal } from 'd3-random';
import { comparePair, type OwnErrors } from '../../core/measure/compare';
import { placementSdPx, type AnyPoint, type MeasuredView, type Pixel, type Points } from '../../core/measure/landmarks';
import { pairValues } from '../../core/measure/pairMeasures';
import { type PairMeasureId } from '../../core/measure/pairIds';
import type { PointedPhoto } from '../../core/measure/photo.schema';
import { pxPerMmOf } from '../../core/measure/pose';
import { scaleOf } from '../../core/measure/scale';
import { seededRandom } from '../../core/random';
import { CameraSchema, StudyFaceSchema, type StudyFace } from './face.schema';
import { studyHead } from './head';
import { truthOf, type Truth } from './truth';

/** How a photograph is taken and measured: how far from straight, how far the distance varies, how exactly points are placed. */
export interface Taking {
	readonly poseSdDegrees: number;
	readonly distanceSd: number;
	readonly placementSd: number;
}
export const PRACTISED: Taking = { poseSdDegrees: 1.2, distanceSd: 0.02, placementSd: 1 };
const STRAIGHT: Taking = { poseSdDegrees: 0, distanceSd: 0, placementSd: 0 };
const DISTANCE_MM = 900;
/** In a picture of 1600 px over 330 mm. */
const WIDTH_PX = 1200;
const HEIGHT_PX = 1600;

export type Normal = () => number;
export const normalFrom = (seed: number): Normal => randomNormal.source(seededRandom(seed))();

/** Takes a photograph of a head and places its landmarks, as well as a person does. */
export function pointedPhoto(
	truth: Truth,
	normal: Normal,
	{ poseSdDegrees, distanceSd, placementSd }: Taking,
	view: MeasuredView = 'front'
): PointedPhoto {
	const camera = CameraSchema.parse({
		widthPx: WIDTH_PX,
		heightPx: HEIGHT_PX,
		distanceMm: DISTANCE_MM * (1 + Math.max(-0.2, Math.min(0.2, distanceSd * normal()))),
		yaw: poseSdDegrees * normal() - (view === 'front' ? 0 : 90),
		pitch: poseSdDegrees * normal(),
		roll: poseSdDegrees * normal(),
		...(view === 'front' ? {} : { centreMm: [-22, 44] })
	});
	const exact: Points = truth.seen(camera);
	const pxPerMm = pxPerMmOf(exact, view);
	const points = Object.fromEntries(
		(Object.entries(exact) as [AnyPoint, Pixel][]).map(([id, [x, y]]) => {
			const [sx, sy] = placementSdPx(id, pxPerMm);
			return [id, [x + placementSd * sx * normal(), y + placementSd * sy * normal()]];
		})
	) as Points;
	const marker: Pixel = [0, 0];
	return {
		points,
		scale: { kind: 'marker', ends: [marker, [25 * pxPerMm, 0]], lengthMm: 25 },
		distanceMm: DISTANCE_MM,
		zoom: 4
	};
}

/** What is changed between two photographs, mm, and how much of it: the truth is what exact points say of it. */
export type Truths = readonly { readonly name: string; readonly change: (face: StudyFace) => StudyFace }[];
/** Fuller, wider or higher by so much, as far as a made-up head can be. */
const more =
	(names: readonly ('openL' | 'openR' | 'browL' | 'browR' | 'cornerL')[], mm: number) => (face: StudyFace) => {
		const wished = names.map((n): [string, number] => [n, face[n] + mm]);
		const made = StudyFaceSchema.safeParse({ ...face, ...Object.fromEntries(wished) });
		return made.success ? made.data : face;
	};
export const NO_CHANGE: Truths = [{ name: 'nothing', change: (face) => face }];
export const GRID: Truths = [
	...NO_CHANGE,
	{ name: 'eyes 1 mm less', change: more(['openL', 'openR'], -0.5) },
	{ name: 'eyes 1 mm more', change: more(['openL', 'openR'], 1) },
	{ name: 'brows 1.5 mm up', change: more(['browL', 'browR'], 1) },
	{ name: 'left mouth corner up', change: more(['cornerL'], 1) }
];

/** What exact points of two straight photographs say. */
function exactChange(before: PointedPhoto, after: PointedPhoto): Partial<Record<PairMeasureId, number>> {
	const scale = scaleOf(before.scale)!;
	return pairValues(before.points, after.points, { mmPerPx: scale.mmPerPx, pxPerMm: 1 / scale.mmPerPx }, 'front')!
		.change;
}

export interface Recovered {
	readonly pairs: number;
	readonly refused: number;
	/** Of each measure: how often its interval held the truth, and how often a change was called where there was none. */
	readonly measures: Readonly<
		Record<
			string,
			{ readonly asked: number; readonly inside: number; readonly still: number; readonly falsely: number }
		>
	>;
	/** Pairs of nothing in which any measure was called changed after adjustment. */
	readonly stillPairs: number;
	readonly anyFalse: number;
}

/**
 * Known changes of made-up heads, photographed, placed and compared: how often they are found within their error.
 * @param own errors by retakes; absent: what placement and pose are known to do
 */
export function recovered(
	faces: readonly StudyFace[],
	truths: Truths,
	seed: number,
	taking: Taking = PRACTISED,
	own: OwnErrors = {}
): Recovered {
	const normal = normalFrom(seed);
	const measures: Record<string, { asked: number; inside: number; still: number; falsely: number }> = {};
	let [pairs, refused, stillPairs, anyFalse] = [0, 0, 0, 0];
	for (const face of faces) {
		const before = truthOf(studyHead(face));
		const exactBefore = pointedPhoto(before, normal, STRAIGHT);
		for (const { change, name } of truths) {
			const still = name === NO_CHANGE[0]!.name;
			const after = still ? before : truthOf(studyHead(change(face)));
			const real = exactChange(exactBefore, pointedPhoto(after, normal, STRAIGHT));
			const compared = comparePair(pointedPhoto(before, normal, taking), pointedPhoto(after, normal, taking), { own });
			pairs++;
			if (compared.refused) refused++;
			for (const m of compared.measures.filter(({ verdict }) => verdict !== 'not-comparable')) {
				const row = (measures[m.id] ??= { asked: 0, inside: 0, still: 0, falsely: 0 });
				const truth = real[m.id]!;
				row.asked++;
				if (truth >= m.interval[0] && truth <= m.interval[1]) row.inside++;
				if (Math.abs(truth) > m.se / 10) continue;
				row.still++;
				if (m.p <= 0.05) row.falsely++;
			}
			if (still && !compared.refused) {
				stillPairs++;
				if (compared.measures.some(({ verdict }) => verdict === 'changed')) anyFalse++;
			}
		}
	}
	return { pairs, refused, measures, stillPairs, anyFalse };
}
