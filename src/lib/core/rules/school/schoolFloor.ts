import { makeEdit } from '../../sequence/edits';
import type { Rule } from '../rule';

/** What a school may not make lighter, or graver, stays as it is: and that is said, so that nobody relies on the wish. */
export const schoolFloor: Rule = {
	id: 'school-floor',
	kind: 'school',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'advice',
	check: ({ overruled }) =>
		overruled.length ? [{ stepIds: [], params: { rules: overruled.join(' '), count: overruled.length } }] : [],
	fix(context, finding) {
		const overruled = String(finding.params.rules).split(' ');
		return makeEdit(context.sequence, 'Leave the severities to the rules', (draft) => {
			for (const id of overruled) delete draft.school.severities[id];
		});
	}
};
