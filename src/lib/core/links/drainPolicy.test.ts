import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { insertStep, setHead, setStep } from '../sequence/edits';
import { applyEdit } from '../sequence/applyEdit';
import { expand } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { linkRoute } from '../atlas/route';
import { withText } from '../notation/align';
import { parse } from '../notation/parse';
import { print } from '../notation/print';
import { stepsOf } from '../sequence/walk';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { FINAL_DRAIN_ID, keepPolicyLinks, policyLinks, policyLinkSeconds } from './drainPolicy';
import type { School } from '../school/school.schema';
import { schoolById, SCHOOLS } from '../school/schools';

const school = (drainPolicy: School['drainPolicy'], change: Partial<School> = {}): School => ({
	...schoolById('outlet-first'),
	drainPolicy,
	...change
});
const kept = (sequence: Sequence): Sequence => {
	const edit = keepPolicyLinks(sequence, DEFAULT_WORKING);
	return edit ? applyEdit(sequence, edit) : sequence;
};
const linked = (sequence: Sequence) =>
	stepsOf(sequence).flatMap(({ step: s }) => (s.end.kind === 'link' ? [`${s.id} ${s.end.by}`] : []));
const by = (drainPolicy: School['drainPolicy'], steps: Step[]) =>
	kept(sequenceOf(steps, { school: school(drainPolicy), links: 'policy' }));

const FACE = [
	pump('open', 'terminus'),
	step('neck', ['sternocleidomastoid', 'n:deep-cervical']),
	step('cheek-1', ['malar', 'zygoma']),
	step('cheek-2', ['malar', 'buccal']),
	step('chew', ['masseter'], { aim: 'release', motion: 'pinned-circle' }),
	step('jaw', ['jawline', 'under-jaw', 'n:submandibular'])
];

describe('the policy', () => {
	test.each([
		['every-move', ['cheek-1', 'cheek-2', 'chew', 'jaw']],
		['every-zone', ['cheek-2', 'chew', 'jaw']],
		['every-region', ['cheek-2', 'jaw']],
		['end', ['policy-drain']]
	] as const)('%s links %j; openings and the neck never', (policy, ids) => {
		expect(linked(by(policy, FACE))).toEqual(ids.map((id) => `${id} policy`));
	});
	test('routes along the preferred of the two ways of the cheek', () => {
		const cheek = [step('c', ['malar'], { motion: 'press-hold' })];
		const way = (cheekRoute: School['cheekRoute']) => {
			const sequence = sequenceOf(cheek, { school: school('every-move', { cheekRoute }), links: 'policy' });
			return policyLinks(sequence, DEFAULT_WORKING).get('c')!.places;
		};
		expect(way('outward')).toEqual(['n:preauricular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus']);
		expect(way('downward')[0]).toBe('n:submandibular');
	});
	test('ends by hand, and strokes that reach the outlet, are left alone', () => {
		const byHand: Step['end'] = { kind: 'link', places: ['n:terminus'], pumps: 5, by: 'hand' };
		const steps = [
			step('hand', ['malar', 'zygoma'], { end: byHand }),
			step('wiggle', ['brow', 'temple'], { end: { kind: 'wiggle' } }),
			step('whole', ['jawline', 'under-jaw', 'n:submandibular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus'])
		];
		expect(linked(by('every-move', steps))).toEqual(['hand hand']);
	});
	test('kept by hand again, all links of the policy go', () => {
		const with4 = by('every-move', FACE);
		expect(linked(kept(applyEdit(with4, setHead(with4, { links: 'hand' }, 'By hand'))))).toEqual([]);
	});
	test('end: one long sweep after the last move on the face, moved along with it, gone where the user drains herself', () => {
		const before = by('end', [...FACE, pump('close', 'terminus', { aim: 'close' })]);
		const at = (s: Sequence) => stepsOf(s).map((x) => x.step.id);
		expect(at(before).slice(-3)).toEqual(['jaw', FINAL_DRAIN_ID, 'close']);
		expect(stepsOf(before).at(-2)!.step).toMatchObject({
			aim: 'close',
			places: ['n:submandibular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus'],
			end: { kind: 'link', places: ['n:terminus'], pumps: 3, by: 'policy' }
		});
		const longer = applyEdit(before, insertStep(before, step('eye', ['lower-eyelid', 'zygoma']), { before: 'close' }));
		expect(at(kept(longer)).slice(-3)).toEqual(['eye', FINAL_DRAIN_ID, 'close']);
		const own = step('own', ['n:preauricular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus'], { aim: 'close' });
		expect(at(kept(applyEdit(longer, insertStep(longer, own, { before: 'close' }))))).not.toContain(FINAL_DRAIN_ID);
	});
	test('a link moves when its step ends elsewhere', () => {
		const before = by('every-move', FACE);
		const moved = applyEdit(before, setStep(before, 'jaw', { places: ['buccal', 'masseter'], side: 'left' }));
		expect(stepsOf(kept(moved)).at(-1)!.step.end).toMatchObject({
			places: linkRoute('masseter', 'outward')
		});
	});
	test('its time by hand: three groups at 1.5 s and three pumps at 1 s', () => {
		const sequence = by('every-move', [step('jaw', ['jawline', 'under-jaw', 'n:submandibular'])]);
		const { linkPlaceSeconds, linkPumpSeconds, linkPumps } = DEFAULT_WORKING;
		const expected = 3 * linkPlaceSeconds + linkPumps * linkPumpSeconds;
		expect(policyLinkSeconds(sequence, expand(sequence, CONTEXT))).toBeCloseTo(expected, 9);
		expect(policyLinkSeconds(sequenceOf(FACE), expand(sequenceOf(FACE), CONTEXT))).toBe(0);
	});
});

