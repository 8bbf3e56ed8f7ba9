import { SIDES, type Side } from '$lib/core/atlas/places';
import { ZONES } from '$lib/core/atlas/zones';
import { gradesByZone } from '$lib/core/assess/assessment';
import { GRADE_IDS, gradeRow, type ObservationId } from '$lib/core/assess/registry';
import type { Assessment } from '$lib/core/assess/assessment.schema';
import { findingSpots } from '$lib/core/rules/findingSpots';
import type { Judgement } from '$lib/core/rules/judge';
import { secondsByZone } from '$lib/core/sequence/balance';
import { clock } from '$lib/core/step/describe';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import type { ZoneTint } from '../../parts/map/mapTypes';

/** Fetched when that layer is asked for: goals are much data. */
export type CoverageModule = Pick<typeof import('$lib/core/goal/coverage'), 'coverageOf' | 'servedByZone'>;
/** What the zones of the map are tinted by. */
export type Layer = 'tide' | ObservationId | 'worked' | 'coverage' | 'findings' | 'none';
const isGraded = (layer: Layer): layer is ObservationId => (GRADE_IDS as readonly string[]).includes(layer);

/** What the readout beside the face says of a zone: its figure. */
export interface LayerTint extends ZoneTint {
	readonly value: string;
}

const graded = (assessment: Assessment | null, id: ObservationId): LayerTint[] => {
	const { label, words, picture } = gradeRow(id);
	return gradesByZone(assessment, id).map(({ zone, side, grade }) => ({
		zone,
		side,
		strength: 0.05 + 0.055 * grade,
		lines: grade,
		picture,
		words: `${label.toLowerCase()} ${grade}, ${words[grade] ?? ''}`,
		value: String(grade)
	}));
};

const worked = ({ balance }: Judgement): LayerTint[] =>
	secondsByZone(balance).map(({ zone, side, seconds, share }) => ({
		zone,
		side,
		strength: 0.06 + 0.42 * share,
		words: `worked ${clock(seconds)}`,
		value: clock(seconds)
	}));

/** How far the goals are served: full water lines are there, dotted ones are missing. */
const served = ({ coverageOf, servedByZone }: CoverageModule, sequence: Sequence, judgement: Judgement): LayerTint[] =>
	servedByZone(sequence, coverageOf(sequence, judgement.events, judgement.context.working)).flatMap(
		({ zone, share }) => {
			const value = `${Math.round(100 * share)} %`;
			const tint = {
				strength: 0.05 + 0.26 * share,
				lines: Math.round(4 * share),
				before: 4,
				words: `goals served ${value}`,
				value
			};
			return SIDES.map((side) => ({ zone, side, ...tint }));
		}
	);

/**
 * The tints of a layer.
 * @param sequence asked only by the layers that it changes, as is `judgement`
 * @param coverage comes when that layer is asked for: goals are much data
 */
export function tintsOf(
	layer: Layer,
	sequence: () => Sequence,
	judgement: () => Judgement,
	assessment: Assessment | null,
	coverage: CoverageModule | null
): LayerTint[] {
	if (isGraded(layer)) return graded(assessment, layer);
	if (layer === 'worked') return worked(judgement());
	if (layer === 'coverage') return coverage ? served(coverage, sequence(), judgement()) : [];
	if (layer === 'findings')
		return findingSpots(judgement()).map(({ zone, side, count }) => ({
			zone,
			side,
			strength: 0.12,
			words: `${count} ${count === 1 ? 'finding' : 'findings'}`,
			value: String(count)
		}));
	return [];
}

/** The three zones of a side of which a layer says most. */
export const readoutOf = (tints: readonly LayerTint[], side: Side) =>
	tints
		.filter((t) => t.side === side)
		.sort((a, b) => b.strength - a.strength)
		.slice(0, 3)
		.map((t) => ({ zone: ZONES[t.zone].label, value: t.value }));
