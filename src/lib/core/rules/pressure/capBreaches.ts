import { capAt, capsAt, type CapReason } from '../../pressure/caps';
import type { Level } from '../../step/levels';
import { setStep } from '../../sequence/edits';
import { levelsOf, peakLevel } from '../../step/levelsOf';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';

type Breaches = ReadonlyMap<CapReason, readonly RawFinding[]>;
const known = new WeakMap<JudgeContext, Breaches>();

/** Every cap that a step presses above, by its reason, none hidden by another; found once for the six rules that read it. */
function breachesOf(context: JudgeContext): Breaches {
	const before = known.get(context);
	if (before) return before;
	const found = new Map<CapReason, RawFinding[]>();
	for (const { step, number } of context.steps) {
		// A touch is below every cap.
		if (peakLevel(step) === 0) continue;
		const levels = levelsOf(step);
		const seen: CapReason[] = [];
		step.places.forEach((place, i) => {
			const given = levels[i] ?? levels[0]!;
			for (const { reason, level, severity } of capsAt(step, place, context.school)) {
				if (given <= level || seen.includes(reason)) continue;
				seen.push(reason);
				const params = { number, given, cap: level };
				const finding = { stepIds: [step.id], place, params, severity, floor: severity };
				found.set(reason, [...(found.get(reason) ?? []), finding]);
			}
		});
	}
	known.set(context, found);
	return found;
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
		const levels = step.places.map((place, i) => {
			const given = levelsOf(step)[i]!;
			return Math.min(given, capAt(step, place, context.school)?.level ?? 4) as Level;
		});
		const change = step.levels ? { levels } : { pressure: Math.min(...levels) as Level };
		return setStep(context.sequence, step.id, change, `Lower the pressure of step ${finding.params.number}`);
	}
});
