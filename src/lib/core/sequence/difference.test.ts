import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { schoolById } from '../school/schools';
import type { Level } from '../step/levels';
import type { Step } from '../step/step.schema';
import { doseAtOf } from '../step/doseAt';
import { STEP_FIELDS, type StepFieldId } from '../step/stepFields';
import { anySequence, anyStep, pump, sequenceOf, step } from '../testing';
import { differences, headDifferences } from './difference';
import { insertStep, moveStep, removeSteps, setStep } from './edits';
import { applyEdit } from './applyEdit';
import type { Sequence } from './sequence.schema';
import { stepsOf } from './walk';

const base = sequenceOf([pump('o', 'terminus'), step('a', ['malar', 'zygoma']), step('b', ['chin', 'jawline'])]);
const after = (edit: Parameters<typeof applyEdit>[1]) =>
	differences(base, applyEdit(base, edit)).map((d) => `${d.kind} ${d.number}: ${d.text}`);

describe('in words', () => {
	test('a changed part says what it is and was', () => {
		expect(after(setStep(base, 'a', { pressure: 2, mouth: 'parted' }))).toEqual([
			'changed 2: pressure medium (2), was light (1)',
			'changed 2: mouth lips parted, was mouth closed'
		]);
	});
	test('a step that is new, and one that is gone', () => {
		expect(after(insertStep(base, step('n', ['temple']), { before: 'a' }))).toEqual(['added 2: Temple, 5 ×']);
		expect(after(removeSteps(base, ['a']))).toEqual(['removed 2: Apple of the cheek to cheekbone']);
	});
	test('one step moved is one difference, not all that shifted', () => {
		expect(after(moveStep(base, 'b', -1)!)).toHaveLength(1);
	});
});

test('nothing differs from itself; each added and removed step is named once', () => {
	fc.assert(
		fc.property(anySequence, anySequence, (a, b: Sequence) => {
			expect(differences(a, a)).toEqual([]);
			const ids = (s: Sequence) => stepsOf(s).map((x) => x.step.id);
			const of = (kind: string) => differences(a, b).filter((d) => d.kind === kind);
			expect(of('added').map((d) => d.stepId)).toEqual(ids(b).filter((id) => !ids(a).includes(id)));
			expect(of('removed').map((d) => d.stepId)).toEqual(ids(a).filter((id) => !ids(b).includes(id)));
		}),
		{ numRuns: 60 }
	);
});

