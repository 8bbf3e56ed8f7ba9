import { capAt, type CapReason } from '../../pressure/caps';
import type { Level } from '../../step/levels';
import { setStep } from '../../sequence/edits';
import { levelsOf, peakLevel } from '../../step/levelsOf';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';

type Breaches = ReadonlyMap<CapReason, readonly RawFinding[]>;
const known = new WeakMap<JudgeContext, Breaches>();

/** Every place pressed above its cap, by the reason of the cap; found once for the six rules that read it. */
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
			const cap = capAt(step, place, context.school);
			const given = levels[i] ?? levels[0]!;
			if (!cap || given <= cap.level || seen.includes(cap.reason)) return;
			seen.push(cap.reason);
			const { severity } = cap;
			const finding = {
				stepIds: [step.id],
				place,
				params: { number, given, cap: cap.level },
				severity,
				floor: severity
			};
			found.set(cap.reason, [...(found.get(cap.reason) ?? []), finding]);
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
