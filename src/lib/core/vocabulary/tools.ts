import type { Labelled } from './rows';

/** A tool, and all that is known of it. A new tool is a row here and a footprint. */
export interface ToolRow extends Labelled {
	/** Area that presses, cm² (working value); null where it takes that of the hand that holds it. */
	readonly areaCm2: number | null;
	/** It has edges to choose from, and is held at an angle. */
	readonly edged: boolean;
	/** Worn on the hand: the hand itself touches. */
	readonly worn: boolean;
	/** It needs no slip, or brings its own. */
	readonly slipless: boolean;
	/** Used again on the next person: cleaned before and after. */
	readonly reused: boolean;
	/** Cools the skin. */
	readonly cold: boolean;
	/** Laid on warm. */
	readonly warm: boolean;
	/** May be of metal: asked about with an allergy to nickel. */
	readonly metal: boolean;
	/** May hold latex, unless its package says otherwise. */
	readonly latex: boolean;
	/** It wants bare skin. */
	readonly wantsBareSkin: boolean;
	/** It stays on the skin: laid down, not picked up again. */
	readonly staysOn: boolean;
}

const row = (label: string, areaCm2: number | null, known: Partial<ToolRow> = {}): ToolRow => ({
	label,
	areaCm2,
	edged: false,
	worn: false,
	slipless: false,
	reused: false,
	cold: false,
	warm: false,
	metal: false,
	latex: false,
	wantsBareSkin: false,
	staysOn: false,
	...known
});

export const TOOL_ROWS = {
	'stone-plate': row('Stone plate', 6, { edged: true, reused: true }),
	spoon: row('Spoon', 3, { reused: true, metal: true }),
	roller: row('Roller', 4, { slipless: true, reused: true }),
	'cold-globes': row('Cold globes', 5, { reused: true, cold: true, metal: true }),
	cloth: row('Cloth', null, { slipless: true, warm: true }),
	tape: row('Tape', null, { slipless: true, staysOn: true, latex: true }),
	'soft-brush': row('Soft brush', null, { slipless: true, reused: true, wantsBareSkin: true }),
	gloves: row('Gloves', null, { worn: true, latex: true })
} as const satisfies Record<string, ToolRow>;
export type ToolId = keyof typeof TOOL_ROWS;

/** An edge of a stone plate. */
export interface EdgeRow extends Labelled {
	/** Area that presses, cm² (working value). */
	readonly areaCm2: number;
}
export const EDGE_ROWS = {
	'long-concave': { label: 'Long concave edge', areaCm2: 1.5 },
	'long-convex': { label: 'Long convex edge', areaCm2: 1.5 },
	notch: { label: 'Notch', areaCm2: 1 },
	comb: { label: 'Comb', areaCm2: 2 },
	corner: { label: 'Corner', areaCm2: 0.8 }
} as const satisfies Record<string, EdgeRow>;
export type StoneEdge = keyof typeof EDGE_ROWS;
