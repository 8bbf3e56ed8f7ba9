import { isZone, placeOf, SIDES, type Side } from '$lib/core/atlas/places';
import { ZONE_IDS, ZONES, type ZoneId } from '$lib/core/atlas/zones';
import type { coverageOf as CoverageOf } from '$lib/core/goal/coverage';
import { valueAt } from '$lib/core/assess/assessment';
import { GRADE_IDS, gradeRow, type ObservationId } from '$lib/core/assess/registry';
import type { Assessment } from '$lib/core/assess/assessment.schema';
import type { Judgement } from '$lib/core/rules/judge';
import type { Severity } from '$lib/core/school/school.schema';
import { clock } from '$lib/core/step/describe';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import type { ZoneTint } from '../../parts/map/mapTypes';

/** What the zones of the map are tinted by. */
export type Layer = 'tide' | ObservationId | 'worked' | 'coverage' | 'findings' | 'none';
const isGraded = (layer: Layer): layer is ObservationId => (GRADE_IDS as readonly string[]).includes(layer);

/** What the readout beside the face says of a zone: its figure. */
export interface LayerTint extends ZoneTint {
	readonly value: string;
}

function graded(assessment: Assessment | null, id: ObservationId): LayerTint[] {
	const { label, words } = gradeRow(id);
	return ZONE_IDS.flatMap((zone) =>
		SIDES.flatMap((side) => {
			const grade = valueAt(assessment, id, { place: zone, side });
			if (grade === null) return [];
			const said = `${label.toLowerCase()} ${grade}, ${words[grade] ?? ''}`;
			return [{ zone, side, strength: 0.05 + 0.055 * grade, lines: grade, words: said, value: String(grade) }];
		})
	);
}

function worked({ balance }: Judgement): LayerTint[] {
	const most = Math.max(1, ...[...balance.zones.values()].flatMap((z) => [z.left.seconds, z.right.seconds]));
	return [...balance.zones].flatMap(([zone, load]) =>
		SIDES.filter((s) => load[s].seconds > 0).map((side) => {
			const value = clock(load[side].seconds);
			return { zone, side, strength: 0.06 + (0.42 * load[side].seconds) / most, words: `worked ${value}`, value };
		})
	);
}

/** How far the goals are served in each zone: full water lines are there, dotted ones are missing. */
function covered(coverageOf: typeof CoverageOf, sequence: Sequence, judgement: Judgement): LayerTint[] {
	const zones = new Map<ZoneId, { weight: number; served: number }>();
	for (const { goal, rows } of coverageOf(sequence, judgement.events, judgement.context.working))
		for (const row of rows) {
			const weight = sequence.goals.find((g) => g.id === goal)?.weight ?? 1;
			const sum = zones.get(row.zone) ?? { weight: 0, served: 0 };
			const part = row.weight * Math.max(weight, 0.01);
			zones.set(row.zone, { weight: sum.weight + part, served: sum.served + part * Math.min(1, row.doses) });
		}
	return [...zones].flatMap(([zone, { weight, served }]) =>
		SIDES.map((side) => {
			const share = served / weight;
			const value = `${Math.round(100 * share)} %`;
			return {
				zone,
				side,
				strength: 0.05 + 0.26 * share,
				lines: Math.round(4 * share),
				before: 4,
				words: `goals served ${value}`,
				value
			};
		})
	);
}

/** A finding on the map: where its pennant is planted. */
export interface MapFlag {
	readonly zone: ZoneId;
	readonly side: Side;
	readonly severity: Severity;
	readonly count: number;
}
const GRAVITY: readonly Severity[] = ['advice', 'caution', 'stop'];

/** The gravest finding of each zone, and how many there are. */
export function mapFlags({ findings, context }: Judgement): MapFlag[] {
	const flags = new Map<string, MapFlag>();
	for (const finding of findings) {
		const step = context.byId.get(finding.stepIds[0] ?? '')?.step;
		const place = finding.place ? placeOf(finding.place) : step?.places.map(placeOf).find(isZone);
		if (!place || !isZone(place)) continue;
		const side: Side = finding.side ?? (step?.side === 'right' ? 'right' : 'left');
		const known = flags.get(`${place}:${side}`);
		const severity =
			known && GRAVITY.indexOf(known.severity) > GRAVITY.indexOf(finding.severity) ? known.severity : finding.severity;
		flags.set(`${place}:${side}`, { zone: place, side, severity, count: (known?.count ?? 0) + 1 });
	}
	return [...flags.values()];
}

/**
 * The tints of a layer.
 * @param sequence asked only by the layers that it changes, as is `judgement`
 * @param coverageOf comes when that layer is asked for: goals are much data
 */
export function tintsOf(
	layer: Layer,
	sequence: () => Sequence,
	judgement: () => Judgement,
	assessment: Assessment | null,
	coverageOf: typeof CoverageOf | null
): LayerTint[] {
	if (isGraded(layer)) return graded(assessment, layer);
	if (layer === 'worked') return worked(judgement());
	if (layer === 'coverage') return coverageOf ? covered(coverageOf, sequence(), judgement()) : [];
	if (layer === 'findings')
		return mapFlags(judgement()).map(({ zone, side, count }) => ({
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
