import type { PhotoView } from '../core/records/photoViews';
import {
	CameraSchema,
	StudyFaceSchema,
	type Clay,
	type StudyCameraInput,
	type StudyFaceInput
} from '../demo/camera/face.schema';
import type { Simulation } from '../workers/protocol';

export { CLAYS, type Clay } from '../demo/camera/face.schema';

/** What can be set of the simulated camera: a slider a row. To add one is one row. */
export interface Slider {
	readonly label: string;
	readonly unit: string;
	readonly min: number;
	readonly max: number;
	readonly step: number;
	readonly value: number;
	/** What it does to the made-up face, or to the camera. */
	readonly face?: (value: number) => StudyFaceInput;
	readonly camera?: (value: number) => StudyCameraInput;
}
const both = (name: 'bag' | 'jowl' | 'malar' | 'brow' | 'open' | 'corner') => (value: number) => ({
	[`${name}L`]: value,
	[`${name}R`]: value
});

export const SLIDERS = {
	bag: { label: 'Full under the eyes', unit: 'mm', min: 0, max: 4, step: 0.1, value: 1, face: both('bag') },
	malar: { label: 'Full cheeks', unit: 'mm', min: -2, max: 3, step: 0.1, value: 0, face: both('malar') },
	jowl: { label: 'Full along the jaw', unit: 'mm', min: 0, max: 4, step: 0.1, value: 0.5, face: both('jowl') },
	submental: {
		label: 'Full under the chin',
		unit: 'mm',
		min: 0,
		max: 4,
		step: 0.1,
		value: 1,
		face: (submental) => ({ submental })
	},
	open: { label: 'Lids open', unit: 'mm', min: -2, max: 2, step: 0.1, value: 0, face: both('open') },
	brow: { label: 'Brows up', unit: 'mm', min: -3, max: 4, step: 0.1, value: 0, face: both('brow') },
	corner: { label: 'Mouth corners up', unit: 'mm', min: -2, max: 3, step: 0.1, value: 1, face: both('corner') },
	yaw: { label: 'Head turned', unit: '°', min: -12, max: 12, step: 0.5, value: 0, camera: (yaw) => ({ yaw }) },
	pitch: { label: 'Chin up', unit: '°', min: -12, max: 12, step: 0.5, value: 0, camera: (pitch) => ({ pitch }) },
	roll: { label: 'Head tilted', unit: '°', min: -12, max: 12, step: 0.5, value: 0, camera: (roll) => ({ roll }) },
	azimuth: {
		label: 'Light from',
		unit: '°',
		min: -80,
		max: 80,
		step: 1,
		value: -38,
		camera: (azimuth) => ({ light: { azimuth } })
	},
	level: {
		label: 'Light',
		unit: '×',
		min: 0.4,
		max: 1.4,
		step: 0.05,
		value: 1,
		camera: (level) => ({ light: { level } })
	},
	distanceMm: {
		label: 'Distance',
		unit: 'mm',
		min: 500,
		max: 2000,
		step: 50,
		value: 900,
		camera: (distanceMm) => ({ distanceMm })
	},
	noise: { label: 'Grain', unit: '', min: 0, max: 0.05, step: 0.002, value: 0.006, camera: (noise) => ({ noise }) }
} as const satisfies Record<string, Slider>;
export type SliderId = keyof typeof SLIDERS;
export const SLIDER_IDS = Object.keys(SLIDERS) as SliderId[];
export type Settings = Readonly<Record<SliderId, number>>;
export const USUAL: Settings = Object.fromEntries(SLIDER_IDS.map((id) => [id, SLIDERS[id].value])) as Record<
	SliderId,
	number
>;

export interface PictureSize {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly quality: number;
	readonly samples?: number;
}
/** Face and camera of these settings. A profile turns the head by a quarter, to the side that is asked. */
export function simulationOf(
	settings: Settings,
	clay: Clay,
	view: PhotoView,
	size: PictureSize,
	seed: number
): Simulation {
	let face: StudyFaceInput = { clay };
	let camera: StudyCameraInput = {};
	for (const id of SLIDER_IDS) {
		const slider: Slider = SLIDERS[id];
		face = { ...face, ...slider.face?.(settings[id]) };
		const part = slider.camera?.(settings[id]);
		camera = { ...camera, ...part, ...(part?.light ? { light: { ...camera.light, ...part.light } } : {}) };
	}
	const { quality, ...px } = size;
	const turned: StudyCameraInput =
		view === 'front'
			? {}
			: view === 'left'
				? { yaw: settings.yaw - 90, centreMm: [-22, 44] }
				: { yaw: settings.yaw + 90, centreMm: [22, 44] };
	return {
		face: StudyFaceSchema.parse(face),
		camera: CameraSchema.parse({ ...camera, ...turned, ...px, seed }),
		quality
	};
}
