import { capAt, type CapReason } from '../pressure/caps';
import type { Level } from '../pressure/levels';
import { setStep } from '../sequence/edits';
import { levelsOf, peakLevel } from '../sequence/walk';
import { stepOfFinding, type RawFinding, type Rule } from './rule';

/** No place is pressed above its cap; a long sweep is judged place by place. */
export const pressureCap: Rule = {
	id: 'pressure-cap',
	title: 'Pressure within its caps',
	why: 'Eyelids and throat never above light. Nodes light where the move stays on them. Fluid and muscle as the school holds it. Over a stone’s edge one level less than by hand.',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	check(context) {
		return context.steps.flatMap(({ step, number }) => {
			const levels = levelsOf(step);
			const found = new Map<CapReason, RawFinding>();
			// A touch is below every cap.
			if (peakLevel(step) === 0) return [];
			step.places.forEach((place, i) => {
				const cap = capAt(step, place, context.school);
				const given = levels[i] ?? levels[0]!;
				if (!cap || given <= cap.level || found.has(cap.reason)) return;
				const params = { number, given, cap: cap.level, reason: cap.reason };
				const { severity } = cap;
				found.set(cap.reason, { stepIds: [step.id], place, params, severity, floor: severity });
			});
			return [...found.values()];
		});
	},
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
};
