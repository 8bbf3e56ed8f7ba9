import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { changeAt, sameHour } from '../assess/change';
import { emptyAssessment, withValue } from '../assess/assessment';
import { ENTERED_MEASURED_IDS, measuredRow, OBSERVATION_IDS, observation } from '../assess/registry';
import { planOfSequence } from '../flow/compile';
import { coverageOf } from '../goal/coverage';
import { filmLineOf, mlFor } from '../glide/film';
import { amountText } from '../medium/media';
import { cuesOf } from '../perform/cues';
import { pressingAreaCm2 } from '../pressure/area';
import { fixIn, judge } from '../rules/judge';
import { sentenceOf } from '../rules/wording';
import { whyOf } from '../rules/texts';
import { RULES } from '../rules/index';
import { exampleOf } from '../rules/examples';
import { policyLinks } from '../links/drainPolicy';
import { schoolById } from '../school/schools';
import { stepsOf } from '../sequence/walk';
import { levelRangeKPa, LEVELS } from '../step/levels';
import { typicalDose } from '../step/typicalDose';
import { withKind } from '../step/dose';
import { NOW, pump, sequenceOf, step } from '../testing';
import { CONTACT_ROWS, type Contact } from '../vocabulary/contacts';
import { AIM_ROWS, type Aim } from '../vocabulary/aims';
import { MOTION_ROWS, type Motion } from '../vocabulary/motions';
import { EDGE_ROWS, TOOL_ROWS, type StoneEdge, type ToolId } from '../vocabulary/tools';
import { WorkingSchema, type Working } from './working.schema';
import { isGap, isMeant } from '../perform/meant';
import { DEFAULT_WORKING } from './defaultWorking';
import { changedValues, valueOf, withWorkingValue, WORKING_VALUES, type WorkingValue } from './workingValues';

/** Sequences in which every transition, link and cap comes up. */
const BUSY = sequenceOf(
	[
		pump('o', 'terminus'),
		step('p', [], {
			aim: 'prepare',
			motion: 'sweep',
			contact: 'flat-hand',
			dose: { kind: 'seconds', min: 5, target: 10, max: 20 }
		}),
		step('l', ['malar', 'zygoma'], {
			side: { each: true, first: 'left' },
			end: { kind: 'link', places: ['n:preauricular', 'n:terminus'], pumps: 5, by: 'hand' }
		}),
		step('t', ['malar', 'zygoma'], {
			contact: 'tool',
			tool: { id: 'stone-plate', edge: 'notch', tiltDegrees: 20 },
			posture: 'turned',
			medium: { id: 'balm', ml: 0.1 }
		}),
		step('g', ['masseter'], {
			contact: 'thumb-inside',
			tool: { id: 'gloves' },
			motion: 'knead',
			aim: 'release',
			pressure: 3,
			dose: { kind: 'seconds', min: 60, target: 130, max: 140 },
			side: 'left',
			reason: 'fuller'
		}),
		step('b', ['chin'], { aim: 'settle', motion: 'press-hold', dose: { kind: 'breaths', min: 1, target: 3, max: 4 } }),
		step('r', ['malar'], { motion: 'press-hold', side: 'left' }),
		step('q', ['malar', 'zygoma'], { dose: { kind: 'reps', min: 3, target: 98, max: 98 } }),
		step('f', ['chin', 'jawline'], {
			dose: { kind: 'reps', min: 3, target: 60, max: 98 },
			contact: 'tool',
			tool: { id: 'spoon' }
		})
	],
	{
		medium: { id: 'light-oil', ml: 0.4 },
		goals: [{ id: 'jaw-tension', weight: 1 }],
		school: schoolById('drain-every-move'),
		links: 'policy'
	}
);
/** A link that opens, a stone on the neck, tape on skin that still has some oil. */
const ODD = sequenceOf(
	[
		step('k', ['malar', 'zygoma'], { end: { kind: 'link', places: ['n:preauricular'], pumps: 6, by: 'hand' } }),
		step('d', ['zygoma', 'n:preauricular']),
		step('n', ['sternocleidomastoid', 'n:deep-cervical'], {
			contact: 'tool',
			tool: { id: 'stone-plate', edge: 'long-convex', tiltDegrees: 50 }
		}),
		step('p', [], {
			aim: 'prepare',
			motion: 'sweep',
			contact: 'flat-hand',
			dose: { kind: 'seconds', min: 5, target: 10, max: 20 }
		}),
		step('w', [], {
			aim: 'settle',
			contact: 'none',
			motion: 'none',
			dose: { kind: 'breaths', min: 1, target: 60, max: 90 }
		}),
		step('x', ['chin'], { aim: 'fix', motion: 'press-hold', tape: { lengthMm: 30, widthMm: 8, wearHours: 3 } }),
		step('y', ['glabella'], {
			aim: 'fix',
			motion: 'press-hold',
			tape: { lengthMm: 30, widthMm: 8, wearHours: 3, firstWear: true }
		})
	],
	{ medium: { id: 'light-oil', ml: 0.3 } }
);
const RULE_EXAMPLES = RULES.map((rule) => exampleOf(rule.id));

