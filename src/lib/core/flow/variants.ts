import { withUpkeep } from '../links/drainPolicy';
import type { School } from '../school/school.schema';
import { applyEdit, makeEdit } from '../sequence/edits';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import type { Level } from '../step/levels';
import { movesFluid } from '../step/levelsOf';
import type { Working } from '../working/working.schema';

/** Other orders, pressures and ways of one sequence, to set against it. */
export const VARIANTS = {
	'reverse-order': 'Steps in reverse order',
	'opening-last': 'Openings at the end',
	'no-openings': 'Without openings',
	'no-links': 'Without drain links',
	'against-drainage': 'Drain strokes the other way',
	deeper: 'One level deeper',
	lighter: 'One level lighter'
} as const;
export type VariantId = keyof typeof VARIANTS;
export const VARIANT_IDS = Object.keys(VARIANTS) as VariantId[];

const shifted = (level: Level | undefined, by: number): Level | undefined =>
	level === undefined ? undefined : (Math.min(4, Math.max(0, level + by)) as Level);
const atLevel =
	(by: number) =>
	(step: Step): Step => ({
		...step,
		pressure: shifted(step.pressure, by),
		...(step.levels ? { levels: step.levels.map((l) => shifted(l, by)!) } : {})
	});
const isOpening = (step: Step): boolean => step.aim === 'open';

const STEP_CHANGES: Partial<Record<VariantId, (step: Step) => Step | null>> = {
	'no-openings': (step) => (isOpening(step) ? null : step),
	'no-links': (step) => (step.end.kind === 'link' ? { ...step, end: { kind: 'none' } } : step),
	'against-drainage': (step) =>
		movesFluid(step) && step.places.length > 1
			? {
					...step,
					places: [...step.places].reverse(),
					...(step.levels ? { levels: [...step.levels].reverse() } : {}),
					end: { kind: 'none' }
				}
			: step,
	deeper: atLevel(1),
	lighter: atLevel(-1)
};

/**
 * One sequence done otherwise. It is for comparing only: nobody keeps it, and no rule judges it.
 * @param id an id for it
 */
export function variantOf(sequence: Sequence, variant: VariantId, id: string): Sequence {
	const edit = makeEdit(sequence, VARIANTS[variant], (draft) => {
		draft.id = id;
		draft.title = `${sequence.title}: ${VARIANTS[variant].toLowerCase()}`.slice(0, 200);
		const change = STEP_CHANGES[variant];
		if (change)
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					block.steps = block.steps.flatMap((step) => change(step as Step) ?? []) as typeof block.steps;
		else if (variant === 'reverse-order') {
			draft.phases.reverse();
			for (const phase of draft.phases) {
				phase.blocks.reverse();
				for (const block of phase.blocks) block.steps.reverse();
			}
		} else {
			const last = draft.phases.at(-1);
			if (!last) return;
			const moved = draft.phases.flatMap((phase) =>
				phase.blocks.flatMap((block) => {
					const openings = block.steps.filter((s) => isOpening(s as Step));
					block.steps = block.steps.filter((s) => !isOpening(s as Step));
					return openings.map((s) => ({ ...s, side: s.side ?? ('both' as const) }));
				})
			);
			last.blocks.push({
				id: `${id}-openings`,
				title: '',
				sides: 'asSteps',
				steps: moved as (typeof last.blocks)[0]['steps']
			});
		}
	});
	return applyEdit(sequence, edit);
}

/** The same steps under another school, which keeps the drain links. */
export function underSchool(sequence: Sequence, school: School, id: string, working: Working): Sequence {
	const edit = makeEdit(sequence, school.title, (draft) => {
		draft.id = id;
		draft.title = `${sequence.title}: ${school.title.toLowerCase()}`.slice(0, 200);
		draft.school = school as typeof draft.school;
		draft.links = 'policy';
	});
	return applyEdit(sequence, withUpkeep(sequence, edit, working));
}
