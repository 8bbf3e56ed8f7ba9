import type { Aim } from '$lib/core/vocabulary/vocabulary';

/** One stroke of a glyph on a 16 × 16 ground; width 1.4 unless said, filled where said. */
export interface Mark {
	readonly d: string;
	readonly width?: number;
	readonly fill?: boolean;
}
const dot = (cx: number, cy: number, r: number): Mark => ({
	d: `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
	fill: true
});
const line = (d: string, width?: number): Mark => (width ? { d, width } : { d });

/** The glyphs of all thirteen aims, drawn once for every size. */
export const AIM_GLYPHS: Record<Aim, readonly Mark[]> = {
	// The gates of a lock that stand open, and what passes.
	open: [line('M1.4 2.8H5.2L10 5.8M1.4 13.2H5.2L10 10.2', 1.6), dot(4.4, 8, 1.2), dot(9, 8, 1.2), dot(13.6, 8, 1.2)],
	drain: [
		line('M1.4 5.4C3.6 3 5.6 3 7.8 5.4S12 7.8 14.4 5.2'),
		line('M1.4 10.8C3.6 8.4 5.6 8.4 7.8 10.8C9.4 12.5 11.4 12.6 13.8 11M10.9 9.6L14.2 10.7L12.4 13.7')
	],
	lift: [line('M2 13.6C6.2 12.6 8.6 9.4 9 3.4M6.4 5.6L9.1 2.8L11.6 5.8'), line('M7.4 13.8C10.6 13 12.8 10.8 13.6 7.8')],
	release: [
		line(
			'M1.4 13A3.3 3.3 0 0 1 8 13A3.3 3.3 0 0 1 14.6 13M4.7 9.4A3.3 3.3 0 0 1 11.3 9.4M1.4 6.2A3.3 3.3 0 0 1 8 6.2A3.3 3.3 0 0 1 14.6 6.2'
		)
	],
	point: [dot(8, 9.6, 1.5), line('M8 1.8V6'), line('M4.3 7.4A4.4 4.4 0 1 0 11.7 7.4')],
	stimulate: [
		dot(3, 11.8, 1.15),
		dot(6.2, 7.6, 1.15),
		dot(8.6, 12, 1.15),
		dot(10.4, 5, 1.15),
		dot(13, 9.6, 1.15),
		dot(5.2, 3.4, 1.15)
	],
	settle: [line('M1.6 10.4C3.6 10.4 4 5.6 6.6 5.6S9.4 10.4 11.2 10.4S13.6 8.6 14.4 8')],
	prepare: [line('M8 2.2C10.4 5.6 12 7.6 12 9.8A4 4 0 0 1 4 9.8C4 7.6 5.6 5.6 8 2.2Z')],
	exercise: [
		line('M2 11.4C3.6 5.4 12.4 5.4 14 11.4'),
		line('M1 8.6L2 11.6L5 10.8M15 8.6L14 11.6L11 10.8'),
		dot(8, 12.4, 1.1)
	],
	fix: [line('M2.6 9.4L9.4 2.6L13.4 6.6L6.6 13.4Z'), line('M5.4 6.6L9.4 10.6M7.6 4.4L11.6 8.4')],
	cool: [
		line('M8 1.8V14.2M2.6 4.9L13.4 11.1M13.4 4.9L2.6 11.1'),
		line('M6.4 3.2L8 4.8L9.6 3.2M6.4 12.8L8 11.2L9.6 12.8', 1.1)
	],
	cleanse: [line('M1.8 4.2C5 2 8.2 6 14.2 3.6V11.4C8.2 13.8 5 9.8 1.8 12Z'), line('M5 6.4C7 5.8 9 7.6 11.4 7', 1.1)],
	close: [line('M1.6 12.8H14.4M3.4 12.8C3.4 7.6 5.4 4.6 8 4.6S12.6 7.6 12.6 12.8M8 4.8V12.6')]
};

/** Colour family of each aim; texture and glyph tell apart what shares one. */
export type Tone = 'open' | 'drain' | 'lift' | 'release' | 'point' | 'stim' | 'rest';
export const AIM_TONE: Record<Aim, Tone> = {
	open: 'open',
	drain: 'drain',
	lift: 'lift',
	release: 'release',
	point: 'point',
	stimulate: 'stim',
	exercise: 'release',
	cool: 'stim',
	settle: 'rest',
	prepare: 'rest',
	fix: 'rest',
	cleanse: 'rest',
	close: 'rest'
};
