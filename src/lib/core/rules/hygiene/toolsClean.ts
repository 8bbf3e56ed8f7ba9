import { edited, insertStep, joinEdits } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { toolRow } from '../../vocabulary/vocabulary';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';

const uses = (step: Step): boolean => step.tool !== undefined && toolRow(step.tool.id).reused;
const cleans = (step: Step): boolean => step.aim === 'cleanse' && step.target === 'tool';

function toolUse({ steps }: JudgeContext) {
	const used = steps.filter(({ step }) => uses(step));
	const [first, last] = [used[0], used.at(-1)];
	if (!first || !last) return null;
	const before = steps.some(({ step, number }) => cleans(step) && number < first.number);
	const after = steps.some(({ step, number }) => cleans(step) && number > last.number);
	return { first, last, before, after };
}

/** Tools are cleaned before they touch the skin, and after. */
export const toolsClean: Rule = {
	id: 'tools-clean',
	kind: 'hygiene',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		const use = toolUse(context);
		if (!use || (use.before && use.after)) return [];
		const when = use.before ? 'after' : use.after ? 'before' : 'before and after';
		const params = { number: use.first.number, tool: use.first.step.tool!.id, when };
		return [{ stepIds: [use.first.step.id], params }];
	},
	fix(context) {
		const use = toolUse(context);
		if (!use) return null;
		const clean = (id: string) => makeStep(basicTechnique('clean-tool'), { id: freeId(context, id) });
		const { sequence } = context;
		const first = use.before ? null : insertStep(sequence, clean('clean-tool-before'), { before: use.first.step.id });
		const between = first ? edited(sequence, first) : sequence;
		const second = use.after ? null : insertStep(between, clean('clean-tool-after'), { after: use.last.step.id });
		return joinEdits(
			'Clean the tool before and after',
			[first, second].filter((e) => e !== null)
		);
	}
};
