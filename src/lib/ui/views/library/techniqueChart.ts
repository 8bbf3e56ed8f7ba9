import { scaleLog } from 'd3-scale';
import { LEVELS, type Level } from '$lib/core/step/levels';
import type { Technique } from '$lib/core/technique/technique.schema';

/** A move in the water: as deep as it presses, quick ones left, slow ones right. */
export interface ChartMark {
	readonly technique: Technique;
	/** px from the left and from the top, of its glyph. */
	readonly x: number;
	readonly y: number;
}
export interface Water {
	readonly level: Level;
	readonly y: number;
	readonly height: number;
}
export interface Field {
	readonly chartMarks: readonly ChartMark[];
	readonly waters: readonly Water[];
	readonly height: number;
	readonly ticks: readonly { readonly x: number; readonly label: string }[];
}

/** px: room of a mark with its name, of a row, of the legend at the left, of the surface and below the last row. */
const ROOM = 190;
const ROW = 36;
const LEFT = 108;
const TOP = 22;
const LEAST = 74;
/** How far, px, a move may lie left of its true pace where it is crowded. */
const SLACK = 300;
const PACES = [0.25, 0.5, 1, 2, 3, 10, 30] as const;
const PACE_LABELS = ['¼ s', '½ s', '1 s', '2 s', '3 s', '10 s', '30 s'];

const paceScale = (width: number) =>
	scaleLog()
		.domain([0.25, 30])
		.range([LEFT, Math.max(LEFT + 1, width - ROOM)])
		.clamp(true);

/** Lays the moves of one level in rows: each as near to its pace as there is room, a new row where there is none. */
function pack(
	techniques: readonly Technique[],
	x: (pace: number) => number,
	last: number
): { technique: Technique; x: number; row: number }[] {
	const ends: number[] = [];
	return [...techniques]
		.sort((a, b) => a.paceSeconds - b.paceSeconds || a.title.localeCompare(b.title))
		.map((technique) => {
			const wish = x(technique.paceSeconds);
			const spots = ends.map((end) => Math.max(wish - SLACK, end));
			const free = spots.map((at, row) => ({ at, row, off: Math.abs(at - wish) })).filter(({ at }) => at <= last);
			const best = free.sort((a, b) => a.off - b.off)[0];
			const fresh = Math.max(LEFT, Math.min(wish, last));
			// A row of its own is worth it where the next free place is farther off than the slack.
			const at =
				best && (best.off <= SLACK || ends.length > 40)
					? best
					: { at: ends.length ? Math.max(LEFT, wish - SLACK) : fresh, row: ends.length };
			ends[at.row] = at.at + ROOM;
			return { technique, x: at.at, row: at.row };
		});
}

/** Where every move lies in a field of this width, px. */
export function markField(techniques: readonly Technique[], width: number): Field {
	const x = paceScale(width);
	const last = Math.max(LEFT, width - ROOM);
	const chartMarks: ChartMark[] = [];
	const waters: Water[] = [];
	let y = TOP;
	for (const level of LEVELS) {
		const packed = pack(
			techniques.filter((t) => t.pressure.default === level),
			x,
			last
		);
		const rows = Math.max(1, ...packed.map((p) => p.row + 1));
		const height = Math.max(LEAST, rows * ROW + 26);
		for (const p of packed) chartMarks.push({ technique: p.technique, x: p.x, y: y + 24 + p.row * ROW });
		waters.push({ level, y, height });
		y += height;
	}
	return {
		chartMarks,
		waters,
		height: y + 24,
		ticks: PACES.map((pace, i) => ({ x: x(pace), label: PACE_LABELS[i]! }))
	};
}
