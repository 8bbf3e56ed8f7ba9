import { withUpkeep } from '../links/drainPolicy';
import type { School } from '../school/school.schema';
import { dequal } from 'dequal';
import { edited, makeEdit } from '../sequence/edits';
import { expand, secondsOf } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { StepSchema, type Step } from '../step/step.schema';
import type { Level } from '../step/levels';
import { movesFluid } from '../step/levelsOf';
import type { Working } from '../working/working.schema';

/** Other orders, pressures and ways of one sequence, to set against it. */
export const VARIANTS = {
	'reverse-order': 'Steps in reverse order',
	'opening-last': 'Openings at the end',
	'no-openings': 'Hands at rest instead of openings',
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

const STEP_CHANGES: Partial<Record<VariantId, (step: Step) => Step>> = {
	'no-links': (step) => (step.end.kind === 'link' ? { ...step, end: { kind: 'none' } } : step),
	'against-drainage': (step) =>
		movesFluid(step) && step.places.length > 1
			? {
					...step,
					places: [...step.places].reverse(),
					...(step.levels ? { levels: [...step.levels].reverse() } : {})
				}
			: step,
	deeper: atLevel(1),
	lighter: atLevel(-1)
};

const titled = (sequence: Sequence, variant: VariantId): string =>
	`${sequence.title}: ${VARIANTS[variant].toLowerCase()}`.slice(0, 200);

/**
 * One sequence done otherwise. It is for comparing only: nobody keeps it, and no rule judges it.
 * @param id an id for it
 */
export function variantOf(sequence: Sequence, variant: VariantId, id: string, working: Working): Sequence {
	if (variant === 'no-openings') return restingOpenings(sequence, id, working);
	const edit = makeEdit(sequence, VARIANTS[variant], (draft) => {
		draft.id = id;
		draft.title = titled(sequence, variant);
		const change = STEP_CHANGES[variant];
		if (change)
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					block.steps = block.steps.map((step) => change(step as Step)) as typeof block.steps;
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
			if (moved.length)
				last.blocks.push({
					id: `${id}-openings`,
					title: '',
					sides: 'asSteps',
					steps: moved as (typeof last.blocks)[0]['steps']
				});
		}
	});
	return edited(sequence, edit);
}

/** The ways in which a sequence can be done otherwise: none that would change nothing. */
export const variantsFor = (sequence: Sequence, working: Working): VariantId[] =>
	VARIANT_IDS.filter((id) => !dequal(variantOf(sequence, id, sequence.id, working).phases, sequence.phases));

/** Hands at rest for so many seconds. */
const restFor = ({ id, side, breath }: Step, seconds: number): Step =>
	StepSchema.parse({
		id,
		aim: 'settle',
		motion: 'none',
		contact: 'none',
		places: [],
		pressure: 0,
		paceSeconds: 1,
		breath,
		...(side ? { side: 'both' } : {}),
		dose: { kind: 'seconds', min: seconds, target: seconds, max: seconds }
	});
/** Shortest rest, and how finely rests are measured, seconds. */
const MIN_REST_SECONDS = 0.1;
const toTenth = (seconds: number): number => Math.max(MIN_REST_SECONDS, Math.round(10 * seconds) / 10);

/** Every opening is a rest, and the whole lasts as long as before, to a tenth of a second. */
function restingOpenings(sequence: Sequence, id: string, working: Working): Sequence {
	const events = expand(sequence, { working });
	const openings = stepsOf(sequence).filter((p) => isOpening(p.step));
	const seconds = new Map(
		openings.map(({ step, block, phase }) => {
			const own = events.filter((e) => e.stepId === step.id && e.kind !== 'transition');
			const times = (phase.passes ?? 1) * (block.passes ?? 1) * (block.sides === 'asSteps' ? 1 : 2);
			return [step.id, own.reduce((sum, e) => sum + e.endSeconds - e.startSeconds, 0) / times];
		})
	);
	const withRests = (more: number): Sequence =>
		edited(
			sequence,
			makeEdit(sequence, VARIANTS['no-openings'], (draft) => {
				draft.id = id;
				draft.title = titled(sequence, 'no-openings');
				let left = openings.length;
				for (const phase of draft.phases)
					for (const block of phase.blocks)
						block.steps = block.steps.map((step) => {
							if (!isOpening(step as Step)) return step;
							// What a tenth leaves over falls to the last of them.
							const extra = --left ? 0 : more;
							return restFor(step as Step, toTenth(seconds.get(step.id)! + extra));
						}) as typeof block.steps;
			})
		);
	const total = (s: Sequence) => secondsOf(s, { working }, 'target').total;
	const first = withRests(0);
	return withRests(total(sequence) - total(first));
}

/** The same steps under another school, which keeps the drain links. */
export function underSchool(sequence: Sequence, school: School, id: string, working: Working): Sequence {
	const edit = makeEdit(sequence, school.title, (draft) => {
		draft.id = id;
		draft.title = `${sequence.title}: ${school.title.toLowerCase()}`.slice(0, 200);
		draft.school = school as typeof draft.school;
		draft.links = 'policy';
	});
	return edited(sequence, withUpkeep(sequence, edit, working));
}
