import { fitTo } from '../../fit/fit';
import type { Rule } from '../rule';

/** The expected time fits the minutes that there are. */
export const overBudget: Rule = {
	id: 'over-budget',
	kind: 'dose',
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
		const { edit, fits } = fitTo(context.sequence, context.sequence.budgetSeconds, context);
		return fits ? edit : null;
	}
};
