import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { SKIN_TONES } from '../core/client/skinTones';
import { SKIN_COLOURS } from './skinTones';

const channel = (hex: string, i: number) => parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
const linear = (c: number) => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
const luminance = (rgb: readonly number[]) =>
	0.2126 * linear(rgb[0]!) + 0.7152 * linear(rgb[1]!) + 0.0722 * linear(rgb[2]!);
const rgbOf = (hex: string) => [0, 1, 2].map((i) => channel(hex, i));
/** Contrast of two colours by the formula of WCAG 2. */
const contrast = (a: readonly number[], b: readonly number[]) => {
	const [hi, lo] = [luminance(a), luminance(b)].sort((x, y) => y - x);
	return (hi! + 0.05) / (lo! + 0.05);
};
const over = (top: string, ground: string, share: number) =>
	rgbOf(ground).map((g, i) => g * (1 - share) + rgbOf(top)[i]! * share);
/** Opacity of the tint at grade 4, as the map draws it. */
const GRADE_4 = 0.27;

describe.each(SKIN_TONES.flatMap((tone) => (['day', 'evening'] as const).map((theme) => ({ tone, theme }))))(
	'$tone by $theme',
	({ tone, theme }) => {
		const c = SKIN_COLOURS[tone][theme];
		test.each(['brush', 'route', 'waterline'] as const)('a %s is seen on the lit skin', (mark) => {
			expect(contrast(rgbOf(c[mark]), rgbOf(c.skin))).toBeGreaterThanOrEqual(3);
		});
		test('so are strokes on the most swollen zone, and the tint itself', () => {
			const swollen = over(c.tint, c.skin, GRADE_4);
			expect(contrast(rgbOf(c.brush), swollen)).toBeGreaterThanOrEqual(3);
			expect(contrast(swollen, rgbOf(c.skin))).toBeGreaterThanOrEqual(1.2);
		});
		test('the drawing of the face shows', () => {
			expect(contrast(rgbOf(c.line), rgbOf(c.skin))).toBeGreaterThanOrEqual(1.7);
		});
	}
);

test('the tone of the style sheet is the one of the table', () => {
	const css = readFileSync(new URL('../../app.css', import.meta.url), 'utf8');
	for (const theme of ['day', 'evening'] as const)
		for (const [name, hex] of Object.entries(SKIN_COLOURS.sand[theme])) expect(css).toContain(`--${name}: ${hex};`);
});
