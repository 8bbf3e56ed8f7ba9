/** What two sequences can be compared by. */
export const MEASURES = {
	all: 'All fluid',
	face: 'Face',
	eyes: 'Under the eyes',
	zones: 'Chosen zones'
} as const;
export type MeasureId = keyof typeof MEASURES;
export const MEASURE_IDS = Object.keys(MEASURES) as MeasureId[];
