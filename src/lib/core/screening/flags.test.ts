import { describe, expect, test } from 'vitest';
import type { Answer } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import type { SidedZone } from '../client/sidedZone';
import { techniqueById, TECHNIQUES } from '../technique/library';
import { techniqueToday } from './ofTechnique';
import { CHAPTERS, SURENESS } from './flag';
import { FLAGS } from './flags';
import { limitsOn } from './limits';

const TODAY = '2026-03-01';
const yes = (flag: string, places: SidedZone[] = [], since: string | null = '2026-02-28'): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		places,
		since,
		day: TODAY,
		at: `${TODAY}T08:00:00Z`
	});
const limitsOfAnswers = (...answers: Answer[]) => limitsOn({ answers, marks: [], clearances: [] }, TODAY);

/** By flag, and the place that was told: moves that it touches, and moves that it leaves as they are. */
const CHECKED: Record<string, { at?: SidedZone[]; touches: string; spares: string }> = {
	'head-injury': { touches: 'neck-side-down open-neck nape-knead', spares: 'forehead-out knuckle-knead' },
	'numb-today': { at: ['buccal:left'], touches: 'cheek-alternate-lift', spares: 'forehead-up apple-out' },
	'dizzy-lying': { touches: 'neck-side-pinch under-chin-press', spares: 'neck-side-down nape-knead' },
	cancer: { touches: 'knuckle-knead hook-lift', spares: 'light-stroke tap-forehead' },
	'nodes-removed': { at: ['sternocleidomastoid:left'], touches: 'open-neck neck-side-down', spares: 'forehead-up' },
	irradiated: {
		at: ['sternocleidomastoid:left'],
		touches: 'stone-neck-down neck-side-pinch',
		spares: 'neck-side-down'
	},
	'heart-disease': { touches: '', spares: 'neck-side-down knuckle-knead' },
	pacemaker: { at: ['decollete:left'], touches: 'chest-to-armpit chest-up', spares: 'neck-side-down' },
	'liver-failure': { touches: 'stone-cheekbone knuckle-knead', spares: 'light-stroke' },
	'face-neck-surgery': { at: ['chin:left'], touches: 'chin-outward hook-lift', spares: 'upper-lid-out' },
	fracture: { at: ['zygoma:left'], touches: 'cheekbone-out cheekbone-press', spares: 'chin-knead' },
	epilepsy: { touches: 'tap-eyes patter jaw-flick', spares: 'light-stroke nape-knead' },
	diabetes: { touches: 'globes-out knuckle-knead', spares: 'light-stroke spoon-lid' },
	'weak-immunity': { touches: 'thumb-inside stone-cheekbone', spares: 'masseter-circles' },
	'facial-palsy': { at: ['malar:left'], touches: 'knuckle-sweep', spares: 'forehead-up apple-out' },
	trigeminal: { at: ['malar:left'], touches: 'apple-out patter', spares: 'forehead-out' },
	shunt: { at: ['sternocleidomastoid:left'], touches: 'neck-side-down open-neck', spares: 'crossed-forehead' },
	implants: { at: ['chin:left'], touches: 'hook-lift stone-jaw-out', spares: 'chin-outward forehead-up' },
	carotid: {
		touches: 'neck-side-down throat-outward open-neck neck-up',
		spares: 'nape-knead open-collarbone apple-out'
	},
	stroke: { touches: 'neck-side-down stone-neck-down', spares: 'forehead-out' },
	'neck-fainting': { touches: 'neck-side-down neck-side-pinch jaw-forward', spares: 'open-collarbone' },
	'overactive-thyroid': { touches: 'throat-outward neck-up', spares: 'neck-side-down open-neck' },
	goitre: { touches: 'throat-outward neck-up', spares: 'neck-side-down' },
	'neck-spine': { touches: 'nape-up-down neck-side-pinch nape-knead', spares: 'nape-down neck-side-down' },
	migraine: { touches: '', spares: 'nape-knead light-stroke' },
	'low-blood-pressure': { touches: 'neck-side-down', spares: 'apple-out' },
	'head-pressure': { touches: 'neck-side-down', spares: 'apple-out' },
	pregnancy: { touches: 'point-gb21 pinned-circles', spares: 'point-li20 light-stroke' },
	'cold-hives': { touches: 'globes-hold globes-out', spares: 'cloth-warm spoon-lid' },
	'touch-hard': { at: ['ear:left'], touches: 'ear-pull ear-split', spares: 'apple-out' },
	claustrophobia: { touches: 'cover-eyes', spares: 'apple-out' },
	vaccinated: { touches: 'open-armpit chest-to-armpit', spares: 'open-collarbone' },
	'blood-thinner': {
		touches: 'stone-cheekbone brow-pinch pinned-circles pinch-glow',
		spares: 'light-stroke roller-jaw-out'
	},
	'bruises-easily': { touches: 'stone-cheekbone forehead-skin-lift', spares: 'stone-cheek-out light-stroke' },
	aspirin: { touches: 'jaw-pinch-roll', spares: 'knuckle-knead' },
	isotretinoin: { touches: 'roller-cheek-out tape-frown knuckle-sweep', spares: 'light-stroke' },
	retinoids: { touches: 'lay-tape stone-cheekbone jaw-pinch-roll', spares: 'roller-cheek-out knuckle-sweep' },
	steroids: { touches: 'tape-frown stone-smile-fold', spares: 'light-stroke' },
	'eye-drops': { touches: 'under-eye-out', spares: 'chin-knead' },
	'cold-sore': {
		at: ['upper-lip:left'],
		touches: 'upper-lip-out thumb-inside smile-fold-down',
		spares: 'forehead-out'
	},
	'open-skin': { at: ['chin:right'], touches: 'chin-outward', spares: 'apple-out' },
	'active-acne': { at: ['jawline:left'], touches: 'light-stroke hook-lift', spares: 'apple-out' },
	'skin-infection': { at: ['malar:left'], touches: 'apple-out nose-wing-down', spares: 'jaw-to-ear' },
	shingles: { at: ['forehead-lateral:left'], touches: 'forehead-out brow-lift', spares: 'chin-knead' },
	sunburn: { at: ['malar:left', 'malar:right'], touches: 'apple-out cloth-warm', spares: 'chin-knead' },
	'eczema-flare': { at: ['buccal:left'], touches: 'cheek-down tape-frown', spares: 'forehead-out' },
	'rosacea-flare': { at: ['malar:left'], touches: 'patter stone-cheekbone', spares: 'apple-out masseter-circles' },
	psoriasis: { at: ['hairline:left'], touches: 'scalp-shift stone-comb-hairline', spares: 'crossed-forehead' },
	warts: { at: ['chin:left'], touches: 'chin-knead', spares: 'apple-out' },
	'changing-mole': { at: ['temple:left'], touches: 'temple-circles forehead-out', spares: 'chin-knead' },
	'unknown-rash': { at: ['nose-wing:left'], touches: 'nose-side-circles apple-out', spares: 'jaw-to-ear' },
	bruise: { at: ['zygoma:left'], touches: 'cheekbone-out', spares: 'chin-knead' },
	keloid: { at: ['jawline:left'], touches: 'jaw-pinch-roll hook-lift', spares: 'light-stroke' },
	'broken-veins': { at: ['malar:left'], touches: 'stone-cheekbone', spares: 'apple-out knuckle-sweep' },
	relaxant: { at: ['glabella:left'], touches: 'frown-circles frown-out brow-pinch', spares: 'chin-knead' },
	filler: {
		at: ['upper-lip:left'],
		touches: 'upper-lip-out inside-smile-fold',
		spares: 'forehead-out open-collarbone'
	},
	threads: { at: ['zygoma:left'], touches: 'cheekbone-out apple-out', spares: 'chin-knead' },
	'fat-dissolving': { at: ['submental:left'], touches: 'under-chin-outward under-chin-press', spares: 'forehead-out' },
	peel: { at: ['forehead-medial:left'], touches: 'forehead-out tap-forehead', spares: 'chin-knead' },
	laser: { at: ['malar:left'], touches: 'apple-out', spares: 'chin-knead' },
	needling: { at: ['malar:left'], touches: 'patter', spares: 'chin-knead' },
	waxing: { at: ['upper-lip:left'], touches: 'upper-lip-out', spares: 'smile-fold-zigzag' },
	'permanent-makeup': { at: ['brow:left'], touches: 'brow-out brow-hold', spares: 'chin-knead' },
	piercing: { at: ['ear:left'], touches: 'ear-pull', spares: 'apple-out' },
	'ultrasound-lifting': { at: ['jawline:left'], touches: 'hook-lift', spares: 'light-stroke' },
	'lash-extensions': { touches: 'upper-lid-out', spares: 'chin-knead' },
	'eye-surgery': { at: ['upper-eyelid:right'], touches: 'upper-lid-out', spares: 'chin-knead brow-lift' },
	glaucoma: { touches: 'point-bl1 hold-eye-point under-eye-out', spares: 'brow-lift temple-circles' },
	retina: { touches: 'patter upper-lid-out', spares: 'chin-knead' },
	'eye-infection': { at: ['lower-eyelid:left'], touches: 'under-eye-out', spares: 'brow-lift' },
	'contact-lenses': { touches: 'under-eye-out', spares: 'chin-knead' },
	'dental-work': { at: ['masseter:left'], touches: 'thumb-inside knuckle-knead', spares: 'apple-out' },
	'mouth-sores': { touches: 'thumb-inside inside-smile-fold', spares: 'masseter-circles' },
	'jaw-locks': { touches: 'knuckle-knead masseter-resist chin-tuck', spares: 'masseter-circles nape-knead' },
	'jaw-injury': { touches: 'masseter-circles masseter-down', spares: 'crossed-forehead' },
	grinding: { touches: 'masseter-circles', spares: 'forehead-out' },
	dentures: { touches: 'inside-cheek-stretch', spares: 'lip-circles' },
	gag: { touches: 'thumb-inside', spares: 'masseter-circles' },
	'adhesive-allergy': { touches: 'lay-tape tape-fan-jaw', spares: 'stone-cheekbone' },
	'latex-allergy': { touches: 'thumb-inside tape-frown', spares: 'masseter-circles' },
	'metal-allergy': { touches: 'cool-spoons globes-out', spares: 'stone-cheekbone roller-cheek-out' },
	'no-inside-consent': { touches: 'inside-mouth-corner', spares: 'masseter-circles' },
	'tape-never-worn': { touches: 'tape-forehead', spares: 'forehead-out' },
	'stone-marks': { touches: 'stone-jaw-lift pinned-circles', spares: 'stone-jaw-out' },
	'cold-hurts': { touches: 'globes-hold', spares: 'cool-spoons' },
	'points-refused': { touches: 'point-li20', spares: 'nape-thumbs' }
};
/** What holds for the whole person, the medium or the minutes: no single move shows it. */
const OF_THE_WHOLE = ['refer', 'clearance', 'minutes', 'upright', 'media'];

