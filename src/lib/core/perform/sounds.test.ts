import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { stepsOf } from '../sequence/walk';
import type { Sequence } from '../sequence/sequence.schema';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { VOICES } from '../records/voices';
import { TEMPLATES } from '../template/templates';
import { instructionAt } from './instruction/instruction';
import { planOf } from './instruction/moment';
import { spokenTime } from './instruction/words';
import { soundtrackOf, type SoundOptions } from './sounds';
import { placedBefore, spokenSeconds } from './speech';

const heard = (sequence: Sequence, options: Partial<SoundOptions> = {}) => {
	const events = expand(sequence, CONTEXT);
	const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
	const given = { voice: 'none' as const, rate: 1, tones: true, ...options };
	return { events, ...soundtrackOf(events, byId, CONTEXT.working, given) };
};
const each = { each: true as const, first: 'left' as const };
const sequence = sequenceOf([
	pump('o', 'terminus', { dose: { kind: 'reps', min: 2, target: 3, max: 4 } }),
	step('a', ['chin', 'jawline'], { side: each, dose: { kind: 'reps', min: 2, target: 2, max: 3 }, paceSeconds: 3 }),
	step('b', ['malar'], { aim: 'settle', dose: { kind: 'breaths', min: 1, target: 1, max: 3 } })
]);

describe('tones, by hand', () => {
	test('a beat a repetition, a last one, a change of side, a new step, the breath', () => {
		// 3 pumps of 1 s; 2 strokes of 3 s left; 2 s change; 2 strokes right; one breath of 10 s.
		const { tones } = heard(sequence);
		expect(tones.map((t) => `${t.atSeconds} ${t.tone}`)).toEqual([
			'0 stroke',
			'1 stroke',
			'2 last',
			'3 step',
			'6 stroke',
			'9 side',
			'11 stroke',
			'14 stroke',
			'17 step',
			'17 in',
			'22 out'
		]);
		expect(heard(sequence, { tones: false }).tones).toEqual([]);
	});
});

describe('words', () => {
	test('place, hand, level, move, count, side, in this order; alerts before the first touch', () => {
		const { spoken } = heard(sequence, { voice: 'places', alerts: ['No nut oils'] });
		const before = spoken.filter((s) => s.atSeconds < 0).map((s) => s.words);
		expect(before).toEqual(['No nut oils', 'Collarbone', 'Three fingers', 'light', 'Pump', '3 in all', 'both sides']);
		// The last of them ends before the first touch.
		const lead = spoken.filter((s) => s.atSeconds < 0).at(-1)!;
		expect(lead.atSeconds + lead.seconds).toBeLessThanOrEqual(0);
		// Pumps leave 0.6 s between two beats: of the next step what is needed is said, in place of the beats it would hide.
		const next = spoken.filter((s) => s.before === 3);
		expect(next[0]!.words).toBe('Chin to jawline');
		expect(next.at(-1)!.atSeconds + next.at(-1)!.seconds).toBeCloseTo(3 - 0.08);
		expect(heard(sequence, { voice: 'places' }).tones.map((t) => t.atSeconds)).not.toContain(2);
		// The other side is said before the hands change over at 9 s, between the beats at 6 and 9 s.
		const right = spoken.find((s) => s.words === 'client’s right')!;
		expect(right.atSeconds).toBeGreaterThan(6.16);
		expect(right.atSeconds + right.seconds).toBeLessThanOrEqual(9);
		expect(spoken.at(-1)).toMatchObject({ words: 'Session finished', atSeconds: 27 });
	});

	test('as much as is wanted', () => {
		const words = (voice: (typeof VOICES)[number]) => heard(sequence, { voice }).spoken.map((s) => s.words);
		expect(words('none')).toEqual([]);
		expect(words('changes')).toEqual([
			'Collarbone',
			'Chin to jawline',
			'client’s right',
			'Apple of the cheek',
			'Session finished'
		]);
		expect(words('everything')).toContain('2');
		expect(words('places')).not.toContain('2');
	});

	test('a quicker voice needs less time', () => {
		expect(spokenSeconds('fourteen signs', 1)).toBeCloseTo(1.3);
		expect(spokenSeconds('fourteen signs', 2)).toBeCloseTo(0.8);
	});

	test('what does not fit is left out, the least needed first', () => {
		const chunks = [
			{ words: 'where it is', drop: 0 },
			{ words: 'with what', drop: 2 },
			{ words: 'which side', drop: 1 }
		];
		// 2.4 s until something sounds again: two of three.
		const beats = [
			{ atSeconds: 0, seconds: 0.2 },
			{ atSeconds: 3, seconds: 0.2 }
		];
		expect(placedBefore(3, chunks, beats, 0, 1).map((s) => s.words)).toEqual(['where it is', 'which side']);
		const quick = Array.from({ length: 12 }, (_, i) => ({ atSeconds: i * 0.25, seconds: 0.2 }));
		expect(placedBefore(3, chunks, quick, 0, 1).map((s) => s.words)).toEqual(['where it is', 'which side']);
	});
});

