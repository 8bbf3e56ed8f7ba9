import { afterAll, expect, test } from 'vitest';
import { comparePair } from '../core/measure/compare';
import type { PointedPhoto } from '../core/measure/photo.schema';
import { GENERIC } from '../core/measure/predict';
import { ask } from './ask';
import { JobPool } from './jobPool';

const pool = new JobPool();
afterAll(() => pool.close());
const post = (body: unknown) =>
	ask(
		'measure',
		{ request: new Request('http://x/api/v1/measure/compare', { method: 'POST', body: JSON.stringify(body) }) },
		pool
	);

const before: PointedPhoto = {
	points: GENERIC.front,
	scale: {
		kind: 'marker',
		ends: [
			[0, 0],
			[120, 0]
		],
		lengthMm: 25
	},
	zoom: 4
};
const after: PointedPhoto = {
	...before,
	points: { ...GENERIC.front, psL: [GENERIC.front.psL![0], GENERIC.front.psL![1] - 12] }
};

test('the figures are those of the core, to the letter', async () => {
	const answer = (await (await post({ before, after, primaries: ['eyeOpeningL'] })).json()) as object;
	const own = comparePair(before, after, { primaries: ['eyeOpeningL'] });
	expect(answer).toMatchObject(JSON.parse(JSON.stringify(own)) as object);
	expect(answer).toMatchObject({
		sentence: { real: expect.stringMatching(/^Changed: eye opening, left \+2\.5 mm/) as string }
	});
});

test('two profiles are measured as profiles; a point of the front among them is named, in a retake too', async () => {
	const profile = { ...before, points: GENERIC.profile };
	const lower = { ...profile, points: { ...GENERIC.profile, chin5: [355.1, 1160] } };
	const answer = (await (await post({ view: 'profile', before: profile, after: lower })).json()) as {
		pose: null;
		measures: { id: string; change: number }[];
	};
	expect(answer.pose).toBeNull();
	expect(answer.measures.find((m) => m.id === 'underChinArea')!.change).toBeGreaterThan(1);
	const mixed = await post({ view: 'profile', before: profile, after: lower, retakes: [[profile, before]] });
	expect(mixed.status).toBe(422);
	expect(((await mixed.json()) as { errors: { path: string }[] }).errors[0]!.path).toMatch(
		/^retakes\[0\]\[1\]\.points\./
	);
});

test('what is wrong is named by its field; nothing is measured', async () => {
	const refused = async (body: unknown) => {
		const answer = await post(body);
		return { status: answer.status, ...((await answer.json()) as { errors?: { path: string }[] }) };
	};
	expect(await refused({ before })).toMatchObject({ status: 422, errors: [{ path: 'after' }] });
	const ninth = { before: { ...before, points: { exL: [1, 'x'] } }, after };
	expect((await refused(ninth)).errors![0]!.path).toBe('before.points.exL[1]');
	expect((await refused({ before, after, primaries: ['smile'] })).errors![0]!.path).toMatch(/primaries/);
	expect(
		(
			await refused({
				before: {
					...before,
					scale: {
						kind: 'marker',
						ends: [
							[0, 0],
							[9, 0]
						],
						lengthMm: 900
					}
				},
				after
			})
		).errors![0]!.path
	).toBe('before.scale.lengthMm');
});
