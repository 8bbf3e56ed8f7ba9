import { expect, test } from 'vitest';
import { pump, sequenceOf, step } from '../testing';
import { applyEdit } from './applyEdit';
import { onOtherLid, shiftPressure, stepsLike, worksOneLid } from './likeness';
import { stepsOf } from './walk';

const SEQUENCE = sequenceOf([
	pump('o', 'terminus'),
	step('a', ['malar', 'zygoma']),
	step('b', ['lower-eyelid', 'zygoma', 'preauricular'], { side: { each: true, first: 'left' } }),
	step('c', ['chin', 'jawline'], { aim: 'lift', pressure: 2 }),
	step('d', ['chin', 'jawline', 'masseter'], { aim: 'lift', pressure: undefined, levels: [0, 2, 4] })
]);
let n = 0;
const newId = () => `n${n++}`;
const after = (edit: ReturnType<typeof shiftPressure>) => stepsOf(applyEdit(SEQUENCE, edit)).map((s) => s.step);

test('steps are alike by aim, phase, pressure and side', () => {
	expect(stepsLike(SEQUENCE, 'a', 'aim')).toEqual(['a', 'b']);
	expect(stepsLike(SEQUENCE, 'c', 'aim')).toEqual(['c', 'd']);
	expect(stepsLike(SEQUENCE, 'a', 'phase')).toEqual(['o', 'a', 'b', 'c', 'd']);
	expect(stepsLike(SEQUENCE, 'd', 'pressure')).toEqual(['d']);
	expect(stepsLike(SEQUENCE, 'b', 'side')).toEqual(['b']);
	expect(stepsLike(SEQUENCE, 'gone', 'aim')).toEqual([]);
});
test('one lighter and one firmer, place by place, and never beyond the scale', () => {
	const all = new Set(['a', 'c', 'd']);
	expect(after(shiftPressure(SEQUENCE, all, 1)).map((s) => s.levels ?? s.pressure)).toEqual([1, 2, 1, 3, [1, 3, 4]]);
	expect(after(shiftPressure(SEQUENCE, all, -1)).map((s) => s.levels ?? s.pressure)).toEqual([1, 0, 1, 1, [0, 1, 3]]);
});
test('the same on the other lid leads from there to the same end; a step on no lid has none', () => {
	const edit = onOtherLid(SEQUENCE, new Set(['a', 'b']), newId);
	const made = after(edit)[3]!;
	expect([made.places[0], made.places.at(-1)]).toEqual(['upper-eyelid', 'preauricular']);
	expect(made).toMatchObject({ side: { each: true, first: 'left' }, pressure: 1 });
	expect(edit.label).toBe('The same on the upper eyelid');
	expect(() => onOtherLid(SEQUENCE, new Set(['c']), newId)).toThrow(/None of these works one eyelid/);
	expect(worksOneLid(step('e', ['upper-eyelid', 'lower-eyelid']))).toBe(false);
});