test('more than sixty flags, each whole, in plain words, with its ground', () => {
	expect(FLAGS.length).toBeGreaterThanOrEqual(60);
	expect(new Set(FLAGS.map((f) => f.id)).size).toBe(FLAGS.length);
	for (const flag of FLAGS) {
		expect(flag.question, flag.id).toMatch(/\?$/);
		expect(flag.effects.length, flag.id).toBeGreaterThan(0);
		expect(flag.reason, flag.id).toMatch(/\.$/);
		expect(Object.keys(SURENESS)).toContain(flag.sure);
		expect(Object.keys(CHAPTERS)).toContain(flag.chapter);
		// What holds where it is told, or for some days, must be asked where and since when.
		const told = flag.effects.some((e) => 'where' in e && typeof e.where === 'object' && 'told' in e.where);
		if (told) expect(flag.wants ?? [], flag.id).toContain('place');
		if (flag.effects.some((e) => e.days !== undefined)) expect(flag.wants ?? [], flag.id).toContain('since');
		// What a doctor must decide says what to ask her doctor.
		if (flag.effects.some((e) => e.does === 'refer' || e.does === 'clearance'))
			expect(flag.ask, flag.id).toMatch(/\?$/);
	}
});

test('every flag that acts on single moves is in the table', () => {
	const acting = FLAGS.filter((f) => f.effects.some((e) => !OF_THE_WHOLE.includes(e.does))).map((f) => f.id);
	expect(acting.filter((id) => !(id in CHECKED))).toEqual([]);
	expect(Object.keys(CHECKED).filter((id) => !FLAGS.some((f) => f.id === id))).toEqual([]);
});