test('over random sequences: no beat is lost or doubled, nothing is said late, and no word hides a tone', () => {
	fc.assert(
		fc.property(
			anySequence,
			fc.constantFrom(...VOICES),
			fc.double({ min: 0.6, max: 1.6, noNaN: true }),
			(any, voice, rate) => {
				const { events, tones, spoken } = heard(any, { voice, rate });
				const silent = heard(any).tones;
				// Every tone is one of those without a voice, and each at most once.
				const key = (t: { atSeconds: number; tone: string }) => `${t.atSeconds} ${t.tone}`;
				const all = new Set(silent.map(key));
				expect(all.size).toBe(silent.length);
				expect(tones.every((t) => all.has(key(t)))).toBe(true);
				// Each repetition has its beat where nobody speaks.
				const reps = events
					.filter((e) => e.kind !== 'transition')
					.reduce((n, e) => n + (e.kind === 'work' || e.kind === 'link' ? Math.max(1, e.reps) : 1), 0);
				const beats = silent.filter((t) => t.tone === 'stroke' || t.tone === 'last' || t.tone === 'step');
				expect(beats.length).toBe(reps);
				// Words follow one another, and no tone sounds while one is said.
				spoken.forEach((s, i) => {
					const next = spoken[i + 1];
					if (s.before !== undefined) expect(s.atSeconds + s.seconds).toBeLessThanOrEqual(s.before + 1e-6);
					if (next) expect(s.atSeconds + s.seconds).toBeLessThanOrEqual(next.atSeconds + 1e-6);
					for (const t of tones)
						if (t.tone !== 'in' && t.tone !== 'out')
							expect(
								t.atSeconds >= s.atSeconds + s.seconds - 1e-6 || t.atSeconds + t.seconds <= s.atSeconds + 1e-6
							).toBe(true);
				});
			}
		),
		{ numRuns: 25 }
	);
});

test('of every step of the ready sequences its place is said before it begins, and whatever else is new as time allows', () => {
	let missing = 0;
	for (const ready of TEMPLATES) {
		const { events, spoken } = heard(ready, { voice: 'places', led: ready });
		const plan = planOf(events, new Map(stepsOf(ready).map((s) => [s.step.id, s])), CONTEXT.working, ready);
		for (const [i, event] of events.entries()) {
			if (event.kind === 'transition' || events[plan.runs[i]!.start]!.kind === event.kind) continue;
			if (plan.runs[i]!.start !== i - 1) continue;
			const place = instructionAt(plan, i).find(({ slot }) => slot === 'place');
			if (place && !spoken.some((s) => s.of === i && s.words === place.say)) missing++;
		}
		for (const [i, run] of plan.runs.entries()) {
			if (run.start !== i || events[i]!.kind === 'transition') continue;
			const place = instructionAt(plan, i).find(({ slot }) => slot === 'place');
			if (place && !spoken.some((s) => s.of === i && s.words === place.say)) missing++;
		}
	}
	expect(missing).toBe(0);
});

describe('what is said first', () => {
	test('each of several places by its name, as it comes', () => {
		const opening = pump('o', 'terminus', {
			places: ['n:terminus', 'n:tonsillar', 'n:submandibular'],
			paceSeconds: 1.5
		});
		const words = heard(sequenceOf([opening]), { voice: 'places' }).spoken.map((s) => s.words);
		expect(words.indexOf('Below the ear')).toBeGreaterThan(0);
		expect(words.indexOf('Under the jaw')).toBeGreaterThan(words.indexOf('Below the ear'));
	});
	test('the side, where a block goes over to the other one', () => {
		const both = sequenceOf([
			step('a', ['chin', 'jawline'], { side: undefined }),
			step('b', ['malar', 'zygoma'], { side: undefined })
		]);
		const inBlock = {
			...both,
			phases: both.phases.map((p) => ({
				...p,
				blocks: p.blocks.map((b) => ({ ...b, sides: { first: 'left' as const } }))
			}))
		} as Sequence;
		const words = heard(inBlock, { voice: 'places' }).spoken.map((s) => s.words);
		const over = words.indexOf('client’s right');
		expect(over).toBeGreaterThan(0);
		expect(words[over + 1]).toBe('Chin to jawline');
	});
	test('times as people say them', () => {
		expect([1, 40, 60, 90, 300].map(spokenTime)).toEqual([
			'1 second',
			'40 seconds',
			'1 minute',
			'1 minute 30',
			'5 minutes'
		]);
	});
});
