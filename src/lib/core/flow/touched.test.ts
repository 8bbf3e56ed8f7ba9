import { expect, test } from 'vitest';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import type { Step } from '../step/step.schema';
import { planOfSequence } from './compile';
import { PairedRun } from './paired';
import { FLOW_PARAMETERS, FLOW_PARAMETER_NAMES } from './parameterTable';
import { gradesOfStart } from './starts';
import { touchedBy } from './touched';

const programmeOf = (steps: readonly Step[]) => planOfSequence(sequenceOf([...steps]), CONTEXT).programme;
const SEQUENCES: Readonly<Record<string, readonly Step[]>> = {
	'strokes of the face alone': [step('a', ['buccal', 'jawline'], { aim: 'drain', pressure: 1 })],
	'a medium stroke onto nodes': [step('a', ['buccal', 'jawline', 'n:submandibular'], { aim: 'drain', pressure: 2 })],
	'pumps, and a stroke against the drainage': [
		pump('o', 'terminus'),
		step('a', ['jawline', 'buccal', 'malar'], { aim: 'lift', pressure: 1 })
	],
	'cold, a touch and taps': [
		step('a', ['malar', 'zygoma'], { aim: 'cool', contact: 'tool', tool: { id: 'cold-globes' }, pressure: 0 }),
		step('b', ['malar'], { aim: 'stimulate', motion: 'tap', pressure: 1 })
	],
	rest: [step('a', [], { aim: 'settle', motion: 'none', contact: 'none', pressure: 0 })]
};

test.each(Object.entries(SEQUENCES))(
	'%s: what is said to bear on it changes something, what is not changes nothing',
	(_, steps) => {
		const programme = programmeOf(steps);
		const touched = touchedBy(programme);
		const fallWith = (fixed: object) => {
			const run = new PairedRun({
				programmes: [programme],
				grades: gradesOfStart('morning'),
				draws: 4,
				seed: 3,
				fixed
			});
			run.advance(4);
			return [...run.figures.fallMl.all[0]!, ...run.figures.fallMl.eyes[0]!];
		};
		for (const name of FLOW_PARAMETER_NAMES) {
			const { min, max } = FLOW_PARAMETERS[name];
			const same = JSON.stringify(fallWith({ [name]: min })) === JSON.stringify(fallWith({ [name]: max }));
			if (!touched.includes(name)) expect(same, name).toBe(true);
		}
		expect(touched).not.toContain('tauMin');
	}
);
test('each parameter that acts bears on one of them at least, but for looks', () => {
	const all = new Set(Object.values(SEQUENCES).flatMap((steps) => touchedBy(programmeOf(steps))));
	expect(FLOW_PARAMETER_NAMES.filter((name) => !all.has(name))).toEqual(['beta', 'aN', 'aW', 'aV', 'rho', 'tauMin']);
});
