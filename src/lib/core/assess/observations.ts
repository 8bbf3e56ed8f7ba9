import { make, type Observation } from './observation';

/** A plausible distance on a face, mm (working values): outside it the entry is refused with the likely slip named. */
const FACE_MM = [40, 220] as const;
/** A plausible neck, mm (working values). */
const NECK_MM = [220, 600] as const;
const MILD = ['none', 'slight', 'clear', 'marked', 'strong'] as const;

/**
 * All that can be recorded of a face, a row each. Boards, Progress, sentences, CSV, goals, the demo and
 * docs/observations.md read them: to add an observation is to add a row.
 * Distances: Smith et al., Otolaryngol Head Neck Surg 2015;152:284.
 */
export const OBSERVATIONS = {
	puffiness: make.grade('Puffiness', ['none', 'slight', 'visible', 'marked', 'tight, shiny'], '', {
		headline: true,
		picture: 'water'
	}),
	tension: make.grade('Tension', ['none', 'slight', 'clear', 'marked', 'hard'], 'the tension of'),
	tenderness: make.grade('Tenderness', ['none', 'slight', 'clear', 'marked', 'hardly bearable'], 'the tenderness of'),
	redness: make.grade('Redness', MILD, 'the redness of'),
	dryness: make.grade('Dryness', MILD, 'the dryness of'),
	bruise: make.grade('Bruise', ['none', 'fading', 'clear', 'dark', 'swollen'], 'the bruise of'),
	'tragus-mouth-corner': make.length('Tragus to mouth corner', ...FACE_MM),
	'jaw-angle-nose-wing': make.length('Jaw angle to nose wing', ...FACE_MM),
	'jaw-angle-outer-canthus': make.length('Jaw angle to outer eye corner', ...FACE_MM),
	'tragus-chin': make.length('Tragus to chin point', ...FACE_MM, { more: true }),
	'jaw-angle-inner-canthus': make.length('Jaw angle to inner eye corner', ...FACE_MM, { more: true }),
	'chin-inner-canthus': make.length('Chin point to inner eye corner', ...FACE_MM, { more: true }),
	'jaw-angle-chin': make.length('Jaw angle to chin point', ...FACE_MM, { more: true }),
	composite: make.length('Sum of the three', 3 * FACE_MM[0], 3 * FACE_MM[1], {
		error: 'compositeErrorMm',
		sumOf: ['tragus-mouth-corner', 'jaw-angle-nose-wing', 'jaw-angle-outer-canthus'],
		said: 'side',
		headline: true
	}),
	'composite-seven': make.length('Sum of all seven', 7 * FACE_MM[0], 7 * FACE_MM[1], {
		error: 'compositeErrorMm',
		sumOf: [
			'tragus-chin',
			'tragus-mouth-corner',
			'jaw-angle-nose-wing',
			'jaw-angle-inner-canthus',
			'jaw-angle-outer-canthus',
			'chin-inner-canthus',
			'jaw-angle-chin'
		],
		said: 'side, all seven distances,',
		more: true
	}),
	'neck-upper': make.length('Neck, upper', ...NECK_MM, {
		sides: false,
		error: 'circumferenceErrorMm',
		said: 'the upper neck'
	}),
	'neck-middle': make.length('Neck, middle', ...NECK_MM, {
		sides: false,
		error: 'circumferenceErrorMm',
		said: 'the middle of the neck',
		more: true
	}),
	'neck-lower': make.length('Neck, lower', ...NECK_MM, {
		sides: false,
		error: 'circumferenceErrorMm',
		said: 'the lower neck'
	}),
	sleep: make.choice('Sleep', { 'under-5': 'under 5 h', '5-to-7': '5 to 7', 'over-7': 'over 7' }),
	salt: make.choice('Salt', { little: 'little', usual: 'usual', much: 'much' }),
	also: make.choice(
		'Also',
		{ alcohol: 'alcohol', crying: 'crying', screens: 'screens', allergy: 'allergy', flight: 'flight' },
		true
	)
} as const satisfies Record<string, Observation>;
