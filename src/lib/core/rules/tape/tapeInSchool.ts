import type { Rule } from '../rule';

/** A school that lays no tape is told where some is laid. */
export const tapeInSchool: Rule = {
	id: 'tape-in-school',
	kind: 'tape',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) => (school.tape === 'none' ? 'lays no tape' : 'lays tape'),
	check: ({ steps, school }) =>
		school.tape === 'none'
			? steps
					.filter(({ step }) => step.aim === 'fix')
					.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }))
			: []
};
