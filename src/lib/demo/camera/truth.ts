import {
	CHIN_POINTS,
	FRONT_POINTS,
	type ChinPoint,
	type FrontPoint,
	type JawPoint,
	type Pixel,
	type Points,
	type ProfilePoint
} from '../../core/measure/landmarks';
import type { FaceSide, StudyCamera, StudyFace } from './face.schema';
import { EYE } from './features';
import { AXIS_Z, studyHead, type Point3, type StudyHead } from './head';
import { frontOutline, outlineSamples } from './outline';
import { projectorOf } from './projection';
import { alongOutline, farthest, profileOutline, profileSamples } from './silhouette';

type SkinPoint = Exclude<FrontPoint, 'me' | `zy${FaceSide}` | `go${FaceSide}`> | 'g' | 'sl' | 'pg' | `t${FaceSide}`;

/** Where the landmarks lie on a made-up head, and on any photograph of it. */
export interface Truth {
	readonly front: (camera: StudyCamera) => Points<FrontPoint | JawPoint>;
	/** For a profile that faces left: the client’s left side is seen. */
	readonly profile: (camera: StudyCamera) => Points<ProfilePoint | ChinPoint>;
	/** Front or either profile, by how far the head is turned. */
	readonly seen: (camera: StudyCamera) => Points;
}

const SIDES = [
	['L', 1],
	['R', -1]
] as const;

/** The landmarks that lie on the skin wherever one stands; those of the outline depend on the view. */
function onSkin(head: StudyHead): Readonly<Record<SkinPoint, Point3>> {
	const { features, skin } = head;
	const midline: Point3[] = [];
	for (let y = -70; y <= 112; y += 0.5) midline.push(skin(0, y));
	const best = (from: number, to: number, of: (p: Point3) => number) =>
		midline.filter((p) => p[1] >= from && p[1] <= to && !Number.isNaN(p[2])).reduce((a, b) => (of(b) > of(a) ? b : a));
	let hairline = -100;
	while (hairline < -50 && head.hair(...skin(0, hairline)) >= 0) hairline += 0.25;
	const tip = best(25, 42, (p) => p[2]);
	const lip = skin(0, features.lipUpper(0, 'L'));
	/** How deep a point lies behind the line from the tip of the nose to the lip. */
	const behind = ([, y, z]: Point3) => (lip[2] - tip[2]) * (y - tip[1]) - (lip[1] - tip[1]) * (z - tip[2]);
	const sides = SIDES.flatMap(([side, sign]): [SkinPoint, Point3][] => {
		const at = (x: number, y: number) => skin(sign * x, y);
		return [
			[`en${side}`, at(EYE.inner, EYE.innerY)],
			[`ex${side}`, at(EYE.outer, EYE.outerY)],
			[`ps${side}`, at(EYE.x, features.lidUpper(EYE.x, side))],
			[`pi${side}`, at(EYE.x, features.lidLower(EYE.x, side))],
			[`p${side}`, at(EYE.x, 0)],
			[`br${side}`, at(EYE.x, features.brow(EYE.x, side) + 2.6)],
			[`al${side}`, at(18.2, 40.5)],
			[`ch${side}`, at(25.5, features.mouth(25.5, side))],
			[`cph${side}`, at(4.6, features.lipUpper(4.6, side))],
			[`t${side}`, [sign * 72, 15, 4]]
		];
	});
	return {
		...(Object.fromEntries(sides) as Record<SkinPoint, Point3>),
		tr: skin(0, hairline),
		g: best(-36, -16, (p) => p[2]),
		se: best(-16, 6, (p) => -p[2]),
		prn: tip,
		sn: best(tip[1] + 2.01, lip[1] - 1.01, behind),
		ls: lip,
		sto: skin(0, features.mouth(0, 'L')),
		li: skin(0, features.lipLower(0, 'L')),
		sl: best(76, 90, (p) => -p[2]),
		pg: best(88, 106, (p) => p[2])
	};
}

const JAW_CORNER_ANGLE = (72 * Math.PI) / 180;
const JAW_CORNER_Y = 73;
const MIDLINE_OF_PROFILE = ['g', 'se', 'prn', 'sn', 'ls', 'li', 'sl', 'pg'] as const;

