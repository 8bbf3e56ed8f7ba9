// Takes the photographs of the demo practice with the simulated camera, in Chromium, and writes them beside the demo:
// `node scripts/demoPhotos.mjs`. What is changed of the faces stands in src/lib/demo/photos.ts.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { createServer } from 'vite';
import { launchOptions } from './setup.mjs';

const into = new URL('../src/lib/demo/pictures/', import.meta.url);
const server = await createServer({ server: { port: 0, host: '127.0.0.1' }, logLevel: 'error' });
await server.listen();
const browser = await chromium.launch(launchOptions());
const page = await browser.newPage();
await page.goto(`${server.resolvedUrls.local[0]}healthz`);
rmSync(into, { recursive: true, force: true });
mkdirSync(into, { recursive: true });
const { DEMO_PHOTOS } = await server.ssrLoadModule('/src/lib/demo/photos.ts');
const truths = {};
for (const { id, face, camera } of DEMO_PHOTOS) {
	const made = await page.evaluate(
		async ({ face, camera }) => {
			const { photograph, sitterOf } = await import('/src/lib/demo/camera/picture.ts');
			const { truthOf } = await import('/src/lib/demo/camera/truth.ts');
			const sitter = sitterOf(face);
			const { data, widthPx, heightPx } = photograph(sitter, camera);
			const canvas = new OffscreenCanvas(widthPx, heightPx);
			canvas.getContext('2d').putImageData(new ImageData(data, widthPx, heightPx), 0, 0);
			const files = [];
			for (const [px, quality] of [
				[heightPx, 0.82],
				[240, 0.75]
			]) {
				const small = new OffscreenCanvas(Math.round((px * widthPx) / heightPx), px);
				const context = small.getContext('2d');
				context.imageSmoothingQuality = 'high';
				context.drawImage(canvas, 0, 0, small.width, small.height);
				const blob = await small.convertToBlob({ type: 'image/jpeg', quality });
				files.push([...new Uint8Array(await blob.arrayBuffer())]);
			}
			return { files, truth: truthOf(sitter.head).seen(camera) };
		},
		{ face, camera }
	);
	writeFileSync(new URL(`${id}.jpg`, into), Buffer.from(made.files[0]));
	writeFileSync(new URL(`${id}-small.jpg`, into), Buffer.from(made.files[1]));
	const rounded = Object.entries(made.truth).map(([point, at]) => [point, at.map((v) => Math.round(v * 10) / 10)]);
	truths[id] = Object.fromEntries(rounded);
	console.log(id, made.files[0].length, made.files[1].length);
}
// The guide for the tape: a head from the side, and where the tape begins and ends on it.
const guide = await page.evaluate(async () => {
	const [{ photograph, sitterOf }, { truthOf }, { CameraSchema, StudyFaceSchema }] = await Promise.all([
		import('/src/lib/demo/camera/picture.ts'),
		import('/src/lib/demo/camera/truth.ts'),
		import('/src/lib/demo/camera/face.schema.ts')
	]);
	const sitter = sitterOf(StudyFaceSchema.parse({ clay: 'olive' }));
	const camera = CameraSchema.parse({
		widthPx: 600,
		heightPx: 800,
		samples: 2,
		yaw: -56,
		fieldMm: 300,
		centreMm: [-14, 58],
		light: { azimuth: -50 },
		noise: 0
	});
	const { data, widthPx, heightPx } = photograph(sitter, camera);
	const canvas = new OffscreenCanvas(widthPx, heightPx);
	canvas.getContext('2d').putImageData(new ImageData(data, widthPx, heightPx), 0, 0);
	const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
	const truth = truthOf(sitter.head);
	const { enL, exL, alL, chL } = truth.front(camera);
	const { t, go, pg } = truth.profile(camera);
	return { bytes: [...new Uint8Array(await blob.arrayBuffer())], points: { enL, exL, alL, chL, t, go, pg } };
});
const guideInto = new URL('../src/lib/ui/views/session/guide/', import.meta.url);
mkdirSync(guideInto, { recursive: true });
writeFileSync(new URL('tape.jpg', guideInto), Buffer.from(guide.bytes));
const whole = Object.fromEntries(Object.entries(guide.points).map(([id, at]) => [id, at.map(Math.round)]));
writeFileSync(new URL('tape.json', guideInto), `${JSON.stringify(whole)}\n`);
writeFileSync(new URL('truths.json', into), `${JSON.stringify(truths, null, '\t')}\n`);
await browser.close();
await server.close();
