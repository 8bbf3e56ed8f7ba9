import { describe, expect, test } from 'vitest';
import { applyEdit } from '$lib/core/sequence/applyEdit';
import { stepsOf } from '$lib/core/sequence/walk';
import { sequenceOf, step } from '$lib/core/testing';
import { CONTACTS, MOTIONS, TOOLS, AIMS } from '$lib/core/vocabulary/vocabulary';
import { AIM_GLYPHS, AIM_TONE } from '../../../parts/glyphs/aimGlyphs';
import { CONTACT_PRINTS, TOOL_PRINTS } from '../../../parts/glyphs/footprints';
import { HAND_OPTIONS, LEVEL_OPTIONS, MOTION_OPTIONS } from '../../../parts/steps/options';
import { choiceOf, sideOf, sideOptions, type SideChoice } from '../../../parts/steps/sideOptions';
import { withTarget } from '$lib/core/step/dose';
import { setContact, setLevel, setTarget } from './stepEdits';

const sequence = sequenceOf([step('a', ['chin', 'jawline'], { levels: [1, 2] })]);
const the = (s: typeof sequence) => stepsOf(s)[0]!.step;

describe('edits of a row', () => {
	test('one level replaces a level for each place', () => {
		expect(the(applyEdit(sequence, setLevel(sequence, the(sequence), 3)))).toMatchObject({ pressure: 3 });
		expect(the(applyEdit(sequence, setLevel(sequence, the(sequence), 3))).levels).toBeUndefined();
	});
	test('a target widens its range where it leaves it, and is never below one', () => {
		const dose = { kind: 'reps' as const, min: 3, target: 5, max: 8 };
		expect(withTarget(dose, 12)).toEqual({ kind: 'reps', min: 3, target: 12, max: 12 });
		expect(withTarget(dose, 2)).toEqual({ kind: 'reps', min: 2, target: 2, max: 8 });
		expect(withTarget(dose, -4).target).toBe(1);
		expect(withTarget(dose, 4.6).target).toBe(5);
		expect(withTarget({ ...dose, kind: 'seconds' }, 12.34).target).toBe(12.3);
		expect(the(applyEdit(sequence, setTarget(sequence, the(sequence), 6))).dose.target).toBe(6);
	});
	test('hand and tool exclude each other; inside the cheek comes with gloves', () => {
		const tool = applyEdit(sequence, setContact(sequence, the(sequence), 'tool', 'roller'));
		expect(the(tool)).toMatchObject({ contact: 'tool', tool: { id: 'roller' } });
		const stone = applyEdit(sequence, setContact(sequence, the(sequence), 'tool'));
		expect(the(stone).tool).toEqual({ id: 'stone-plate', edge: 'long-convex', tiltDegrees: 15 });
		const hand = applyEdit(tool, setContact(tool, the(tool), 'thumbs'));
		expect(the(hand).tool).toBeUndefined();
		expect(the(applyEdit(sequence, setContact(sequence, the(sequence), 'thumb-inside'))).tool).toEqual({
			id: 'gloves'
		});
	});
});

describe('sides', () => {
	test('every choice goes there and back', () => {
		for (const { value } of sideOptions(['chin'])) expect(choiceOf(sideOf(value))).toBe(value);
		expect(choiceOf(undefined)).toBe('both');
	});
	test('the midline is offered only on places that reach it', () => {
		const offers = (places: Parameters<typeof sideOptions>[0]) => sideOptions(places).map((o): SideChoice => o.value);
		expect(offers(['chin', 'submental'])).toContain('midline');
		expect(offers(['chin', 'jawline'])).not.toContain('midline');
		expect(offers(['n:terminus'])).not.toContain('midline');
	});
});

describe('what is drawn once', () => {
	test('every aim has its glyph and tone', () => {
		expect(Object.keys(AIM_GLYPHS).sort()).toEqual(Object.keys(AIMS).sort());
		expect(Object.keys(AIM_TONE).sort()).toEqual(Object.keys(AIMS).sort());
		const drawn = Object.values(AIM_GLYPHS).map((marks) => marks.map((m) => m.d).join());
		expect(new Set(drawn).size).toBe(13);
	});
	test('every contact and tool has its footprint, no two alike', () => {
		expect(Object.keys(CONTACT_PRINTS).sort()).toEqual(Object.keys(CONTACTS).sort());
		expect(Object.keys(TOOL_PRINTS).sort()).toEqual(Object.keys(TOOLS).sort());
		const prints = Object.values(CONTACT_PRINTS).map((p) => p.map((x) => x.d + x.on).join());
		expect(new Set(prints).size).toBe(prints.length);
		for (const print of [...Object.values(CONTACT_PRINTS), ...Object.values(TOOL_PRINTS)].flat())
			expect(print.d).not.toMatch(/NaN|undefined/);
	});
	test('menus offer the whole vocabulary, tools by their own menu', () => {
		expect(MOTION_OPTIONS).toHaveLength(Object.keys(MOTIONS).length);
		expect(HAND_OPTIONS.map((o) => o.value)).not.toContain('tool');
		expect(LEVEL_OPTIONS.map((o) => o.label)).toEqual(['0 touch', '1 light', '2 medium', '3 firm', '4 deep']);
	});
});