describe.each(Object.entries(CHECKED))('%s', (id, { at, touches, spares }) => {
	const limits = limitsOfAnswers(yes(id, at));
	const of = (words: string) => words.split(' ').filter(Boolean);
	const met = (technique: string) => techniqueToday(techniqueById(technique)!, limits).verdict !== 'fine';
	test('touches what it should', () => expect(of(touches).filter((t) => !met(t))).toEqual([]));
	test('and spares what it should', () => expect(of(spares).filter(met)).toEqual([]));
});

test('refer and clearance hold for everything; a no does nothing, not sure counts as yes', () => {
	expect(limitsOfAnswers(yes('fever')).map((l) => l.does)).toEqual(['refer']);
	expect(limitsOfAnswers({ ...yes('fever'), says: 'no' })).toEqual([]);
	expect(limitsOfAnswers({ ...yes('fever'), says: 'unsure' })).toMatchObject([
		{ does: 'refer', name: 'Fever, not sure' }
	]);
	expect(limitsOfAnswers(yes('of another version'))).toEqual([]);
});

test('a place that was not told holds in the whole area where it may be', () => {
	const met = (places: SidedZone[]) =>
		TECHNIQUES.filter((t) => techniqueToday(t, limitsOfAnswers(yes('filler', places))).verdict !== 'fine').length;
	expect(met([])).toBeGreaterThan(met(['upper-lip:left']));
});
