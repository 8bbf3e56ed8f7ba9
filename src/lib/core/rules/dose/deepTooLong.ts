import { ownSideOf, placeOf } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { makeEdit } from '../../sequence/edits';
import { sidesOf, turnsOf } from '../../sequence/workedSide';
import { peakLevel } from '../../step/levelsOf';
import type { JudgeContext, RawFinding, Rule } from '../rule';
import { cutDose } from './cutDose';

interface Deep {
	/** Seconds of deep work on the side that gets more. */
	seconds: number;
	readonly sides: { left: number; right: number };
	readonly stepIds: Set<string>;
}

/** Seconds of deep work by zone; a stroke's time is shared out over its places. */
function deepSeconds(context: JudgeContext): Map<ZoneId, Deep> {
	const zones = new Map<ZoneId, Deep>();
	const { deepLevel } = context.working;
	for (const event of context.events) {
		if (event.kind !== 'work' && event.kind !== 'station') continue;
		if (peakLevel(context.byId.get(event.stepId)!.step) < deepLevel) continue;
		const each = (event.endSeconds - event.startSeconds) / Math.max(1, event.places.length);
		event.places.forEach((ref, i) => {
			if ((event.levels[i] ?? event.levels[0] ?? 0) < deepLevel) return;
			const zone = placeOf(ref) as ZoneId;
			const deep = zones.get(zone) ?? { seconds: 0, sides: { left: 0, right: 0 }, stepIds: new Set<string>() };
			const own = ownSideOf(ref);
			for (const side of own ? [own] : sidesOf(event.side))
				deep.sides[side] += event.side === 'midline' || turnsOf(event.side) ? each / 2 : each;
			deep.seconds = Math.max(deep.sides.left, deep.sides.right);
			deep.stepIds.add(event.stepId);
			zones.set(zone, deep);
		});
	}
	return zones;
}

/** Deep work on one place has an end. */
export const deepTooLong: Rule = {
	id: 'deep-too-long',
	kind: 'dose',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context): RawFinding[] {
		if (!context.steps.some(({ step }) => peakLevel(step) >= context.working.deepLevel)) return [];
		const cap = context.working.deepCapSeconds;
		return [...deepSeconds(context)]
			.filter(([, deep]) => deep.seconds > cap + 0.5)
			.map(([place, { seconds, stepIds }]) => {
				const number = context.byId.get([...stepIds][0]!)!.number;
				return { stepIds: [...stepIds], place, params: { number, seconds: Math.round(seconds), cap } };
			});
	},
	fix(context, finding) {
		const share = Number(finding.params.cap) / Number(finding.params.seconds);
		return makeEdit(context.sequence, 'Shorten the deep work', (draft) => {
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const step of block.steps)
						if (finding.stepIds.includes(step.id)) step.dose = cutDose(step.dose, share * 0.98);
		});
	}
};
