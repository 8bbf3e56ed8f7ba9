import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readThrough } from '../perform/readThrough';
import { CONTEXT } from '../testing';
import { sequenceOfText } from './corpus';

const directory = new URL('./routines/', import.meta.url);
const textOf = (id: string) => readFileSync(new URL(`${id}.txt`, directory), 'utf8');

/**
 * What the stage must tell of routines as they are practised, besides place, side and count: at which step, what is read,
 * and what is said before it. Where nothing is given for the voice, it is read.
 */
type Must = readonly [step: number, read: RegExp, said?: RegExp];
const MUST: Record<string, readonly Must[]> = {
	'01': [
		[2, /20 drops/, /20 drops/],
		[5, /Beside the nose wing/, /Beside the nose wing/],
		[7, /Beside it: behind the ear/, /Beside it: behind the ear/],
		[8, /Stop at .*1 breath each/, /Press, 1 breath/],
		[9, /end after this step: The short version/],
		[10, /LI20, Yingxiang/, /Beside the nose wing/],
		[11, /ST3, Juliao/, /level with the nose wing/],
		[12, /Inner end of the brow/, /Inner end of the brow/],
		[13, /Middle of the brow/, /Middle of the brow/],
		[10, /rising to medium/, /rising to medium/]
	],
	'03': [
		[2, /Medium/, /medium/],
		[3, /Light/, /light/],
		[8, /Medium/, /medium/],
		[11, /Light/, /light/],
		[13, /Medium/, /medium/],
		[15, /Light/, /light/],
		...[2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14].map((n) => [n, /10 times/, /10/] as const),
		[15, /By way of side of the forehead, temple, front of the ear, below the ear and side of the neck/]
	],
	'05': [
		[5, /hand over hand/, /Hand over hand/],
		[5, /One hand always stays on/, /One hand always stays on/],
		[9, /Then press and hold, inner eye corner, 2 s/],
		[12, /Left temple to right temple/, /Left temple to right temple/],
		[12, /Now back/, /Now back/]
	],
	'07': [
		[4, /15 s/, /15 seconds/],
		[4, /Then stationary circle, 15 s/, /Stationary circle, 15 seconds/],
		[5, /Then stationary circle, 15 s/, /Stationary circle, 15 seconds/],
		[8, /Other hand at base of the skull/, /Other hand at base of the skull/]
	],
	'09': [
		[3, /long convex edge, 45°.*|Take the stone plate/, /Long convex edge, 45 degrees/],
		[5, /notch, 15°/, /Notch, 15 degrees/],
		[7, /comb, 15°/, /Comb, 15 degrees/],
		[10, /long concave edge, 15°/, /Long concave edge, 15 degrees/],
		[3, /Lane 1 of 2, inner/, /First lane, inner/],
		[3, /Lane 2 of 2, outer/, /Second lane, outer/],
		[6, /Wiggle at the end of each/],
		[9, /Only if the glide falls/],
		[9, /0\.3 ml of water/]
	],
	'11': [
		[4, /Gloves on/, /Gloves on/],
		[5, /Gloves off/, /Gloves off/],
		[3, /Until tight, 60 s at most/, /Until tight, 1 minute at most/],
		[4, /only if the skin is loose/, /only if the skin is loose/]
	],
	'13': [
		[5, /corner, 10°/, /Corner, 10 degrees/],
		[5, /Now the other way round/, /Now the other way round/],
		[4, /long concave edge, 0°/, /flat on the skin/],
		[4, /Other hand at jawline/, /Other hand at jawline/],
		[6, /long concave edge, 15°/],
		[7, /long convex edge, 15°/]
	],
	'15': [
		[3, /Beside it: behind the ear/, /Beside it: behind the ear/],
		[5, /stretch the skin/, /Stretch the skin/],
		[6, /You may end after this step: Early exit/]
	],
	'17': [
		...['Chin', 'Below the mouth corner', 'Jawline', 'Chewing muscle', 'Smile fold', 'Hollow of the cheek'].map(
			(name, i) => [3, new RegExp(`${name}, place ${i + 1} of 6`), new RegExp(name)] as const
		),
		[3, /Now the other way round/, /Now the other way round/],
		[3, /Lips parted/, /Lips parted/],
		[11, /Tongue to the palate/, /Tongue to the palate/],
		[12, /2 mm to and fro/]
	],
	'19': [
		[4, /Jaw forward/, /Jaw forward/],
		[5, /Jaw back in place/, /Jaw back in place/],
		[5, /Chin to jawline/, /Chin to jawline/],
		[5, /Jawline to chewing muscle/, /Jawline to chewing muscle/],
		[5, /Chewing muscle to front of the ear/, /Chewing muscle to front of the ear/]
	],
	'21': [
		[4, /Eyes open/, /Eyes open/],
		[4, /Mouth as an O/, /Mouth as an O/],
		[5, /Eyes closed again/, /Eyes closed again/]
	]
};

test('every routine is asked', () => {
	expect(
		readdirSync(directory)
			.map((f) => f.replace('.txt', ''))
			.filter((f) => /^\d/.test(f))
	).toEqual(Object.keys(MUST).sort());
});

describe.each(Object.entries(MUST))('routine %s', (id, must) => {
	const { lines } = readThrough(sequenceOfText(textOf(id)), CONTEXT, { voice: 'places', rate: 1 });
	const of = (step: number) => lines.filter((l) => l.placed.number === step);
	test.each(must.map((m) => [m[0], m[1], m] as const))('step %i: %s', (step, read, [, , said]) => {
		const words = of(step).flatMap((l) => l.told.map((t) => t.words));
		expect(words.filter((w) => read.test(w)).length, words.join(' | ')).toBeGreaterThan(0);
		if (!said) return;
		const spoken = of(step).flatMap((l) => l.spoken);
		expect(
			spoken.some((s) => said.test(s.words)),
			spoken.map((s) => s.words).join(' | ')
		).toBe(true);
	});
	test('nothing of posture, mouth, eyes, sign, condition, note or tape is told of a step that does not say it', () => {
		for (const { placed, told } of lines) {
			const { step } = placed;
			const slots = new Set(told.map((t) => t.slot));
			if (step.posture === 'neutral' && step.mouth === 'closed' && step.eyes === 'closed')
				expect(slots.has('body')).toBe(false);
			if (!step.until) expect(slots.has('until')).toBe(false);
			if (!step.note) expect(slots.has('note')).toBe(false);
			if (!step.tape) expect(slots.has('tape')).toBe(false);
			if (!step.onlyIf && !step.choice && !step.optional) expect(slots.has('condition')).toBe(false);
		}
	});
	test('what is said of a step is said before it, or in its first half', () => {
		for (const { spoken, placed } of lines) {
			const own = lines.filter((l) => l.placed === placed);
			for (const s of spoken)
				if (s.before === undefined) expect(s.atSeconds).toBeGreaterThanOrEqual(own[0]!.atSeconds - 1e-6);
				else expect(s.atSeconds + s.seconds).toBeLessThanOrEqual(s.before + 1e-6);
		}
	});
	test('in a block that goes over, the first word is the side', () => {
		for (const [i, line] of lines.entries()) {
			const { block } = line.placed;
			if (line.kind !== 'step' || block.sides === 'asSteps' || block.steps[0] !== line.placed.step) continue;
			if (lines[i - 1]?.placed.block !== block) continue;
			expect(line.spoken[0]?.words).toMatch(/left|right/);
		}
	});
});
