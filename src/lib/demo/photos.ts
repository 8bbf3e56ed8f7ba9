import {
	CameraSchema,
	StudyFaceSchema,
	type StudyCamera,
	type StudyFace,
	type StudyCameraInput,
	type StudyFaceInput
} from './camera/face.schema';
import type { PhotoView } from '../core/records/photoViews';

/** A photograph of the demo practice: whose, at which of the sessions, and what the simulated camera saw. */
export interface DemoPhoto {
	readonly id: string;
	readonly clientId: string;
	/** Number of the session, from 1; from the last one backwards where it is below 0. */
	readonly session: number;
	readonly when: 'before' | 'after';
	readonly view: PhotoView;
	/** Minutes after the moment at which the session looked. */
	readonly minutes: number;
	readonly face: StudyFace;
	readonly camera: StudyCamera;
}

const SIZE = { widthPx: 720, heightPx: 960, samples: 2, distanceMm: 900 } as const;
const PROFILE = { yaw: -90, centreMm: [-22, 44] as [number, number] };

/** Whoever rows at dawn: full lids and cheeks that come down over eight weeks, a little more after each session. */
const svea = (share: number, after = false): StudyFaceInput => {
	const mm = (start: number, end: number, drop = 0) => Math.max(0, start + (end - start) * share - (after ? drop : 0));
	return {
		clay: 'sand',
		faceWidth: 0.99,
		bagL: mm(2.8, 1.2, 0.5),
		bagR: mm(2.4, 1, 0.5),
		malarL: mm(1, 0.4, 0.2),
		malarR: mm(0.9, 0.4, 0.2),
		jowlL: mm(1, 0.7),
		jowlR: mm(1, 0.7),
		upperLidL: mm(0.9, 0.2, 0.1),
		upperLidR: mm(0.8, 0.2, 0.1),
		openL: -0.9 + 1.9 * share + (after ? 0.4 : 0),
		openR: -0.7 + 1.7 * share + (after ? 0.4 : 0),
		submental: mm(1.4, 1.1)
	};
};
/** Whoever blows glass: nothing that a photograph could show changes. */
const radu: StudyFaceInput = {
	clay: 'terracotta',
	iris: [0.09, 0.07, 0.04],
	jawWidth: 1.04,
	faceWidth: 1.02,
	masseterL: 1.4,
	masseterR: 1.6,
	browL: -0.6,
	browR: -0.8,
	jowlL: 0.8,
	jowlR: 0.9,
	submental: 1.6,
	bagL: 0.9,
	bagR: 0.9
};

type Row = readonly [
	session: number,
	when: DemoPhoto['when'],
	minutes: number,
	face: StudyFaceInput,
	camera?: StudyCameraInput
];
const series = (clientId: string, name: string, view: PhotoView, rows: readonly Row[]): DemoPhoto[] =>
	rows.map(([session, when, minutes, face, camera], i) => ({
		id: `${clientId}-${name}-${i + 1}`,
		clientId,
		session,
		when,
		view,
		minutes,
		face: StudyFaceSchema.parse(face),
		camera: CameraSchema.parse({ ...SIZE, seed: i + 1, ...camera })
	}));

export const DEMO_PHOTOS: readonly DemoPhoto[] = [
	...series('demo-svea', 'front', 'front', [
		[1, 'before', 1, svea(0), { yaw: 0.8, pitch: -0.6, roll: 0.7 }],
		[1, 'before', 2, svea(0), { yaw: -0.5, pitch: 0.4, roll: -0.4 }],
		[1, 'after', 1, svea(0, true), { yaw: 0.3, pitch: -1 }],
		[-1, 'before', 1, svea(1), { yaw: -0.7, pitch: 0.5, roll: 0.6 }],
		[-1, 'before', 2, svea(1), { yaw: 0.9, pitch: 0.1, roll: -0.2 }],
		[-1, 'after', 1, svea(1, true), { yaw: 0.2, pitch: -0.4, light: { azimuth: -41 } }]
	]),
	...series('demo-svea', 'left', 'left', [
		[1, 'before', 3, svea(0), PROFILE],
		[-1, 'before', 3, svea(1), { ...PROFILE, yaw: -89 }]
	]),
	...series('demo-radu', 'front', 'front', [
		[1, 'before', 1, radu, { yaw: 1, pitch: 0.5 }],
		[1, 'before', 2, radu, { yaw: -0.2, pitch: -0.5, roll: 0.8 }],
		[-1, 'before', 1, radu, { yaw: 0.1, pitch: 0.9, roll: -0.5 }],
		[-1, 'before', 2, radu, { yaw: 1.1, pitch: 0 }]
	])
];
