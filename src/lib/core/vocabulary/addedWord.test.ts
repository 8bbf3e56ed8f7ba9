import { expect, test, vi } from 'vitest';
import { z } from 'zod';
import { capAt } from '../pressure/caps';
import { schoolById } from '../school/schools';
import { judge } from '../rules/judge';
import { readStepLine, writeStep } from '../notation/stepLine';
import { bareStep } from '../notation/defaults';
import { planOfSequence } from '../flow/compile';
import { fieldsFor } from '../step/stepFields';
import { StepSchema } from '../step/step.schema';
import { CONTEXT, sequenceOf, step } from '../testing';
import type { Aim, Motion } from './vocabulary';

/** An aim and a motion that nobody has thought of yet: a row each, and the core knows them. */
vi.mock('./aims', async (original) => {
	const { AIM_ROWS } = await original<typeof import('./aims')>();
	const smooth = { ...AIM_ROWS.drain, label: 'Smooth', cap: 'muscle', movesFluid: false, asks: ['end', 'support'] };
	return { AIM_ROWS: { ...AIM_ROWS, smooth } };
});
vi.mock('./motions', async (original) => {
	const { MOTION_ROWS } = await original<typeof import('./motions')>();
	const sway = { ...MOTION_ROWS.wiggle, label: 'Sway', bothHands: true };
	return { MOTION_ROWS: { ...MOTION_ROWS, sway } };
});
const SMOOTH = 'smooth' as Aim;
const SWAY = 'sway' as Motion;
const smoothed = StepSchema.parse({ ...bareStep(SMOOTH, ['malar', 'zygoma']), id: 'a', side: 'both' });
const swayed = step('b', ['masseter'], { aim: SMOOTH, motion: SWAY, pressure: 2 });

test('is read and written in the notation, and stands in the schema', () => {
	for (const s of [smoothed, swayed]) {
		const [line] = writeStep(s);
		expect(line).toMatch(/^smooth /);
		const { id: _id, ...rest } = s;
		expect(readStepLine(line!, { cheekRoute: 'either', inBlock: false })).toMatchObject({ ...rest, dose: s.dose });
	}
	expect(JSON.stringify(z.toJSONSchema(StepSchema, { io: 'input' }))).toContain('"smooth"');
});

test('falls under the caps, the rules and the fields that its row says', () => {
	expect(capAt(swayed, 'masseter', schoolById('outlet-first'))?.reason).toBe('muscle');
	expect(fieldsFor(smoothed).shown).toContain('support');
	const found = judge(sequenceOf([smoothed, swayed]), CONTEXT).findings.map((f) => [f.ruleId, ...f.stepIds]);
	// It stays where it is and takes both hands of one side, and so cannot be done on both sides at once.
	expect(found).toContainEqual(['two-hands', 'b']);
});

test('is timed and compiled for the flow model as its row says, and left out nowhere', () => {
	const { programme } = planOfSequence(sequenceOf([swayed]), CONTEXT);
	expect(JSON.stringify(programme)).toContain('rub');
});
