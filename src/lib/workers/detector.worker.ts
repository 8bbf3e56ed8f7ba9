import * as Comlink from 'comlink';
import { Human } from '@vladmandic/human';
import { DOUBT_WORDS, faceDoubt, heldOf, meanPoints, meshPoints, type ReportedFace } from '../core/measure/detected';
import { lightOf } from '../core/measure/light';
import { FRONT_POINTS, type FrontPoint, type Pixel, type Points } from '../core/measure/landmarks';
import { genericPoints, predicted } from '../core/measure/predict';
import { DEGREES } from '../core/measure/vector';
import type { DetectorWorker, SeenFace } from './protocol';
import { luminanceOf } from './luminance';

/** Served beside the application; the defaults of the package would ask elsewhere. */
const FILES = new URL('/detector/', self.location.origin).href;
const human = new Human({
	backend: 'wasm',
	wasmPath: FILES,
	modelBasePath: FILES,
	warmup: 'none',
	cacheSensitivity: 0,
	skipAllowed: false,
	debug: false,
	filter: { enabled: false },
	face: {
		enabled: true,
		detector: { rotation: true, skipFrames: 0, skipTime: 0, maxDetected: 2, minConfidence: 0.5 },
		mesh: { enabled: true },
		iris: { enabled: true },
		emotion: { enabled: false },
		description: { enabled: false },
		antispoof: { enabled: false },
		liveness: { enabled: false }
	},
	body: { enabled: false },
	hand: { enabled: false },
	object: { enabled: false },
	gesture: { enabled: false }
});
let ready: Promise<void> | null = null;
async function load(): Promise<void> {
	await human.load();
	await human.init();
	// Without its arithmetic it falls back to a slower one in silence.
	if (human.tf.getBackend() !== 'wasm') throw new Error('the detector does not run here');
}

/** Larger pictures take memory and time, and tell no more; on smaller ones whole px are too coarse. */
const [SMALLEST_PX, LARGEST_PX] = [900, 1280];
function canvasOf(bitmap: ImageBitmap, width: number, height: number): OffscreenCanvas {
	const canvas = new OffscreenCanvas(width, height);
	canvas.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0, width, height);
	return canvas;
}
async function facesOn(canvas: OffscreenCanvas): Promise<ReportedFace[]> {
	const { face } = await human.detect(canvas);
	return face.map(({ mesh, rotation }) => ({
		mesh: mesh.map(([x, y]) => [x, y]),
		yaw: (rotation?.angle.yaw ?? 0) * DEGREES,
		pitch: (rotation?.angle.pitch ?? 0) * DEGREES
	}));
}

/** A face is looked at again this large, upright in its middle, a little displaced each time, and mirrored. */
const CROP_PX = 1024;
const FACE_SHARE = 0.55;
const LOOKS = [
	{ dx: 0, mirror: false },
	{ dx: 0, mirror: true },
	{ dx: 0.02, mirror: false },
	{ dx: -0.02, mirror: true }
] as const;
async function closer(bitmap: ImageBitmap, { mesh }: ReportedFace, share: number): Promise<Points<FrontPoint>> {
	const [xs, ys] = [mesh.map((p) => p[0]! / share), mesh.map((p) => p[1]! / share)];
	const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
	const side = Math.max(right - left, bottom - top) / FACE_SHARE;
	const looks: Points<FrontPoint>[] = [];
	for (const { dx, mirror } of LOOKS) {
		const [x, y] = [(left + right) / 2 - side / 2 + dx * side, (top + bottom) / 2 - side / 2];
		const canvas = new OffscreenCanvas(CROP_PX, CROP_PX);
		const context = canvas.getContext('2d', { willReadFrequently: true })!;
		if (mirror) context.setTransform(-1, 0, 0, 1, CROP_PX, 0);
		context.drawImage(bitmap, x, y, side, side, 0, 0, CROP_PX, CROP_PX);
		const [face] = await facesOn(canvas);
		if (!face) continue;
		const points = Object.entries(meshPoints(face.mesh, mirror ? CROP_PX : undefined));
		const k = side / CROP_PX;
		looks.push(
			Object.fromEntries(points.map(([id, at]) => [id, [x + k * at[0], y + k * at[1]]])) as Points<FrontPoint>
		);
	}
	return meanPoints(looks);
}

/** All points of a front, guessed from those that were seen: enough to find its patches of skin. */
function guessed(seen: Points<FrontPoint>, frame: Pixel): Points<FrontPoint> {
	const known = genericPoints('front');
	const all = FRONT_POINTS.flatMap((id) => {
		const at = seen[id] ?? predicted(id, seen, known, frame);
		return at ? [[id, at]] : [];
	});
	return Object.fromEntries(all) as Points<FrontPoint>;
}

const worker: DetectorWorker = {
	async look(bitmap, fine): Promise<SeenFace | { readonly doubt: string }> {
		await (ready ??= load());
		const longer = Math.max(bitmap.width, bitmap.height);
		const share = Math.min(LARGEST_PX, Math.max(SMALLEST_PX, longer)) / longer;
		const canvas = canvasOf(bitmap, Math.round(bitmap.width * share), Math.round(bitmap.height * share));
		try {
			const faces = await facesOn(canvas);
			const doubt = faceDoubt(faces);
			if (doubt) return { doubt: DOUBT_WORDS[doubt] };
			const whole = meshPoints(faces[0]!.mesh);
			const held = heldOf(faces[0]!, whole);
			const frame: Pixel = [canvas.width, canvas.height];
			const { enL, enR } = whole;
			const size = enL && enR ? Math.hypot(enL[0] - enR[0], enL[1] - enR[1]) / canvas.width : 0;
			const light = lightOf(guessed(whole, frame), luminanceOf(canvas));
			const points = fine ? await closer(bitmap, faces[0]!, share) : {};
			return { points, stance: { ...held, size, light } };
		} finally {
			bitmap.close();
		}
	}
};
Comlink.expose(worker);
