import type { z } from 'zod';
import { MIDLINE_ZONES } from '../atlas/graph';
import { isZone, ownSideOf, placeOf } from '../atlas/places';
import type { Sequence, Step } from './sequence.schema';
import { MAX_STEPS } from './sequence.schema';

type Context<T> = z.core.$RefinementCtx<T>;
type Path = (string | number)[];

const problem = (ctx: Context<unknown>, path: Path, message: string) => ctx.addIssue({ code: 'custom', path, message });

/** Whether a step may be worked in one pass over both halves. */
export const isMidlinePlace = (ref: Step['places'][number]): boolean => {
	const place = placeOf(ref);
	return isZone(place) && (MIDLINE_ZONES.includes(place) || place === 'hairline');
};

/** What a JSON Schema cannot say about one step; listed in docs/formats.md. */
export function checkStep(step: Step, ctx: Context<Step>): void {
	const { dose } = step;
	if (!(dose.min <= dose.target && dose.target <= dose.max))
		problem(ctx, ['dose'], `min ≤ target ≤ max is needed: ${dose.min}, ${dose.target}, ${dose.max}`);
	if ((step.pressure === undefined) === (step.levels === undefined))
		problem(ctx, ['pressure'], 'either one pressure or a level for each place is needed, not both');
	if (step.levels && step.levels.length !== step.places.length)
		problem(ctx, ['levels'], `one level for each of the ${step.places.length} places is needed: ${step.levels.length}`);
	if (!step.places.length && !['cleanse', 'settle', 'prepare', 'exercise'].includes(step.aim))
		problem(ctx, ['places'], `at least one place is needed for the aim ${step.aim}`);
	if ((step.contact === 'tool') !== (step.tool !== undefined && step.tool.id !== 'gloves'))
		problem(ctx, ['tool'], 'a tool is needed with the contact tool, and only with it (gloves aside)');
	if (step.tool?.edge && step.tool.id !== 'stone-plate')
		problem(ctx, ['tool', 'edge'], `only a stone plate has edges: ${step.tool.id}`);
	if (step.target && step.aim !== 'cleanse') problem(ctx, ['target'], 'a target belongs to the aim cleanse only');
	if (step.side === 'midline' && !step.places.every((p) => ownSideOf(p) !== null || isMidlinePlace(p)))
		problem(ctx, ['side'], 'midline is possible only on places that reach the midline');
	step.stations?.places.forEach((station, i) => {
		if (!step.places.includes(station))
			problem(ctx, ['stations', 'places', i], `a station must lie on the path: ${station}`);
	});
}

/** The problems of a whole sequence, without those inside of its steps. */
export function sequenceProblems(sequence: Sequence): z.core.$ZodIssue[] {
	const issues: z.core.$ZodIssue[] = [];
	checkSequence(sequence, {
		addIssue: (issue: z.core.$ZodIssue) => issues.push(issue)
	} as unknown as Context<Sequence>);
	return issues;
}

/** What a JSON Schema cannot say about a whole sequence. */
export function checkSequence(sequence: Sequence, ctx: Context<Sequence>): void {
	const seen = new Set<string>();
	let steps = 0;
	sequence.phases.forEach((phase, p) =>
		phase.blocks.forEach((block, b) =>
			block.steps.forEach((step, s) => {
				const path = ['phases', p, 'blocks', b, 'steps', s];
				steps += 1;
				if (seen.has(step.id)) problem(ctx, [...path, 'id'], `each step needs an id of its own: ${step.id}`);
				seen.add(step.id);
				if (block.sides === 'asSteps' && step.side === undefined)
					problem(ctx, [...path, 'side'], 'a side is needed in a block whose steps have their own sides');
				if (block.sides !== 'asSteps' && step.side !== undefined)
					problem(ctx, [...path, 'side'], 'no side is allowed in a block done on one side and then the other');
			})
		)
	);
	if (steps > MAX_STEPS) problem(ctx, ['phases'], `at most ${MAX_STEPS} steps are allowed: ${steps}`);
}
