import { stepCost } from '../step/stepCost';
import type { Step } from '../step/step.schema';
import type { Sequence } from './sequence.schema';
import { mapSteps, stepsOf, type PlacedStep } from './walk';

/** What of a sequence decides which of its steps are done. */
type Chosen = Pick<Sequence, 'phases'> & Pick<Partial<Sequence>, 'choices'>;

/** Groups of steps of which one option is done, in the order in which they first stand, each with its options and the chosen one. */
export interface ChoiceGroup {
	readonly group: string;
	readonly options: readonly string[];
	readonly chosen: string;
}

export function choiceGroups({ phases, choices = [] }: Chosen): ChoiceGroup[] {
	const groups = new Map<string, string[]>();
	for (const phase of phases)
		for (const block of phase.blocks)
			for (const { choice } of block.steps) {
				if (!choice) continue;
				const options = groups.get(choice.group) ?? [];
				if (!options.includes(choice.option)) options.push(choice.option);
				groups.set(choice.group, options);
			}
	return [...groups].map(([group, options]) => {
		const wish = choices.find((c) => c.group === group)?.option;
		return { group, options, chosen: wish !== undefined && options.includes(wish) ? wish : options[0]! };
	});
}

/**
 * Whether a step is done in this sitting: it is not for a later one, and of several ways it is the chosen one.
 * A sequence without choices and without later steps answers at once.
 */
export function isInSitting(sequence: Chosen): (step: Step) => boolean {
	const known = sittings.get(sequence);
	if (known) return known;
	const made = sittingOf(sequence);
	sittings.set(sequence, made);
	return made;
}
/** Sequences never change, so it is found once for each. */
const sittings = new WeakMap<Chosen, (step: Step) => boolean>();

function sittingOf(sequence: Chosen): (step: Step) => boolean {
	const chosen = new Map(choiceGroups(sequence).map((g) => [g.group, g.chosen]));
	return (step) => !step.later && (!step.choice || chosen.get(step.choice.group) === step.choice.option);
}

/** Whether a step takes time: of what hangs on a condition, only at the longest. */
export function isDone(sequence: Chosen, count: 'min' | 'target' | 'max'): (step: Step) => boolean {
	const inSitting = isInSitting(sequence);
	if (count !== 'max') return (step) => step.onlyIf === undefined && inSitting(step);
	const instead = replacedAtLongest(sequence);
	return (step) => !instead.has(step.id) && inSitting(step);
}

/** A step and the one that is done otherwise, where its condition is not met. */
interface Pair {
	readonly conditional: Step;
	readonly otherwise: Step;
}
function pairsOf({ phases }: Pick<Chosen, 'phases'>): Pair[] {
	const steps = phases.flatMap((phase) => phase.blocks.map((block) => block.steps));
	return steps.flatMap((list) =>
		list.flatMap((otherwise, i) => {
			const conditional = list[i - 1];
			return otherwise.otherwise && conditional?.onlyIf !== undefined ? [{ conditional, otherwise }] : [];
		})
	);
}
/** Of two of which one is done, the one that is shorter: at the longest the other one is. */
const replacedAtLongest = (sequence: Chosen): ReadonlySet<string> =>
	new Set(
		pairsOf(sequence).map(({ conditional, otherwise }) =>
			stepCost(conditional).seconds >= stepCost(otherwise).seconds ? otherwise.id : conditional.id
		)
	);

/** The sequence with other options taken of some groups. */
export const asTaken = (sequence: Sequence, taken: Readonly<Record<string, string>>): Sequence =>
	Object.keys(taken).length
		? {
				...sequence,
				choices: [
					...(sequence.choices ?? []).filter((c) => !(c.group in taken)),
					...Object.entries(taken).map(([group, option]) => ({ group, option }))
				]
			}
		: sequence;

/** Steps that hang on a condition and are done if it is met, in order. */
export const conditionalSteps = (sequence: Sequence): PlacedStep[] => {
	const inSitting = isInSitting(sequence);
	return stepsOf(sequence).filter(({ step }) => step.onlyIf !== undefined && inSitting(step));
};

/** The sequence with the conditions of some steps met: they are done, and take their time; what is done otherwise is not. */
export function withMet(sequence: Sequence, met: ReadonlySet<string>): Sequence {
	const replaced = new Set(
		pairsOf(sequence).flatMap(({ conditional, otherwise }) => (met.has(conditional.id) ? [otherwise.id] : []))
	);
	return mapSteps(sequence, (step) => {
		if (replaced.has(step.id)) return { ...step, later: true };
		if (!met.has(step.id) || step.onlyIf === undefined) return step;
		const { onlyIf: _met, ...rest } = step;
		return rest;
	});
}
