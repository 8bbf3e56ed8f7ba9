import { describe, expect, test } from 'vitest';
import { judge } from '../rules/judge';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { planOfSequence } from './compile';
import { modelOnFinding, onlyTheModel } from './meetsRules';
import { gradesOfStart } from './starts';
import { tideOf, type TideMark } from './tide';

const mark = (kind: TideMark['kind'], stepId: string, ml: number): TideMark => ({
	kind,
	stepId,
	place: 0,
	ml,
	atSeconds: 1
});

describe('what the model says to a finding', () => {
	test('its amount and where, summed over the steps; what it found where it marks nothing; nothing to rules it does not know', () => {
		const leftOut = [{ stepId: 'z', reason: 'exercise' as const, places: [] }];
		const tide = { marks: [mark('stranded', 'a', 0.4), mark('stranded', 'b', 0.2), mark('dammed', 'c', 0.3)], leftOut };
		const say = (ruleId: string, ...stepIds: string[]) => modelOnFinding(tide, { ruleId, stepIds });
		expect(say('stranded', 'a')).toBe(
			'In the model 0.4 ml is set down in the left middle of the forehead and never carried on.'
		);
		expect(say('stranded', 'a', 'b')).toContain(', 0.6 ml in 2 places.');
		expect(say('receiver-closed', 'c')).toContain('0.3 ml would not go into');
		expect(say('receiver-closed', 'a')).toBe('In the model no place refused what was sent to it, by 0.05 ml or more.');
		expect(say('stranded', 'x')).toBe(
			'In the model no place on its way holds more at the end than before, by 0.05 ml or more.'
		);
		expect(say('opening-missing', 'x')).toMatch(/no place refused/);
		expect(say('opening-missing', 'z')).toMatch(/^Not in the model: the client’s own muscles work/);
		expect(say('deep-then-drain', 'x')).toBeNull();
		expect(say('uneven-sides', 'a')).toBeNull();
		expect(say('stranded')).toBeNull();
	});
	test('what only the model sees is told with the reason; what a rule says too is not told twice', () => {
		const tide = { marks: [mark('stranded', 'a', 0.4), mark('dammed', 'a', 0.3), mark('dammed', 'b', 0.2)] };
		const only = onlyTheModel(tide, [
			{ ruleId: 'stranded', stepIds: ['a'] },
			{ ruleId: 'outlet-closed', stepIds: ['b'] }
		]);
		expect(only.map((o) => [o.mark.kind, o.mark.stepId])).toEqual([['dammed', 'a']]);
		expect(only[0]!.why).toMatch(/how much room is left/);
	});
	test('on a real sequence rule and model speak of the same step', () => {
		const sequence = sequenceOf([
			pump('o', 'terminus'),
			step('a', ['buccal', 'jawline'], { dose: { kind: 'reps', min: 9, target: 9, max: 9 } })
		]);
		const found = judge(sequence, CONTEXT).findings.filter((f) => f.ruleId === 'stranded');
		const tide = tideOf(planOfSequence(sequence, CONTEXT), gradesOfStart('morning'));
		expect(found.length).toBeGreaterThan(0);
		expect(modelOnFinding(tide, found[0]!)).toMatch(
			/In the model 0\.\d ml a side is set down in the jawline on both sides/
		);
	});
});
