import type { Contact, ToolId } from '$lib/core/vocabulary/vocabulary';

/** A footprint: the mark that a hand or tool leaves on the skin, seen from above, 20 × 14. `on` touches. */
export interface Print {
	readonly d: string;
	readonly on: boolean;
}

const n = (x: number) => Math.round(x * 100) / 100;
const ellipse = (cx: number, cy: number, rx: number, ry: number, on = true): Print => ({
	d: `M${n(cx - rx)} ${cy}a${rx} ${ry} 0 1 0 ${n(2 * rx)} 0a${rx} ${ry} 0 1 0 ${n(-2 * rx)} 0Z`,
	on
});
const bar = (x: number, y: number, w: number, h: number, r: number, on = true): Print => ({
	d: `M${n(x + r)} ${y}h${n(w - 2 * r)}a${r} ${r} 0 0 1 ${r} ${r}v${n(h - 2 * r)}a${r} ${r} 0 0 1 ${-r} ${r}h${n(2 * r - w)}a${r} ${r} 0 0 1 ${-r} ${-r}v${n(2 * r - h)}a${r} ${r} 0 0 1 ${r} ${-r}Z`,
	on
});
const shape = (d: string, on = true): Print => ({ d, on });

const TIPS = [
	[3.6, 7.2, 1.5, 2.4],
	[7.6, 5.4, 1.6, 2.8],
	[11.8, 5.2, 1.6, 2.9],
	[15.8, 6.6, 1.5, 2.6]
] as const;
const pads = (...touching: number[]) => TIPS.map((t, i) => ellipse(t[0], t[1], t[2], t[3], touching.includes(i)));
const FINGER_Y = [3, 1.2, 1, 2.4];
const fingers = (...touching: number[]) =>
	FINGER_Y.map((y, i) => bar(2.4 + 4.1 * i, y, 2.6, 9.6, 1.3, touching.includes(i)));
const PALM = shape('M2.4 9.4H17.2C17.6 11.8 16 13.4 13.6 13.4H6C3.6 13.4 2.2 11.8 2.4 9.4Z');
const thumb = (x: number, lean: number) =>
	shape(
		`M${x} 11.6C${x - 2.6} 11.4 ${x - 2.8} 8 ${x - 1.8 + lean} 5C${x - 0.8 + lean} 2 ${x + 1.8 + lean} 2.2 ${x + 2.2 + lean} 5C${x + 2.6} 8.2 ${x + 2.4} 11.6 ${x} 11.6Z`
	);

export const CONTACT_PRINTS: Record<Contact, readonly Print[]> = {
	'pads-2': pads(1, 2),
	'pads-3': pads(1, 2, 3),
	'pads-4': pads(0, 1, 2, 3),
	'ring-finger': pads(2),
	'flat-2': fingers(1, 2),
	'flat-3': fingers(1, 2, 3),
	'flat-hand': [...FINGER_Y.map((y, i) => bar(2.4 + 4.1 * i, y, 2.6, 6, 1.3)), PALM],
	'crossed-hands': [
		shape('M1.6 4.4L12 10.8C14 12 15.6 9.4 13.8 8.2L3.6 1.8C1.6.8 0 3.4 1.6 4.4Z'),
		shape('M18.4 4.4L8 10.8C6 12 4.4 9.4 6.2 8.2L16.4 1.8C18.4.8 20 3.4 18.4 4.4Z', false)
	],
	'index-hook': [
		shape('M3 5.4C3 3.6 4.4 2.8 6.4 2.8H14.6C17 2.8 17 6.2 14.6 6.2H7.4C6.4 6.2 6.4 7.6 5.2 7.6C3.8 7.6 3 6.8 3 5.4Z'),
		ellipse(11, 10.6, 4, 1.9)
	],
	thumb: [thumb(10, 0)],
	thumbs: [thumb(6, 0.8), thumb(14, -0.8)],
	heel: [...FINGER_Y.map((y, i) => bar(2.4 + 4.1 * i, y, 2.6, 5, 1.3, false)), PALM],
	'back-of-fingers': FINGER_Y.map((y, i) => bar(2.4 + 4.1 * i, y + 1, 2.6, 9, 0.6)),
	knuckles: [2.2, 6.2, 10.2, 14.2].map((x, i) => bar(x, [6.2, 5, 5, 6.4][i]!, 3.2, 4, 1.1)),
	fist: [bar(2.6, 4, 14.8, 7.6, 3.4), bar(4.6, 1.6, 8, 1.6, 0.8, false)],
	'v-fingers': [
		shape('M9 12.4L4.6 2.8C4 1.4 6.2.6 6.8 2L10 9L13.2 2C13.8.6 16 1.4 15.4 2.8L11 12.4C10.6 13.4 9.4 13.4 9 12.4Z')
	],
	'split-ear': [
		bar(4, 1.4, 2.6, 11.2, 1.3),
		bar(13.4, 1.4, 2.6, 11.2, 1.3),
		shape('M8.6 10C7.4 6 8.6 3.4 10.4 3.4S13 6.6 10.6 8.4C10.2 10.4 9.2 11 8.6 10Z', false)
	],
	'split-jaw': [bar(3, 2.2, 13, 2.6, 1.3), bar(3, 9.4, 13, 2.6, 1.3), shape('M1.6 7C6 8 13 8 18.4 6.2', false)],
	'split-collarbone': [
		bar(4, 1.6, 12, 2.6, 1.3),
		bar(4, 9.8, 12, 2.6, 1.3),
		shape('M1.4 7.8C6 5.4 13 6.4 18.6 7.8', false)
	],
	pinch: [ellipse(6, 7, 2, 3.4), ellipse(14, 7, 2, 3.4), shape('M9 11C9.4 7 10.6 7 11 11', false)],
	'thumb-inside': [thumb(7, 0.4), shape('M11.4 1.6C14 4 14 10 11.4 12.4', false), ellipse(16, 7, 1.5, 3.2)],
	tool: [bar(3, 5, 14, 4, 2)],
	none: [shape('M4 7H16', false)]
};

/** Tools draw their own mark in place of the hand's. */
export const TOOL_PRINTS: Record<ToolId, readonly Print[]> = {
	'stone-plate': [bar(1.6, 8.6, 16.8, 2.6, 1.3), shape('M3 8C6 3 14 3 17 8', false)],
	spoon: [ellipse(6, 7, 3.8, 4.6), shape('M9.8 7H18', false)],
	roller: [bar(4.6, 2, 3.4, 10, 1.7), bar(12, 2, 3.4, 10, 1.7)],
	'cold-globes': [ellipse(6, 7, 4, 4), ellipse(15, 7, 4, 4)],
	cloth: [shape('M2.4 3C6 1.4 8 5 17.6 2.6V11C9 13 6 9.6 2.4 11.2Z')],
	tape: [bar(2, 5, 16, 4, 1), shape('M6 5V9M14 5V9', false)],
	'soft-brush': [shape('M3 12C2.6 6 5 2.4 10 2.4S17.4 6 17 12C15 10.6 13 13 10 12S5 13 3 12Z')],
	gloves: [thumb(10, 0)]
};
