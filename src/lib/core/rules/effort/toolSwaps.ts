import { toolRow } from '../../vocabulary/vocabulary';
import type { PlacedStep } from '../../sequence/walk';
import type { Rule } from '../rule';
import { returnRule } from './returns';

/** A tool, whichever edge is turned to the skin; empty for hands, so that going back to the hands is no return. */
const toolOf = ({ step }: PlacedStep): string | null =>
	step.tool && !toolRow(step.tool.id).worn && !toolRow(step.tool.id).staysOn ? step.tool.id : '';

/** A tool is picked up once. */
export const toolSwaps: Rule = {
	id: 'tool-swaps',
	kind: 'effort',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'advice',
	...returnRule(toolOf)
};
