import { recallOutside, rememberOutside } from '../store/outside';

/** Widths of map, steps and inspector, percent. */
export type Columns = readonly [map: number, steps: number, inspector: number];
/** How the room of Compose is shared. */
interface Shares {
	readonly columns: Columns;
	/** The score's share of the height, percent; 0: it is folded to a strip. */
	readonly score: number;
}
export const PRESETS = {
	even: { label: 'Even', shares: { columns: [25, 47, 28], score: 46 } },
	face: { label: 'Face large', shares: { columns: [40, 35, 25], score: 34 } },
	steps: { label: 'Steps long', shares: { columns: [22, 51, 27], score: 0 } },
	score: { label: 'Score tall', shares: { columns: [25, 47, 28], score: 60 } }
} as const satisfies Record<string, { label: string; shares: Shares }>;
export type Preset = keyof typeof PRESETS;

/** While the text stands beside the steps it has a share of its own; the face keeps its room. */
const WITH_TEXT: Columns = [25, 37, 38];

/** What is kept of the room. */
interface Kept {
	readonly columns: Columns;
	readonly withText: Columns;
	readonly score: number;
	readonly unfolded: number;
}
const isPercent = (value: unknown): value is number => typeof value === 'number' && value >= 0 && value <= 100;
const areColumns = (value: unknown): boolean => Array.isArray(value) && value.length === 3 && value.every(isPercent);
/** Four numbers' worth of shape: a schema for them would come with every first look at the page. */
function isKept(value: unknown): value is Kept {
	const kept = value as Partial<Kept> | null;
	if (typeof kept !== 'object' || !kept) return false;
	return areColumns(kept.columns) && areColumns(kept.withText) && isPercent(kept.score) && isPercent(kept.unfolded);
}

function stored(): Kept | null {
	try {
		const kept: unknown = JSON.parse(recallOutside('room') ?? '');
		return isKept(kept) ? kept : null;
	} catch {
		// Nothing kept, or what is no JSON: the room is as at first.
		return null;
	}
}

/** The room of Compose as this browser keeps it. */
export class Room {
	columns = $state.raw<Columns>(PRESETS.even.shares.columns);
	withText = $state.raw<Columns>(WITH_TEXT);
	/** Percent of the height; 0 where the score is folded. */
	score = $state(PRESETS.even.shares.score as number);
	/** To what it unfolds. */
	#unfolded: number = PRESETS.even.shares.score;

	constructor() {
		const kept = stored();
		if (!kept) return;
		this.columns = kept.columns;
		this.withText = kept.withText;
		this.score = kept.score;
		this.#unfolded = kept.unfolded;
	}

	/** The preset that the room is like; empty where it is the user's own. */
	get preset(): Preset | '' {
		const like = (p: Preset) =>
			PRESETS[p].shares.score === this.score &&
			PRESETS[p].shares.columns.every((c, i) => Math.abs(c - this.columns[i]!) < 0.5);
		return (Object.keys(PRESETS) as Preset[]).find(like) ?? '';
	}

	take(preset: Preset): void {
		const { columns, score } = PRESETS[preset].shares;
		this.columns = columns;
		this.share(score);
	}
	/** The dividers were moved. */
	divide(columns: Columns, withText: boolean): void {
		if (withText) this.withText = columns;
		else this.columns = columns;
		this.#keep();
	}
	share(score: number): void {
		if (score > 0) this.#unfolded = score;
		this.score = score;
		this.#keep();
	}
	fold(): void {
		this.share(this.score > 0 ? 0 : this.#unfolded);
	}

	/** A browser that keeps nothing still shows it as it is. */
	#keep(): void {
		const { columns, withText, score } = this;
		rememberOutside('room', JSON.stringify({ columns, withText, score, unfolded: this.#unfolded }));
	}
}
