import type { Region } from '../../atlas/regions';
import type { School } from '../../school/school.schema';
import { regionsOf } from '../../school/regionOrder';
import { moveStepsBefore } from '../../sequence/edits';
import { isFace } from '../../atlas/regionOf';
import { startRegion } from '../facts';
import type { JudgeContext, Params, Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** The drain strokes of the face with the rank of their region in the school's order. */
function ranked(context: JudgeContext) {
	const order = regionsOf(context.school);
	return context.steps.flatMap(({ step, number }) => {
		const region = startRegion(step);
		if (!region || step.aim !== 'drain' || !isFace(region) || !isFluidStroke(step)) return [];
		return [{ id: step.id, number, region, rank: order.indexOf(region) }];
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
	verify: true,
	policy: (school) => `takes the regions ${ORDER_WORDS[school.order]}`,
	check(context) {
		const runs: Run[] = [];
		let far: { region: Region; rank: number } | null = null;
		// Neighbours of one region that come too late are one finding and move together.
		let open = false;
		for (const { id, number, region, rank } of ranked(context)) {
			const late: boolean = far !== null && rank < far.rank;
			const last = runs.at(-1);
			if (!late) far = { region, rank };
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
