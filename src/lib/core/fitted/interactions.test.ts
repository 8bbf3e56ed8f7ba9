import { describe, expect, test } from 'vitest';
import type { Answer } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import type { PlaceRef } from '../atlas/places';
import type { SidedZone } from '../client/sidedZone';
import type { Mark } from '../client/common.schema';
import { judge } from '../rules/judge';
import { isOfClient } from '../rules/rule';
import { factsOf } from '../screening/clientFacts';
import { stepsOf } from '../sequence/walk';
import type { Step } from '../step/step.schema';
import { techniqueById } from '../technique/library';
import { makeStep } from '../technique/makeStep';
import type { Sequence } from '../sequence/sequence.schema';
import { CONTEXT, sequenceOf } from '../testing';
import { makeItFit } from './makeItFit';

/** Worked by hand: what a client may have of a step, with what several of her answers do together. */
const TODAY = '2026-03-01';
const answer = (flag: string, places: SidedZone[] = [], since: string | null = '2026-02-25'): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		places,
		since,
		day: TODAY,
		at: `${TODAY}T08:00:00Z`
	});
const move = (technique: string, change: Partial<Step> = {}, way?: string): Step =>
	makeStep(techniqueById(technique)!, {
		id: 'x',
		places: way ? (way.split(' ') as PlaceRef[]) : undefined,
		overrides: change
	});
interface Case {
	readonly step: Step;
	readonly answers?: readonly Answer[];
	readonly marks?: readonly Mark[];
	readonly head?: Partial<Sequence>;
}
function fit({ step, answers = [], marks = [], head = {} }: Case) {
	const plan = sequenceOf([step], head);
	const clearances = answers.map((a, i) => ({
		id: `c${i}`,
		flag: a.flag,
		by: 'Dr. Aune',
		on: '2026-01-01',
		until: null,
		what: ''
	}));
	const client = factsOf({ cautions: '', answers: [...answers], marks: [...marks], clearances }, TODAY);
	const given = { ...CONTEXT, client };
	const found = judge(plan, given).findings.filter(isOfClient);
	const fitted = makeItFit(plan, given);
	const after = stepsOf(fitted.sequence)[0]?.step ?? null;
	return { found, fitted, after, rules: found.map((f) => f.ruleId), names: found.map((f) => String(f.params.names)) };
}