/** The contour under the chin: evenly by direction from the corner of the jaw. */
function underChin(line: readonly Pixel[], pg: Pixel, nk: Pixel, go: Pixel): Record<ChinPoint, Pixel> {
	const at = alongOutline(line, pg, nk, go);
	const placed = CHIN_POINTS.map((id, i) => [id, at((i + 1) / (CHIN_POINTS.length + 1))]);
	return Object.fromEntries(placed) as Record<ChinPoint, Pixel>;
}

/** The landmarks of a head: what lies on its skin is found once, the outline anew for each view. */
export function truthOf(head: StudyHead): Truth {
	const points = onSkin(head);
	const outline = outlineSamples(head);
	let strips: readonly Point3[] | null = null;
	const reach = head.reach(JAW_CORNER_ANGLE, JAW_CORNER_Y);
	const jawCorner: Point3 = [
		reach * Math.sin(JAW_CORNER_ANGLE),
		JAW_CORNER_Y,
		AXIS_Z + reach * Math.cos(JAW_CORNER_ANGLE)
	];
	const front = (camera: StudyCamera): Points<FrontPoint | JawPoint> => {
		const project = projectorOf(camera);
		const placed = FRONT_POINTS.flatMap((id): [FrontPoint, Pixel][] => {
			const at = (points as Partial<Record<FrontPoint, Point3>>)[id];
			if (!at) return [];
			const [x, y] = project(...at);
			return [[id, [x, y]]];
		});
		const made = Object.fromEntries(placed) as Record<FrontPoint, Pixel>;
		return { ...made, ...frontOutline(outline, project, made.exL, made.exR) };
	};
	const profile = (camera: StudyCamera): Points<ProfilePoint | ChinPoint> => {
		strips ??= profileSamples(head);
		const project = projectorOf(camera);
		const px = (p: Point3): Pixel => {
			const [x, y] = project(...p);
			return [x, y];
		};
		const midline = Object.fromEntries(MIDLINE_OF_PROFILE.map((id) => [id, px(points[id])])) as Record<
			(typeof MIDLINE_OF_PROFILE)[number],
			Pixel
		>;
		const { line, pxPerMm } = profileOutline(strips, project);
		const below = (from: Pixel, mm: number) => {
			const off = (p: Pixel) => Math.abs(Math.hypot(p[0] - from[0], p[1] - from[1]) - mm * pxPerMm);
			return line.filter((p) => p[1] > from[1]).reduce((a, b) => (off(b) < off(a) ? b : a));
		};
		// The neck point lies 45 mm below the cervical point, which lies farthest inside the chord to it.
		let nk = line.reduce((a, b) => {
			const off = (p: Pixel) => Math.abs(p[1] - midline.pg[1] - 62 * pxPerMm);
			return off(b) < off(a) ? b : a;
		});
		let c = farthest(line, midline.pg, nk, 1, pxPerMm);
		for (let i = 0; i < 4; i++) {
			nk = below(c, 45);
			c = farthest(line, midline.pg, nk, 1, pxPerMm);
		}
		const me = farthest(line, midline.pg, c, -1, pxPerMm);
		const go = px(jawCorner);
		return { ...midline, ...underChin(line, midline.pg, nk, go), ex: px(points.exL), t: px(points.tL), go, c, nk, me };
	};
	return {
		front,
		profile,
		seen(camera) {
			if (Math.abs(camera.yaw) < ASIDE_DEGREES) return front(camera);
			return camera.yaw < 0 ? profile(camera) : mirroredProfile(head, camera);
		}
	};
}

/** Turned by more, a head shows its profile. */
const ASIDE_DEGREES = 45;

/** The client’s right, facing right: the left of the mirrored head, mirrored. */
function mirroredProfile({ face }: StudyHead, camera: StudyCamera): Points<ProfilePoint | ChinPoint> {
	const swapped = Object.entries(face).map(([name, value]) => [
		name.replace(/[LR]$/, (side) => (side === 'L' ? 'R' : 'L')),
		value
	]);
	const { yaw, roll, centreMm, widthPx } = camera;
	const seen = truthOf(studyHead(Object.fromEntries(swapped) as StudyFace)).profile({
		...camera,
		yaw: -yaw,
		roll: -roll,
		centreMm: [-centreMm[0], centreMm[1]]
	});
	return Object.fromEntries(Object.entries(seen).map(([id, [x, y]]) => [id, [widthPx - x, y]]));
}
