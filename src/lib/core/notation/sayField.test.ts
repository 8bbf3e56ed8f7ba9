import { describe, expect, test } from 'vitest';
import { step } from '../testing';
import type { Step } from '../step/step.schema';
import { fieldForm, fieldText, readField } from './sayField';

const plain = step('a', ['brow', 'ear']);
const full: Step = {
	...plain,
	lanes: 2,
	parts: [
		{ motion: 'skin-stretch', seconds: 1 },
		{ motion: 'sweep', places: ['zygoma', 'preauricular'], pressure: 1, seconds: 2 }
	],
	laneWays: [['marionette', 'buccal', 'malar']],
	beside: ['postauricular', 'sternocleidomastoid'],
	besideWork: { contact: 'knuckles', motion: 'press-hold', pressure: 0 },
	spots: { named: ['inner-brow', 'ear-lobe'] },
	round: 'inwards',
	towards: 'away',
	returnSeconds: 0.5,
	swellsTo: 3,
	choice: { group: 'cheek', option: 'stone' },
	tape: {
		lengthMm: 60,
		widthMm: 20,
		wearHours: 3,
		leastHours: 2,
		pieces: 2,
		anchor: 'glabella',
		firstHours: 1.5,
		firstWear: true
	}
};
const FIELDS = [
	...([
		'parts',
		'laneWays',
		'beside',
		'choice',
		'tape',
		'spots',
		'round',
		'towards',
		'returnSeconds',
		'swellsTo'
	] as const)
];

describe('a field in its own words', () => {
	test.each(FIELDS)('%s: what is shown is read back the same, with its keyword or without', (field) => {
		const text = fieldText(full, field);
		expect(text).not.toBe('');
		expect(fieldText(plain, field)).toBe('');
		const read = readField(plain, field, text, 'either');
		expect(read).toMatchObject({ change: { [field]: full[field] } });
		expect(readField(plain, field, '', 'either')).toMatchObject({ change: { [field]: undefined } });
		expect('change' in readField(plain, field, fieldForm(field).example, 'either')).toBe(true);
	});
	test('what is no such field says what is expected, and changes nothing', () => {
		expect(readField(plain, 'parts', 'swoop malar for 2 s', 'either')).toEqual({
			trouble: expect.stringMatching(/“swoop” was not expected.*a motion/)
		});
		expect(readField(plain, 'tape', '60 by 20', 'either')).toMatchObject({ trouble: expect.any(String) });
	});
});