describe('worked examples', () => {
	test('1 a blood thinner with a stone plate: by hand, stroked', () => {
		const { rules, after } = fit({ step: move('stone-cheekbone'), answers: [answer('blood-thinner')] });
		expect(rules).toContain('client-move');
		expect(after).toMatchObject({ contact: 'flat-3', motion: 'stroke' });
		expect(after!.tool).toBeUndefined();
	});
	test('2 a blood thinner with deep kneading: level 2', () => {
		expect(
			fit({ step: move('knuckle-knead', { pressure: 3 }), answers: [answer('blood-thinner')] }).after
		).toMatchObject({
			pressure: 2,
			motion: 'knead'
		});
	});
	test('3 a nut allergy with almond oil on the step: another medium, nothing else', () => {
		const { after, found } = fit({
			step: move('spread-oil', { medium: { id: 'almond-oil', ml: 0.5 } }),
			answers: [answer('nut-allergy')]
		});
		expect(found).toMatchObject([{ ruleId: 'client-medium', severity: 'stop' }]);
		expect(after!.medium).toEqual({ id: 'light-oil', ml: 0.5 });
	});
	test('4 seeds and wool fat at once: neither sunflower nor balm', () => {
		const head = { medium: { id: 'sunflower-oil', ml: 1 } };
		const { fitted } = fit({
			step: move('light-stroke'),
			answers: [answer('seed-allergy'), answer('wool-fat-allergy')],
			head
		});
		expect(fitted.sequence.medium).toEqual({ id: 'light-oil', ml: 1 });
	});
	test('5 filler in one lip and thumb work inside the cheek beside it', () => {
		const { rules, after, names } = fit({
			step: move('inside-smile-fold'),
			answers: [answer('filler', ['upper-lip:left'])]
		});
		expect(rules).toEqual(['client-left-out']);
		expect(names).toEqual(['Filler']);
		expect(after).toBeNull();
	});
	test('6 filler in the lip and a stroke from cheek to ear: not beside it, stays', () => {
		expect(fit({ step: move('cheekbone-out'), answers: [answer('filler', ['upper-lip:left'])] }).found).toEqual([]);
	});
	test('7 glaucoma with a hold at the inner eye: left out', () => {
		const { after, found } = fit({ step: move('point-bl1'), answers: [answer('glaucoma')] });
		expect(found).toMatchObject([{ ruleId: 'client-left-out', severity: 'stop', place: 'inner-canthus' }]);
		expect(after).toBeNull();
	});
	test('8 glaucoma with a stroke under the eye: what is left begins at the temple', () => {
		expect(fit({ step: move('under-eye-out'), answers: [answer('glaucoma')] }).after!.places[0]).toBe('temple');
	});
	test('9 carotid disease with a stroke down the neck: it is cut, and pumps stay where the neck is not touched', () => {
		const { after } = fit({
			step: move('close-ear-chain', {}, 'n:preauricular n:tonsillar n:deep-cervical n:terminus'),
			answers: [answer('carotid')]
		});
		expect(after!.places).toEqual(['n:preauricular', 'n:tonsillar']);
		// What then drains the face: below the ear, then above the collarbone; between them fluid goes by itself.
		expect(after!.end).toMatchObject({ kind: 'link', places: ['n:terminus'], by: 'hand' });
	});
	test('10 carotid disease with pumps on the side of the neck: left out', () => {
		expect(fit({ step: move('open-neck'), answers: [answer('carotid')] }).after).toBeNull();
	});
	test('11 carotid disease leaves nape and collarbone alone', () => {
		expect(fit({ step: move('nape-down'), answers: [answer('carotid')] }).found).toEqual([]);
	});
	test('12 contact lenses: said before work at the lids, noted there, nothing changed', () => {
		const { found, after } = fit({ step: move('under-eye-out'), answers: [answer('contact-lenses')] });
		expect(found).toMatchObject([{ ruleId: 'client-mind', severity: 'advice' }]);
		expect(after!.note).toBe('Contact lenses out first.');
	});
	test('13 latex with gloves: said, and the gloves stay', () => {
		const { after, found } = fit({ step: move('thumb-inside'), answers: [answer('latex-allergy')] });
		expect(found).toMatchObject([{ ruleId: 'client-mind', severity: 'caution' }]);
		expect(after).toMatchObject({
			contact: 'thumb-inside',
			note: 'No latex: gloves and tape must say latex-free on the package.'
		});
	});
	test('14 latex with tape: said as well', () => {
		expect(
			fit({
				step: move('tape-frown', { tape: { lengthMm: 30, widthMm: 8, wearHours: 3 } }),
				answers: [answer('latex-allergy')]
			}).rules
		).toEqual(['client-mind']);
	});
	test('15 retinoids with tape: no tape', () => {
		expect(
			fit({
				step: move('tape-frown', { tape: { lengthMm: 30, widthMm: 8, wearHours: 3 } }),
				answers: [answer('retinoids')]
			}).after
		).toBeNull();
	});
	test('16 retinoids with scraping: stroked by hand', () => {
		expect(fit({ step: move('stone-smile-fold'), answers: [answer('retinoids')] }).after).toMatchObject({
			motion: 'stroke',
			contact: 'flat-3'
		});
	});
	test('17 pregnancy with a point that tradition leaves out; other points stay', () => {
		expect(fit({ step: move('point-gb21'), answers: [answer('pregnancy')] }).after).toBeNull();
		expect(fit({ step: move('point-li20'), answers: [answer('pregnancy')] }).found).toEqual([]);
	});
	test('18 pregnancy with lying flat: half sitting', () => {
		const { rules, fitted } = fit({
			step: move('light-stroke'),
			answers: [answer('pregnancy')],
			head: { orientation: 'head-end' }
		});
		expect(rules).toEqual(['client-upright']);
		expect(fitted.sequence.orientation).toBe('facing');
	});
	test('19 two limits on one zone: the strictest counts, both are named', () => {
		const { found, after } = fit({
			step: move('masseter-circles', { pressure: 3 }),
			answers: [answer('jaw-locks'), answer('facial-palsy', ['masseter:left', 'masseter:right'])]
		});
		expect(found[0]!.params).toMatchObject({
			cap: 1,
			given: 3,
			names: 'Jaw that locks or clicks with pain and Facial palsy, earlier'
		});
		expect(after!.pressure).toBe(1);
	});
	test('20 a limit and something left out on one zone: left out goes first', () => {
		const { rules, after } = fit({
			step: move('masseter-circles', { pressure: 3 }),
			answers: [answer('jaw-locks'), answer('open-skin', ['masseter:left'])]
		});
		expect(rules).toEqual(['client-left-out', 'client-pressure']);
		expect(after).toBeNull();
	});
	test('21 low blood pressure with both sides of the neck: one, then the other', () => {
		expect(
			fit({ step: move('neck-side-down', { side: 'both' }), answers: [answer('low-blood-pressure')] }).after!.side
		).toEqual({ each: true, first: 'left' });
	});
	test('22 worn neck joints with a turned head: neutral', () => {
		expect(fit({ step: move('neck-side-pinch'), answers: [answer('neck-spine')] }).after!.posture).toBe('neutral');
	});
	test('23 cold hives with cold globes: by hand where fluid is moved, left out where cold is what it is for', () => {
		expect(fit({ step: move('globes-out'), answers: [answer('cold-hives')] }).after).toMatchObject({
			contact: 'ring-finger'
		});
		expect(fit({ step: move('globes-hold'), answers: [answer('cold-hives')] }).after).toBeNull();
	});
	test('24 a cold sore with thumb work inside: from outside where the sore is not', () => {
		const { after } = fit({ step: move('thumb-inside'), answers: [answer('cold-sore', ['upper-lip:left'])] });
		expect(after).toMatchObject({ contact: 'pads-3', motion: 'pinned-circle', mouth: 'parted' });
	});
	test('25 a metal allergy with spoons: by hand; a stone stays', () => {
		expect(fit({ step: move('spoon-under-eye'), answers: [answer('metal-allergy')] }).after!.tool).toBeUndefined();
		expect(fit({ step: move('stone-cheek-out'), answers: [answer('metal-allergy')] }).found).toEqual([]);
	});
	test('26 a mole on the way: gone round over the neighbours, the ends as they were', () => {
		const mole: Mark = { id: 'm', kind: 'mole', zone: 'nasolabial', side: 'left', sizeMm: 4, since: null, note: '' };
		const { rules, after } = fit({
			step: move('nose-wing-down', {}, 'nose-wing nasolabial buccal n:facial'),
			marks: [mole]
		});
		expect(rules).toEqual(['client-go-round']);
		expect(after!.places).toEqual(['nose-wing', 'malar', 'buccal', 'n:facial']);
	});
	test('27 acne on the jawline with oil over the whole face: it says what it spares', () => {
		expect(fit({ step: move('spread-oil'), answers: [answer('active-acne', ['jawline:left'])] }).after!.around).toBe(
			'active acne or a boil (jawline, left)'
		);
	});
	test('28 kidney failure with an hour of work: as long as she may have it, or said', () => {
		const long = move('knuckle-knead', { dose: { kind: 'seconds', min: 30, target: 900, max: 900 } });
		const { rules, fitted } = fit({ step: long, answers: [answer('kidney-failure')] });
		expect(rules).toEqual(['client-minutes']);
		expect(judge(fitted.sequence, CONTEXT).timing.expectedSeconds).toBeLessThanOrEqual(1200);
	});
	test('29 one side on purpose, the other one left out: it is not touched by it', () => {
		const step = move('under-eye-out', { side: 'left', reason: 'the left is more swollen' });
		expect(fit({ step, answers: [answer('eye-surgery', ['lower-eyelid:right'])] }).found).toEqual([]);
	});
	test('30 a swollen tooth ends the day, and nothing is fitted away', () => {
		const plan = sequenceOf([move('light-stroke')]);
		const client = factsOf({ cautions: '', answers: [answer('tooth-abscess')], marks: [], clearances: [] }, TODAY);
		const fitted = makeItFit(plan, { ...CONTEXT, client });
		expect(fitted.fits).toBe(false);
		expect(fitted.unsaved[0]!.what).toBe('The day: Swollen, throbbing tooth');
	});
});
