import type { Problem } from '../step/stepProblems';
import { MAX_STEPS } from './format';
import type { Sequence } from './sequence.schema';

/** What a JSON Schema cannot say about a whole sequence; what is inside of its steps is told by `stepProblems`. */
export function sequenceProblems(sequence: Sequence): Problem[] {
	const problems: Problem[] = [];
	const problem = (path: Problem['path'], message: string) => problems.push({ path, message });
	const seen = new Set<string>();
	let steps = 0;
	sequence.phases.forEach((phase, p) =>
		phase.blocks.forEach((block, b) =>
			block.steps.forEach((step, s) => {
				const path = ['phases', p, 'blocks', b, 'steps', s];
				steps += 1;
				if (seen.has(step.id)) problem([...path, 'id'], `each step needs an id of its own: ${step.id}`);
				seen.add(step.id);
				if (block.sides === 'asSteps' && step.side === undefined)
					problem([...path, 'side'], 'a side is needed in a block whose steps have their own sides');
				if (block.sides !== 'asSteps' && step.side !== undefined && step.side !== 'midline')
					problem([...path, 'side'], 'no side but midline is allowed in a block done on one side and then the other');
			})
		)
	);
	if (sequence.leastSeconds !== undefined && sequence.leastSeconds > sequence.budgetSeconds)
		problem(['leastSeconds'], `least ≤ most time is needed: ${sequence.leastSeconds} s, ${sequence.budgetSeconds} s`);
	if (steps > MAX_STEPS) problem(['phases'], `at most ${MAX_STEPS} steps are allowed: ${steps}`);
	return problems;
}
