import { expect, test } from 'vitest';
import { lengthText, readLength } from './units';

test('lengths in both units; the record stays in mm', () => {
	expect(lengthText(104.5, 'mm')).toBe('104.5');
	expect(lengthText(101.6, 'inch')).toBe('4.00');
	expect(readLength('4', 'inch')).toEqual({ ok: true, mm: 101.6 });
	expect(readLength('104,5', 'mm')).toEqual({ ok: true, mm: 104.5 });
});

test('an implausible reading is refused with what was probably meant', () => {
	const slip = readLength('10.4', 'mm');
	expect(!slip.ok && slip.message).toMatch(/between 40.0 and 220.0 mm.*centimetres it would be 104.0/);
	expect(readLength('wide', 'mm').ok).toBe(false);
	expect(readLength('', 'mm').ok).toBe(false);
	expect(readLength('-5', 'mm').ok).toBe(false);
});
