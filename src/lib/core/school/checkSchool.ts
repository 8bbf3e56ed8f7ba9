import type { z } from 'zod';
import type { School } from './school.schema';

/** What a school must not be: one that opens nothing and says it does, or one under which no move is allowed. */
export function checkSchool(school: School, ctx: z.core.$RefinementCtx<School>): void {
	const problem = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
	if (school.opening.required && !school.opening.nodes.length)
		problem(['opening', 'nodes'], 'name at least one node group to open, or do not require an opening');
	if (school.caps.fluid === 0 && school.caps.muscle === 0)
		problem(['caps'], 'with fluid and muscle both at 0 every move is forbidden: raise one of them to 1 or more');
	const twice = school.opening.nodes.find((node, i) => school.opening.nodes.indexOf(node) !== i);
	if (twice) problem(['opening', 'nodes'], `each node group is opened once in the list: ${twice} stands twice`);
}