/** Another value for each field, never the one that is there. */
const CHANGES: { readonly [K in StepFieldId]: (step: Step) => Step[K] } = {
	techniqueId: (s) => `${s.techniqueId ?? 'x'}-other`,
	aim: (s) => (s.aim === 'lift' ? 'drain' : 'lift'),
	target: (s) => (s.target === 'hands' ? 'tool' : 'hands'),
	places: (s) => [...s.places, 'malar:left'],
	contact: (s) => (s.contact === 'heel' ? 'fist' : 'heel'),
	tool: (s) => ({ id: 'stone-plate', edge: 'notch', tiltDegrees: (s.tool?.tiltDegrees ?? 10) + 1 }),
	motion: (s) => (s.motion === 'fan' ? 'flick' : 'fan'),
	pressure: (s) => (((s.pressure ?? 0) + 1) % 5) as Level,
	levels: (s) => (s.levels ? [...s.levels].map((l) => ((l + 1) % 5) as Level) : [4, 3]),
	dose: (s) => ({ ...s.dose, max: s.dose.max + 1 }),
	paceSeconds: (s) => s.paceSeconds + 0.5,
	side: (s) => (s.side === 'left' ? { alternate: true, first: 'right' } : 'left'),
	stations: (s) => ({ places: ['chin'], hold: { kind: 'breaths', amount: (s.stations?.hold.amount ?? 1) + 1 } }),
	lanes: (s) => s.lanes + 1,
	reverse: (s) => !s.reverse,
	until: (s) => ({ signs: ['pink'], capSeconds: (s.until?.capSeconds ?? 10) + 1 }),
	end: (s) => ({
		kind: 'link',
		places: ['n:terminus'],
		pumps: s.end.kind === 'link' ? s.end.pumps + 1 : 3,
		by: 'hand'
	}),
	support: (s) => ({ place: 'chin', stays: !(s.support?.stays ?? false) }),
	posture: (s) => (s.posture === 'turned' ? 'tilted' : 'turned'),
	mouth: (s) => (s.mouth === 'o' ? 'puffed' : 'o'),
	eyes: (s) => (s.eyes === 'open' ? 'closed' : 'open'),
	breath: (s) => (s.breath === 'free' ? 'in-before' : 'free'),
	by: (s) => (s.by === 'client' ? 'practitioner' : 'client'),
	medium: (s) => ({ id: 'balm', ml: (s.medium?.ml ?? 0) + 0.1 }),
	point: (s) => (s.point === 'LI20' ? 'ST2' : 'LI20'),
	replaces: (s) => `${s.replaces ?? ''} serum`,
	doseAt: (s) => ((s.doseAt ?? doseAtOf(s)) === 'each-place' ? 'over-all' : 'each-place'),
	parts: (s) => [...(s.parts ?? []), { motion: 'sweep', seconds: 2 }],
	amplitudeMm: (s) => (s.amplitudeMm ?? 0) + 1,
	beside: () => ['ear'],
	laneRun: (s) => (s.laneRun === 'diagonal' ? 'inner-outer' : 'diagonal'),
	laneWays: (s) => Array.from({ length: Math.max(1, s.lanes - 1) }, () => ['chin', 'jawline'] as Step['places']),
	risesTo: () => 4,
	poseSeconds: (s) => (s.poseSeconds ?? 0) + 1,
	onlyIf: (s) => `${s.onlyIf ?? ''} loose`,
	besideWork: (s) => ({ pressure: (((s.besideWork?.pressure ?? 0) + 1) % 5) as Level }),
	spots: (s) => ({ count: s.spots && 'count' in s.spots ? s.spots.count + 1 : 5 }),
	round: (s) => (s.round === 'inwards' ? 'outwards' : 'inwards'),
	towards: (s) => (s.towards === 'left' ? 'away' : 'left'),
	returnSeconds: (s) => (s.returnSeconds ?? 0) + 0.5,
	swellsTo: (s) => (s.swellsTo === 4 ? 3 : 4),
	otherwise: (s) => !s.otherwise,
	choice: (s) => ({ group: 'tapes', option: `${s.choice?.option ?? ''}fan` }),
	later: (s) => !s.later,
	around: (s) => `${s.around ?? ''} a mole`,
	tape: (s) => ({ lengthMm: (s.tape?.lengthMm ?? 20) + 1, widthMm: 8, wearHours: 1 }),
	optional: (s) => !s.optional,
	reason: (s) => `${s.reason ?? ''} fuller`,
	note: (s) => `${s.note} slower`,
	why: (s) => `${s.why} thin skin`,
	comment: (s) => `${s.comment ?? ''} as for me`
};

test('change any one field of a step, and the difference names it, before and after', () => {
	fc.assert(
		fc.property(anyStep('a'), (any) => {
			for (const field of Object.keys(CHANGES) as StepFieldId[]) {
				// A step has one pressure or a level for each place, never both.
				if (field === 'pressure' && any.levels) continue;
				const changed = { ...any, [field]: CHANGES[field](any) };
				const found = differences(sequenceOf([any]), sequenceOf([changed]));
				expect(
					found.map((d) => d.kind),
					field
				).toEqual(['changed']);
				const [was, is] = [STEP_FIELDS[field].says(any), STEP_FIELDS[field].says(changed)];
				expect(is, field).not.toBe(was);
				expect(found[0]!.text, field).toBe(`${STEP_FIELDS[field].part} ${is}, was ${was}`);
			}
		}),
		{ numRuns: 60 }
	);
});

test('change anything in the head, and the difference names it', () => {
	const base = sequenceOf([step('a', ['malar'])]);
	const changes: Partial<Sequence>[] = [
		{ title: 'Other' },
		{ notes: 'Ask first' },
		{ budgetSeconds: base.budgetSeconds + 60 },
		{ school: schoolById('nape-first') },
		{ performer: 'self' },
		{ orientation: 'head-end' },
		{ goals: [{ id: 'glow', weight: 0.5 }] },
		{ medium: { id: 'balm', ml: 0.2 } },
		{ links: base.links === 'hand' ? 'policy' : 'hand' },
		{ mutes: [{ key: 'dose-range|a||', reason: 'meant' }] },
		{ phases: base.phases.map((p) => ({ ...p, exitAfter: true })) },
		{ phases: base.phases.map((p) => ({ ...p, blocks: p.blocks.map((b) => ({ ...b, title: 'Left' })) })) }
	];
	for (const change of changes)
		expect(headDifferences(base, { ...base, ...change }), JSON.stringify(Object.keys(change))).toHaveLength(1);
	expect(headDifferences(base, { ...base })).toEqual([]);
});