/** What the core says with these values, as one text: if a value matters, some of it differs. */
function sayings(working: Working): string {
	const said: unknown[] = [];
	for (const sequence of [BUSY, ODD, ...RULE_EXAMPLES]) {
		const { events, findings, balance, context, timing } = judge(sequence, { working });
		said.push(
			timing,
			findings.map((f) => [f, sentenceOf(f)]),
			[...balance.zones],
			fixIn.name
		);
		for (const f of findings.filter((x) => ['rushed-drain', 'steep-tilt'].includes(x.ruleId)))
			said.push(fixIn(context, f));
		said.push(filmLineOf(sequence, events, context.byId, working), cuesOf(events, context.byId, working).length);
	}
	const judged = judge(BUSY, { working });
	said.push(
		coverageOf(BUSY, judged.events, working),
		[...policyLinks(BUSY, working)],
		planOfSequence(BUSY, { working })
	);
	said.push(RULES.map((r) => whyOf(r.id, working)));
	said.push(LEVELS.map((l) => levelRangeKPa(l, working)));
	for (const contact of Object.keys(CONTACT_ROWS) as Contact[]) said.push(pressingAreaCm2({ contact }, working));
	for (const id of Object.keys(TOOL_ROWS) as ToolId[])
		said.push(pressingAreaCm2({ contact: 'tool', tool: { id } }, working));
	for (const edge of Object.keys(EDGE_ROWS) as StoneEdge[])
		said.push(pressingAreaCm2({ contact: 'tool', tool: { id: 'stone-plate', edge } }, working));
	for (const motion of Object.keys(MOTION_ROWS) as Motion[])
		for (const aim of Object.keys(AIM_ROWS) as Aim[])
			for (const contact of ['flat-3', 'tool'] as const)
				for (const kind of ['reps', 'seconds', 'breaths'] as const)
					said.push(typicalDose({ aim, motion, contact, dose: { kind, min: 1, target: 1, max: 1 } }, working));
	said.push(withKind({ kind: 'reps', min: 3, target: 20, max: 40 }, 'breaths', 5, working.doseBreathSeconds));
	said.push(
		mlFor({ places: [], side: 'both' }, working),
		[0.2, 3].map((ml) => amountText(ml, working))
	);
	for (const id of OBSERVATION_IDS) {
		const row = observation(id);
		const spot = {
			...(row.place === 'zone' ? { place: 'malar' as const } : {}),
			...(row.sides ? { side: 'left' as const } : {})
		};
		const full = ENTERED_MEASURED_IDS.reduce(
			(a, m) => withValue(a, m, measuredRow(m).sides ? { side: 'left' } : {}, measuredRow(m).min + 5),
			withValue(emptyAssessment(NOW), id, spot, 2)
		);
		said.push(changeAt(id, spot, full, full, working));
	}
	said.push([20, 60, 100, 400].map((apart) => sameHour(0, apart, working)));
	const times = Array.from({ length: 60 }, (_, i) => 100 * i);
	said.push(times.map((ms) => [isMeant(ms, false, working), isMeant(ms, true, working), isGap(2 * ms, 0, working)]));
	said.push(stepsOf(BUSY).length);
	return JSON.stringify(said);
}

