import { describe, expect, test } from 'vitest';
import { PreferencesSchema, type Preferences } from '../../client/person.schema';
import { factsOf } from '../../screening/clientFacts';
import { LICENCE_IDS, licenceLimits } from '../../screening/licence';
import { LicenceSchema, type LicenceEntry } from '../../screening/licence.schema';
import { applyEdit } from '../../sequence/applyEdit';
import type { Sequence } from '../../sequence/sequence.schema';
import { stepsOf } from '../../sequence/walk';
import { techniqueById } from '../../technique/library';
import { makeStep } from '../../technique/makeStep';
import { CONTEXT, pump, sequenceOf } from '../../testing';
import { fixIn, judge } from '../judge';
import { muteFinding } from '../mutes';
import { sentenceOf } from '../wording';

const move = (id: string, technique: string, pressure?: 0 | 1 | 2 | 3 | 4) =>
	makeStep(techniqueById(technique)!, { id, overrides: pressure === undefined ? {} : { pressure } });
const given = (wishes: Partial<Preferences>, flags: readonly string[] = []) => ({
	...CONTEXT,
	client: factsOf(
		{
			cautions: '',
			marks: [],
			clearances: [],
			answers: flags.map((flag) => ({
				flag,
				says: 'yes' as const,
				places: [],
				since: null,
				until: null,
				note: '',
				day: '2026-03-01',
				at: '2026-03-01T08:00:00Z'
			})),
			preferences: PreferencesSchema.parse(wishes)
		},
		'2026-03-01'
	)
});
const wishesIn = (plan: Sequence, context: ReturnType<typeof given>) =>
	judge(plan, context).findings.filter((f) => f.kind === 'wish');
function mended(plan: Sequence, context: ReturnType<typeof given>): Sequence {
	const { context: looked } = judge(plan, context);
	return wishesIn(plan, context).reduce((now, f) => applyEdit(now, fixIn({ ...looked, sequence: now }, f)!), plan);
}
const pressures = (plan: Sequence) => stepsOf(plan).map((s) => s.step.pressure);

describe('how she likes it', () => {
	const plan = sequenceOf([
		pump('o', 'terminus'),
		move('k', 'knuckle-knead', 3),
		move('d', 'light-stroke', 1),
		move('l', 'hook-lift', 1)
	]);
	test('lighter: firm work gets lighter; openings, fluid and light work stay', () => {
		const context = given({ pressure: 'lighter' });
		expect(wishesIn(plan, context)).toMatchObject([{ ruleId: 'wish-pressure', severity: 'advice', stepIds: ['k'] }]);
		expect(pressures(mended(plan, context))).toEqual([1, 2, 1, 1]);
		expect(wishesIn(mended(plan, context), context)).toEqual([]);
	});
	test('firmer: light work of muscle gets a level more, within every cap and her own limits; fluid stays light', () => {
		expect(pressures(mended(plan, given({ pressure: 'firmer' })))).toEqual([1, 3, 1, 2]);
		expect(wishesIn(plan, given({ pressure: 'firmer' }, ['isotretinoin']))).toEqual([]);
	});
	test('a step that says its pressure place by place is left as it is, to the key', () => {
		const { pressure: _pressure, ...sweep } = move('s', 'hook-lift');
		const byPlace = { ...sweep, levels: sweep.places.map(() => 1 as const) };
		const both = sequenceOf([move('k', 'knuckle-knead', 3), byPlace]);
		expect(Object.keys(stepsOf(mended(both, given({ pressure: 'lighter' })))[1]!.step)).not.toContain('pressure');
	});
	test('as planned, nothing is said', () => expect(wishesIn(plan, given({}))).toEqual([]));
	test('a medium that she does not like: one that she likes, unless she does not bear it', () => {
		const oiled = { ...plan, medium: { id: 'balm', ml: 1 } };
		expect(mended(oiled, given({ dislikes: ['balm'], likes: ['cream'] })).medium!.id).toBe('cream');
		const allergic = given({ dislikes: ['balm'], likes: ['almond-oil'] }, ['nut-allergy']);
		expect(mended(oiled, allergic).medium!.id).toBe('light-oil');
	});
	test('cheeks the other way than the school leads them', () => {
		const context = given({ cheekRoute: 'downward' });
		expect(sentenceOf(wishesIn(plan, context)[0]!).head).toContain('likes her cheeks led downward');
		expect(mended(plan, context).school.cheekRoute).toBe('downward');
	});
	test('a wish belongs to her: it is not set aside in a sequence', () => {
		const [wish] = wishesIn(plan, given({ pressure: 'lighter' }));
		expect(() => muteFinding(plan, wish!, 'A wish', 'not now')).toThrow(/comes from the client/);
	});
});

describe('what a licence leaves out', () => {
	const entry = (id: LicenceEntry['id'], covers: 'yes' | 'no'): LicenceEntry => ({
		id,
		covers,
		on: '2026-01-10',
		note: 'Code 4b.'
	});
	const outside = (technique: string, ...licence: LicenceEntry[]) =>
		judge(sequenceOf([move('x', technique)]), { ...CONTEXT, licence }).findings.filter((f) => f.kind === 'licence');
	test('is said at every step of the kind, whoever is in the chair, with the note', () => {
		const [finding] = outside('thumb-inside', entry('inside', 'no'));
		expect(finding).toMatchObject({ ruleId: 'outside-licence', severity: 'caution', stepIds: ['x'] });
		expect(sentenceOf(finding!)).toEqual({
			head: '1 lies outside your licence: Inside the cheek.',
			body: 'By your own note the licence does not cover it. Code 4b.'
		});
	});
	test.each([
		['neck', 'neck-side-down', 'apple-out'],
		['tools', 'roller-jaw-out', 'light-stroke'],
		['scraping', 'stone-cheekbone', 'stone-cheek-out'],
		['tape', 'tape-frown', 'frown-circles'],
		['cold', 'globes-hold', 'cloth-warm'],
		['points', 'point-li20', 'nape-thumbs'],
		['chest', 'chest-to-armpit', 'neck-side-down']
	] as const)('%s: %s, but not %s', (id, touched, spared) => {
		expect(outside(touched, entry(id, 'no'))).toHaveLength(1);
		expect(outside(spared, entry(id, 'no'))).toEqual([]);
	});
	test('what is covered, left open, or no move at all, leaves nothing out', () => {
		expect(outside('thumb-inside')).toEqual([]);
		expect(outside('thumb-inside', entry('inside', 'yes'))).toEqual([]);
		expect(licenceLimits([entry('claims', 'no')])).toEqual([]);
		expect(LicenceSchema.safeParse(LICENCE_IDS.map((id) => entry(id, 'no'))).success).toBe(true);
	});
	test('who has looked up work inside the cheek and is covered is not told each time', () => {
		const told = (...licence: LicenceEntry[]) =>
			judge(sequenceOf([move('x', 'thumb-inside')]), { ...CONTEXT, licence }).findings.some(
				(f) => f.ruleId === 'inside-licence'
			);
		expect([told(), told(entry('inside', 'yes'))]).toEqual([true, false]);
	});
});
