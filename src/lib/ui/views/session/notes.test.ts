import { expect, test } from 'vitest';
import type { Tone } from '$lib/core/perform/sounds';
import { notesOf } from './notes';

const KINDS: readonly Tone['tone'][] = ['stroke', 'last', 'side', 'step', 'in', 'out'];
const of = (tone: Tone['tone']) => notesOf({ atSeconds: 10, tone, seconds: tone === 'in' || tone === 'out' ? 5 : 0.4 });

test('what is counted, the last, the side and the next step differ in their notes, not in pitch alone', () => {
	const rhythm = (tone: Tone['tone']) =>
		of(tone)
			.map((n) => (n.atSeconds - 10).toFixed(2))
			.join();
	expect(new Set((['stroke', 'last', 'side', 'step'] as const).map(rhythm)).size).toBe(4);
	for (const tone of KINDS) expect(of(tone)[0]!.atSeconds).toBe(10);
});

test('nothing lies so low that a small speaker swallows it, and a side keeps its ear', () => {
	for (const tone of KINDS) for (const { hertz } of of(tone)) expect(Math.min(...hertz)).toBeGreaterThanOrEqual(400);
	expect(notesOf({ atSeconds: 0, tone: 'side', seconds: 0.4, pan: -0.75 }).map((n) => n.pan)).toEqual([-0.75, -0.75]);
});