/** Another value within its range: a good deal away from the shipped one. */
function another({ shipped, min, max, whole }: WorkingValue): number {
	const up = shipped + (max - shipped) * 0.5;
	const wish = max > shipped ? up : shipped - (shipped - min) * 0.5;
	return whole ? (max > shipped ? Math.ceil(wish) : Math.floor(wish)) : Math.round(1000 * wish) / 1000;
}

describe('every working value', () => {
	let shipped = '';
	beforeAll(() => (shipped = sayings(DEFAULT_WORKING)));
	test.each(WORKING_VALUES.map((v) => [v.name, v] as const))(
		'%s: changed, something that the core says changes',
		(_, value) => {
			const { shipped: ships, min, max, whole } = value;
			const near = whole ? [ships + 1, ships - 1] : [ships * 1.2, ships * 0.8];
			const tries = [another(value), ...near, max, min].filter((n) => n !== ships && n >= min && n <= max);
			const changed = tries.some((n) => {
				const set = withWorkingValue(DEFAULT_WORKING, value, n);
				return set.ok && sayings(set.working) !== shipped;
			});
			expect(changed).toBe(true);
		}
	);
	test('has a range around what ships, a unit or none, and a line of meaning', () => {
		expect(WORKING_VALUES.length).toBeGreaterThan(100);
		for (const v of WORKING_VALUES) {
			expect(v.min, v.name).toBeLessThanOrEqual(v.shipped);
			expect(v.max, v.name).toBeGreaterThanOrEqual(v.shipped);
			expect(v.meaning.length, v.name).toBeGreaterThan(10);
		}
	});
	test('none loosens a bound of eye, throat or carotid sinus', () => {
		const most = (name: string) => WORKING_VALUES.find((v) => v.name === name)!.max;
		expect(['pressureUpperKPa.0', 'pressureUpperKPa.1', 'pressureUpperKPa.2'].map(most)).toEqual([0.7, 3, 6]);
		expect([most('neckFirmLevel'), most('eyeTapeHours')]).toEqual([2, 2]);
		for (const { bound, max, shipped: ships } of WORKING_VALUES) if (bound) expect(max).toBe(ships);
	});
});

describe('setting one', () => {
	const value = (name: string) => WORKING_VALUES.find((v) => v.name === name)!;
	test('what is out of range, or does not ascend, is answered in a sentence and nothing is set', () => {
		const message = (name: string, n: number) => {
			const set = withWorkingValue(DEFAULT_WORKING, value(name), n);
			return set.ok ? '' : set.message;
		};
		expect(message('coldSeconds', 900)).toMatch(/Cold on one place: from 5 to 120 s/);
		expect(message('linkPumps', 2.5)).toMatch(/whole number from 0 to 50/);
		expect(message('neckFirmLevel', 3)).toMatch(/carotid sinus/);
		expect(message('typicalDoses.pump.reps.0', 9)).toMatch(/least ≤ usual ≤ most/);
		expect(message('coldSeconds', NaN)).toMatch(/please/);
	});
	test('any allowed value is stored, listed as changed, and put back by setting what ships', () => {
		fc.assert(
			fc.property(fc.constantFrom(...WORKING_VALUES), fc.double({ min: 0, max: 1, noNaN: true }), (v, share) => {
				const wish = v.min + (v.max - v.min) * share;
				const set = withWorkingValue(DEFAULT_WORKING, v, v.whole ? Math.round(wish) : wish);
				// A dose that would not ascend is refused; the test before this one says how.
				fc.pre(set.ok);
				expect(WorkingSchema.parse(set.working)).toEqual(set.working);
				expect(changedValues(set.working).map((c) => c.name)).toEqual(
					valueOf(set.working, v.keys) === v.shipped ? [] : [v.name]
				);
				const back = withWorkingValue(set.working, v, v.shipped);
				expect(back.ok && back.working).toEqual(DEFAULT_WORKING);
			})
		);
	});
});

test('what ships is what the schema fills in, and no two values of it are one', () => {
	expect(WorkingSchema.parse({})).toEqual(DEFAULT_WORKING);
	const lists = Object.values(DEFAULT_WORKING.typicalDoses).flatMap((row) => Object.values(row ?? {}));
	expect(new Set(lists).size).toBe(lists.length);
});
