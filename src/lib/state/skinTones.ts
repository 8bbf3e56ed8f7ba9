import type { SkinTone } from '../core/client/skinTones';

/** Colours of the figure, and of what is drawn on it: strokes, routes, water. `sand` is the one of the style sheet. */
export interface SkinColours {
	readonly skin: string;
	readonly skinlo: string;
	readonly shade: string;
	readonly lid: string;
	readonly lips: string;
	readonly line: string;
	readonly brush: string;
	readonly route: string;
	/** Fluid over the skin. */
	readonly tint: string;
	readonly waterline: string;
}
type Skin = readonly [skin: string, skinlo: string, shade: string, lid: string, lips: string];

const on = (
	[skin, skinlo, shade, lid, lips]: Skin,
	marks: Pick<SkinColours, 'line' | 'brush' | 'route' | 'tint' | 'waterline'>
): SkinColours => ({
	skin,
	skinlo,
	shade,
	lid,
	lips,
	...marks
});
/** Dark strokes for light skin, light ones for dark skin: each pair is checked for its contrast by a test. */
const DARK = { line: '#152c41', brush: '#004459', route: '#152c41', tint: '#00717d', waterline: '#00616c' };
const DARKER = { line: '#0d1a28', brush: '#00242f', route: '#0d1a28', tint: '#003d47', waterline: '#002f37' };
const LIGHT = { line: '#160d09', brush: '#d9f8fa', route: '#fbf3e6', tint: '#7fd6dc', waterline: '#c9f2f4' };
const LAMP = { line: '#0d1220', brush: '#d9f8fa', route: '#fbf3e6', tint: '#5fb9c4', waterline: '#d6f3f4' };

export const SKIN_COLOURS: Record<SkinTone, Record<'day' | 'evening', SkinColours>> = {
	sand: {
		day: on(['#fbebdf', '#f1dfd1', '#ead7c5', '#efdcca', '#f3cec2'], { ...DARK, waterline: '#00717d' }),
		evening: on(['#997b64', '#4a332b', '#503a30', '#7b5f4d', '#926759'], {
			...LAMP,
			tint: '#004559',
			brush: '#cdf4f6',
			route: '#f7efe1'
		})
	},
	almond: {
		day: on(['#f3d9c0', '#e6c8ab', '#dab898', '#e3c3a5', '#dfa795'], DARK),
		evening: on(['#8a6a52', '#432d24', '#4a342a', '#6e5140', '#83574a'], LAMP)
	},
	honey: {
		day: on(['#dfb88f', '#cfa57b', '#c09468', '#cba078', '#c08673'], {
			...DARKER,
			tint: '#00525c',
			waterline: '#003a42'
		}),
		evening: on(['#7b5a43', '#3b271f', '#432e25', '#614636', '#744b40'], LAMP)
	},
	amber: {
		day: on(['#c29066', '#ae7d54', '#9e6d46', '#aa7850', '#a06350'], DARKER),
		evening: on(['#6b4b37', '#34221b', '#3b2820', '#543b2d', '#653f36'], LAMP)
	},
	chestnut: {
		day: on(['#8f6046', '#7b5039', '#6b442f', '#7a4f38', '#7c453b'], LIGHT),
		evening: on(['#583d2e', '#2c1d17', '#33231b', '#463026', '#55352e'], LAMP)
	},
	umber: {
		day: on(['#6b4736', '#583a2c', '#4b3024', '#583a2c', '#663a33'], LIGHT),
		evening: on(['#4a3327', '#251813', '#2b1d17', '#3a281f', '#482c27'], { ...LAMP, line: '#040302' })
	}
};

/** Puts the colours of a tone on the page; the tone of the style sheet takes them off. */
export function applySkin(root: HTMLElement, tone: SkinTone, theme: 'day' | 'evening'): void {
	for (const [name, colour] of Object.entries(SKIN_COLOURS[tone][theme]))
		if (tone === 'sand') root.style.removeProperty(`--${name}`);
		else root.style.setProperty(`--${name}`, colour);
}
