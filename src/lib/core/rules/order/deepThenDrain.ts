import { drainageOf } from '../../atlas/graph';
import { placeOf } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { insertStep } from '../../sequence/edits';
import { fillPath, linkRoute } from '../../atlas/route';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { isInside, zonesAtLeast } from '../facts';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { goesOver, strokesOf } from '../../step/parts';
import { isFluidStroke, opensNodes } from '../strokes';

/** Whether something after a step carries fluid from a zone: a stroke over it, or a pump or link at the nodes that take it. */
function drainedLater(context: JudgeContext, zone: ZoneId, number: number): boolean {
	const receivers = new Set<string>(drainageOf(zone).map((e) => `n:${e.to}`));
	const takes = (place: string) => place === zone || receivers.has(place);
	return context.steps.some(({ step, number: n }) => {
		if (n < number) return false;
		if (step.end.kind === 'link' && step.places.some((p) => takes(placeOf(p)))) return true;
		// A pump that opens makes room; it carries nothing off.
		const carries = strokesOf(step).some((s) => isFluidStroke(s) || (step.aim === 'close' && opensNodes(s)));
		return n > number && carries && goesOver(step, takes);
	});
}

/** What deep work sets free is carried away afterwards. */
export const deepThenDrain: Rule = {
	id: 'deep-then-drain',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		return context.steps.flatMap(({ step, number }) => {
			if (step.by === 'client' || isInside(step)) return [];
			const zone = zonesAtLeast(step, context.working.deepLevel).find((z) => !drainedLater(context, z, number));
			return zone ? [{ stepIds: [step.id], place: zone, params: { number } }] : [];
		});
	},
	fix(context, finding) {
		const zone = finding.place!;
		const places = fillPath([zone, ...linkRoute(zone, context.school.cheekRoute)], context.school.cheekRoute);
		if (places.length < 2) return null;
		const made = makeStep(basicTechnique('light-stroke'), {
			id: freeId(context, `drain-${placeOf(zone)}`),
			places,
			overrides: { pressure: 1, dose: { kind: 'reps', min: 3, target: 4, max: 10 } }
		});
		return insertStep(
			context.sequence,
			made,
			{ after: finding.stepIds[0]! },
			`Drain after step ${finding.params.number}`
		);
	}
};
