import type { Region } from '../../atlas/regions';
import type { School } from '../../school/school.schema';
import { regionsOf } from '../../school/regionOrder';
import { moveStepsBefore } from '../../sequence/edits';
import { isNode, placeOf } from '../../atlas/places';
import { zoneOf } from '../../atlas/regionOf';
import type { Step } from '../../step/step.schema';
import { aimRow } from '../../vocabulary/vocabulary';
import { startRegion } from '../facts';
import type { JudgeContext, Params, Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** Regions on every way out: a drain there leads on what was gathered, and may come again at the end. */
const ON_THE_WAY: readonly Region[] = ['trunk', 'neck', 'ear'];

/** Whether a step works a region whose turn may come too late. Where layers are apart, muscles are freed in any order. */
function counts(step: Step, region: Region, school: School): boolean {
	if (!aimRow(step.aim).worksRegion || step.by === 'client' || isNode(placeOf(step.places[0]!))) return false;
	// Who rises drains once, at the end, from wherever it is.
	if (step.aim === 'drain') return isFluidStroke(step) && !ON_THE_WAY.includes(region) && school.order !== 'chest-up';
	return school.layering === 'mixed';
}

/** The temple lies on the way from the eye to the ear: but for those who work from the crown it is emptied before the eye. */
function rankOf(step: Step, region: Region, school: School): number {
	const order = regionsOf(school);
	// Chin and jaw are one way for those who come from below.
	const fromBelow = school.order === 'nape-first' || school.order === 'chest-up';
	if (fromBelow && region === 'mouth') return order.indexOf('jaw');
	const early = zoneOf(step.places[0]!) === 'temple' && school.order !== 'crown-down';
	return early ? order.indexOf('eye') - 0.5 : order.indexOf(region);
}

/** The steps that work a region, with its rank in the school's order. */
function ranked(context: JudgeContext) {
	const { school } = context;
	return context.steps.flatMap(({ step, number }) => {
		const region = startRegion(step);
		if (!region || !counts(step, region, school)) return [];
		return [{ id: step.id, number, region, rank: rankOf(step, region, school) }];
	});
}

const ORDER_WORDS: Record<School['order'], string> = {
	'exit-first': 'from the exit backwards',
	'chest-up': 'from the chest up',
	'crown-down': 'from the crown down',
	'nape-first': 'from the nape forwards',
	'muscle-first': 'from the exit backwards, after the muscles'
};

interface Run {
	readonly region: Region;
	readonly ids: string[];
	readonly params: Params;
}

/** The areas of the face are drained in the school's order: for most, the nearest the exit first. */
export const nearestFirst: Rule = {
	id: 'nearest-first',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) => `takes the regions ${ORDER_WORDS[school.order]}`,
	check(context) {
		const runs: Run[] = [];
		let far: { region: Region; rank: number } | null = null;
		// Neighbours of one region that come too late are one finding and move together.
		let open = false;
		const begun = new Set<Region>();
		for (const { id, number, region, rank } of ranked(context)) {
			// What had its turn may be taken up again.
			const late: boolean = far !== null && rank < far.rank && !begun.has(region);
			if (!late) begun.add(region);
			const last = runs.at(-1);
			if (!late) far = far && far.rank > rank ? far : { region, rank };
			else if (open && last?.region === region) last.ids.push(id);
			else runs.push({ region, ids: [id], params: { number, region, after: far!.region } });
			open = late;
		}
		return runs.map(({ ids, params }) => ({ stepIds: ids, params }));
	},
	fix(context, finding) {
		const all = ranked(context);
		const mine = all.find((s) => s.id === finding.stepIds[0]);
		const target = mine && all.find((s) => s.rank > mine.rank);
		if (!mine || !target) return null;
		return moveStepsBefore(
			context.sequence,
			finding.stepIds,
			target.id,
			`Drain the ${mine.region} before what lies behind it`
		);
	}
};
