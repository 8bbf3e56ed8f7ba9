import { expand } from '../sequence/expand';
import { makeEdit } from '../sequence/edits';
import type { Sequence, Step } from '../sequence/sequence.schema';
import type { JudgeContext, Rule } from './rule';

/** Openings and the close are never shortened: what they save is lost twice. */
const mayShrink = (step: Pick<Step, 'aim'>): boolean => step.aim !== 'open' && step.aim !== 'close';

/** A dose part of the way from its target down to its minimum; `share` 0 keeps it, 1 is the minimum. */
function shrunk(dose: Step['dose'], share: number): Step['dose'] {
	const target = Math.max(dose.min, Math.floor(dose.target - share * (dose.target - dose.min)));
	return { ...dose, target } as Step['dose'];
}

function shrinkAll(sequence: Sequence, share: number): Sequence {
	return {
		...sequence,
		phases: sequence.phases.map((phase) => ({
			...phase,
			blocks: phase.blocks.map((block) => ({
				...block,
				steps: block.steps.map((s) => (mayShrink(s) ? { ...s, dose: shrunk(s.dose, share) } : s))
			}))
		}))
	};
}

const secondsOf = (context: JudgeContext, share: number): number =>
	expand(shrinkAll(context.sequence, share), context).at(-1)?.endSeconds ?? 0;

/** The expected time fits the minutes that there are. */
export const overBudget: Rule = {
	id: 'over-budget',
	title: 'Within the time',
	why: 'A session that runs over ends in a rushed or forgotten closing drain, which undoes the work.',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check({ sequence, timing }) {
		const over = timing.expectedSeconds - sequence.budgetSeconds;
		if (over <= 0.5) return [];
		const params = { overSeconds: Math.round(over), expectedSeconds: Math.round(timing.expectedSeconds) };
		return [{ stepIds: [], params: { ...params, budgetSeconds: sequence.budgetSeconds } }];
	},
	fix(context) {
		const fits = (share: number) => secondsOf(context, share) <= context.sequence.budgetSeconds;
		if (!fits(1)) return null;
		const share = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1].find(fits)!;
		return makeEdit(context.sequence, 'Shorten counts within their ranges', (draft) => {
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const step of block.steps) if (mayShrink(step)) step.dose = shrunk(step.dose, share);
		});
	}
};
