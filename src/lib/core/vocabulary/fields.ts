/** The parts of a step that not every move has; which of them are usually told, the rows of aims and motions say. */
export const OPTIONAL_FIELDS = [
	'end',
	'stations',
	'lanes',
	'reverse',
	'until',
	'support',
	'posture',
	'mouth',
	'eyes',
	'breath',
	'by',
	'medium',
	'replaces',
	'tape',
	'optional'
] as const;
export type OptionalField = (typeof OPTIONAL_FIELDS)[number];
