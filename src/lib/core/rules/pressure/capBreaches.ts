import { capAt, capsAt, capsHeld, safeLevel, type Cap, type CapReason } from '../../pressure/caps';
import type { School } from '../../school/school.schema';
import type { PlaceRef } from '../../atlas/places';
import type { Part } from '../../step/common.schema';
import { placesTouched, strokesOf } from '../../step/parts';
import type { Step } from '../../step/step.schema';
import type { Level } from '../../step/levels';
import { setStep } from '../../sequence/edits';
import { levelsOf, peakLevel, reachedLevel } from '../../step/levelsOf';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';

type Breaches = ReadonlyMap<CapReason, readonly RawFinding[]>;
const known = new WeakMap<JudgeContext, Breaches>();

/** Every cap that a step presses above, by its reason, none hidden by another; found once for the six rules that read it. */
function breachesOf(context: JudgeContext): Breaches {
	const before = known.get(context);
	if (before) return before;
	const found = new Map<CapReason, RawFinding[]>();
	for (const { step, number } of context.steps) {
		const seen: CapReason[] = [];
		const report = (place: PlaceRef, given: number, caps: readonly Cap[]) => {
			// What would be too deep by hand as well is not put down to the edge.
			const byHand = caps.some((c) => c.reason !== 'edge' && given > c.level);
			for (const { reason, level, severity } of caps) {
				if (given <= level || seen.includes(reason) || (reason === 'edge' && byHand)) continue;
				seen.push(reason);
				const params = { number, given, cap: level };
				const finding = { stepIds: [step.id], place, params, severity, floor: severity };
				const alike = found.get(reason);
				if (alike) alike.push(finding);
				else found.set(reason, [finding]);
			}
		};
		for (const stroke of strokesOf(step)) {
			// A touch is below every cap.
			if (peakLevel(stroke) === 0) continue;
			const levels = levelsOf(stroke);
			stroke.places.forEach((place, i) => {
				const given = reachedLevel(stroke, levels[i] ?? levels[0]!);
				report(place, given, capsAt(stroke, place, context.school));
			});
		}
		if (step.support?.place) report(step.support.place, peakLevel(step), capsHeld(step, context.school));
	}
	known.set(context, found);
	return found;
}

/** A part of a repetition no deeper than its own places allow. */
function loweredPart(part: Part, step: Step, school: School): Part {
	const own = { ...step, motion: part.motion };
	const given = part.pressure ?? levelsOf(step).at(-1)!;
	return { ...part, pressure: safeLevel(own, part.places ?? step.places, given, school) };
}

type CapRule = Pick<Rule, 'id' | 'severity' | 'floor' | 'ceiling' | 'policy'>;

/** A rule about one kind of cap; a long sweep is judged place by place, and the fix lowers no more than it must. */
export const capRule = (reason: CapReason, rule: CapRule): Rule => ({
	...rule,
	kind: 'pressure',
	safe: true,
	check: (context) => [...(breachesOf(context).get(reason) ?? [])],
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const held = Math.min(4, ...capsHeld(step, context.school).map(({ level }) => level));
		const levels = step.places.map((place, i) => {
			const given = levelsOf(step)[i]!;
			return Math.min(given, held, capAt(step, place, context.school)?.level ?? 4) as Level;
		});
		const change: Partial<Step> = step.levels
			? { levels }
			: { pressure: Math.min(step.pressure ?? 0, ...levels) as Level };
		const safe = Math.min(held, safeLevel(step, placesTouched(step), 4, context.school)) as Level;
		if (step.parts) change.parts = step.parts.map((part) => loweredPart(part, step, context.school));
		if (step.beside || step.laneWays)
			Object.assign(change, { pressure: Math.min(peakLevel(step), safe), levels: undefined });
		for (const field of ['risesTo', 'swellsTo'] as const)
			if (step[field] !== undefined) change[field] = step[field] > safe ? undefined : step[field];
		if (step.besideWork?.pressure !== undefined)
			change.besideWork = { ...step.besideWork, pressure: Math.min(step.besideWork.pressure, safe) as Level };
		return setStep(context.sequence, step.id, change, `Lower the pressure of step ${finding.params.number}`);
	}
});