test('on any sequence: done twice is done once, links by hand stay, and nothing but ends changes', () => {
	const withoutEnds = (s: Sequence) =>
		stepsOf(s)
			.filter(({ step: { id } }) => id !== FINAL_DRAIN_ID)
			.map(({ step: { end: _end, ...rest } }) => rest);
	const hands = (s: Sequence) => linked(s).filter((l) => l.endsWith('hand'));
	fc.assert(
		fc.property(anySequence, (any) => {
			const sequence = { ...any, links: 'policy' as const };
			const once = kept(sequence);
			expect(keepPolicyLinks(once, DEFAULT_WORKING)).toBeNull();
			expect(withoutEnds(once)).toEqual(withoutEnds(sequence));
			expect(hands(once)).toEqual(hands(sequence));
		}),
		{ numRuns: 200 }
	);
});

test('a closing stroke of the user that ends beside an outlet is linked to it, and never taken for the drain of the policy', () => {
	const close = step('close', ['temple', 'preauricular', 'sternocleidomastoid', 'supraclavicular', 'shoulder'], {
		aim: 'close'
	});
	for (const school of SCHOOLS) {
		const once = kept({ ...sequenceOf([...FACE, close], { school }), links: 'policy' });
		const again = keepPolicyLinks(once, DEFAULT_WORKING);
		expect([again, stepsOf(once).filter((s) => s.step.id === 'close').length], school.id).toEqual([null, 1]);
	}
});

test('what the policy set survives a text that is pasted elsewhere, once, and follows a change of school', () => {
	const steps = [
		step('a', ['malar', 'zygoma', 'preauricular']),
		step('b', ['jawline', 'under-jaw', 'n:submandibular'])
	];
	const made = { ...sequenceOf(steps, { school: schoolById('rise-and-drain') }), links: 'policy' as const };
	const kept = applyEdit(made, keepPolicyLinks(made, DEFAULT_WORKING)!);
	let n = 0;
	const empty = { ...sequenceOf([]), phases: [] };
	const pasted = withText(empty, parse(print(kept)), () => `pasted-${n++}`);
	expect(stepsOf(pasted).map((s) => s.step.id)).not.toContain(FINAL_DRAIN_ID);
	expect(keepPolicyLinks(pasted, DEFAULT_WORKING)).toBeNull();
	const other = { ...pasted, school: schoolById('drain-every-move') };
	const moved = applyEdit(other, keepPolicyLinks(other, DEFAULT_WORKING)!);
	expect(stepsOf(moved).map((s) => s.step.end.kind)).toEqual(['link', 'link']);
	const back = { ...moved, school: schoolById('rise-and-drain') };
	const again = applyEdit(back, keepPolicyLinks(back, DEFAULT_WORKING)!);
	expect(stepsOf(again).map((s) => s.step.end.kind)).toEqual(['none', 'none', 'link']);
});
