import { isZone, ownSideOf, placeOf } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { needsFilm } from '../../step/levelsOf';
import { makeEdit } from '../../sequence/edits';
import { repsOn, sidesOf } from '../../sequence/workedSide';
import type { JudgeContext, Rule } from '../rule';

interface Rubbed {
	readonly sides: { left: number; right: number };
	readonly stepIds: Set<string>;
}

function slidesByZone(context: JudgeContext): Map<ZoneId, Rubbed> {
	const zones = new Map<ZoneId, Rubbed>();
	for (const event of context.events) {
		if (event.kind !== 'work' || !needsFilm(context.byId.get(event.stepId)!.step)) continue;
		for (const ref of event.places) {
			const place = placeOf(ref);
			if (!isZone(place)) continue;
			const rubbed = zones.get(place) ?? { sides: { left: 0, right: 0 }, stepIds: new Set<string>() };
			const own = ownSideOf(ref);
			for (const side of own ? [own] : sidesOf(event.side)) rubbed.sides[side] += repsOn(event.side, side, event.reps);
			rubbed.stepIds.add(event.stepId);
			zones.set(place, rubbed);
		}
	}
	return zones;
}

/** The same skin is not rubbed over and over. */
export const skinRubbed: Rule = {
	id: 'skin-rubbed',
	kind: 'dose',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check(context) {
		const most = context.working.slidesPerZone;
		return [...slidesByZone(context)].flatMap(([place, { sides, stepIds }]) => {
			const times = Math.max(sides.left, sides.right);
			if (times <= most) return [];
			const ids = [...stepIds];
			return [{ stepIds: ids, place, params: { number: context.byId.get(ids[0]!)!.number, times, most } }];
		});
	},
	fix(context, finding) {
		return makeEdit(context.sequence, 'Stroke this skin less often', (draft) => {
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const step of block.steps)
						if (finding.stepIds.includes(step.id)) step.dose = { ...step.dose, target: step.dose.min };
		});
	}
};
