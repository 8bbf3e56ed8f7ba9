import { FRONT_MEASURES, FRONT_MEASURE_IDS, type FrontMeasureId } from './front';
import type { MeasuredView } from './landmarks';
import { PROFILE_MEASURES, PROFILE_MEASURE_IDS, type ProfileMeasureId } from './profile';

// Names and units alone: records are checked by them on every page, and what works them out stays away.
const CONTOUR_MEASURES = {
	jawAreaL: { label: 'Jaw contour, left', unit: 'mm2' },
	jawAreaR: { label: 'Jaw contour, right', unit: 'mm2' },
	jawAreaAsymmetry: { label: 'Jaw contour, left less right', unit: 'mm2' },
	underChinArea: { label: 'Contour under the chin', unit: 'mm2' }
} as const;
type JawMeasureId = Exclude<keyof typeof CONTOUR_MEASURES, 'underChinArea'>;
const JAW_MEASURE_IDS: readonly JawMeasureId[] = ['jawAreaL', 'jawAreaR', 'jawAreaAsymmetry'];
/** What is said of a pair of front photographs: what each of them measures, and what lies between their contours. */
export type FrontPairId = FrontMeasureId | JawMeasureId;
/** What is said of a pair of profiles. */
export type ProfilePairId = ProfileMeasureId | 'underChinArea';
export type PairMeasureId = FrontPairId | ProfilePairId;
const FRONT_PAIR_IDS: readonly FrontPairId[] = [...FRONT_MEASURE_IDS, ...JAW_MEASURE_IDS];
const PROFILE_PAIR_IDS: readonly ProfilePairId[] = [...PROFILE_MEASURE_IDS, 'underChinArea'];
export const PAIR_MEASURES_OF: Readonly<Record<MeasuredView, readonly PairMeasureId[]>> = {
	front: FRONT_PAIR_IDS,
	profile: PROFILE_PAIR_IDS
};
export const PAIR_MEASURE_IDS = [...FRONT_PAIR_IDS, ...PROFILE_PAIR_IDS] as [PairMeasureId, ...PairMeasureId[]];
export type PairUnit = 'mm' | 'degrees' | 'percent' | 'ratio' | 'mm2';
const ALL_MEASURES: Readonly<Record<PairMeasureId, { readonly label: string; readonly unit: PairUnit }>> = {
	...FRONT_MEASURES,
	...PROFILE_MEASURES,
	...CONTOUR_MEASURES
};
/** Its name and unit: plain data that may cross to another thread. */
export function pairMeasure(id: PairMeasureId): { readonly label: string; readonly unit: PairUnit } {
	const { label, unit } = ALL_MEASURES[id];
	return { label, unit };
}
