/** The parts of a step that not every move has; which of them are usually told, the rows of aims and motions say. */
export const OPTIONAL_FIELDS = [
	'end',
	'parts',
	'stations',
	'lanes',
	'laneWays',
	'beside',
	'reverse',
	'amplitudeMm',
	'until',
	'risesTo',
	'poseSeconds',
	'support',
	'posture',
	'mouth',
	'eyes',
	'breath',
	'by',
	'medium',
	'replaces',
	'tape',
	'around',
	'onlyIf',
	'choice',
	'later',
	'optional'
] as const;
export type OptionalField = (typeof OPTIONAL_FIELDS)[number];
