import type { Block, Phase, Sequence } from '$lib/core/sequence/sequence.schema';
import type { Step } from '$lib/core/step/step.schema';

/** Heights of the lines of the list, px. */
export const ROW_PX = { phase: 27, block: 17, step: 25, stepOnPhone: 46 } as const;

/** One line of the list: the head of a phase, the word on a block, or a step. */
export type Row =
	| { readonly kind: 'phase'; readonly key: string; readonly top: number; readonly phase: Phase }
	| { readonly kind: 'block'; readonly key: string; readonly top: number; readonly block: Block }
	| { readonly kind: 'step'; readonly key: string; readonly top: number; readonly step: Step; readonly block: Block };

/** All lines of a sequence from top to bottom, each with where it begins, px. Steps of a closed phase have none. */
export function rowsOf(
	sequence: Sequence,
	closed: ReadonlySet<string>,
	stepPx: number = ROW_PX.step
): { rows: Row[]; height: number } {
	const rows: Row[] = [];
	let top = 0;
	for (const phase of sequence.phases) {
		rows.push({ kind: 'phase', key: phase.id, top, phase });
		top += ROW_PX.phase;
		if (closed.has(phase.id)) continue;
		for (const block of phase.blocks) {
			if (block.sides !== 'asSteps') {
				rows.push({ kind: 'block', key: block.id, top, block });
				top += ROW_PX.block;
			}
			for (const step of block.steps) {
				rows.push({ kind: 'step', key: step.id, top, step, block });
				top += stepPx;
			}
		}
	}
	return { rows, height: top };
}

/** The lines that are in sight, with some beyond each edge, so that scrolling never shows an empty place. */
export function rowsInSight(rows: readonly Row[], scrollTop: number, height: number, beyond = 400): readonly Row[] {
	const first = rows.findIndex((r) => r.top >= scrollTop - beyond);
	const last = rows.findLastIndex((r) => r.top <= scrollTop + height + beyond);
	return first < 0 ? rows.slice(-1) : rows.slice(first, last + 1);
}
