import { moveStepsBefore, relocateStep } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import type { PlacedStep } from '../../sequence/walk';
import type { Finding, JudgeContext, RawFinding } from '../rule';

/** A step that comes back to what was left, with the last step of the earlier visit. */
interface Return {
	readonly placed: PlacedStep;
	readonly lastBefore: PlacedStep;
	readonly what: string;
}

/** Where, within a phase, something is taken up again after something else was done; steps without it are looked past. */
function returnsOf(steps: readonly PlacedStep[], whatOf: (s: PlacedStep) => string | null): Return[] {
	const found: Return[] = [];
	let phaseId = '';
	let current = '';
	let last = new Map<string, PlacedStep>();
	for (const placed of steps) {
		if (placed.phase.id !== phaseId) [phaseId, current, last] = [placed.phase.id, '', new Map()];
		const what = placed.step.onlyIf === undefined ? whatOf(placed) : null;
		if (what === null) continue;
		const before = last.get(what);
		// Rounds over the same places are one return, not one a round.
		const known = found.some((r) => r.what === what && r.placed.phase.id === phaseId);
		if (what !== current && before && what !== '' && !known) found.push({ placed, lastBefore: before, what });
		current = what;
		last.set(what, placed);
	}
	return found;
}

/** The two rules of effort differ only in what is come back to. */
export function returnRule(whatOf: (s: PlacedStep) => string | null) {
	return {
		check: ({ steps }: JudgeContext): RawFinding[] =>
			returnsOf(steps, whatOf).map(({ placed, lastBefore, what }) => ({
				stepIds: [placed.step.id],
				params: { number: placed.number, before: lastBefore.number, what }
			})),
		fix(context: JudgeContext, finding: Finding): Edit | null {
			const found = returnsOf(context.steps, whatOf).find((r) => r.placed.step.id === finding.stepIds[0]);
			if (!found) return null;
			const label = `Take step ${finding.params.number} right after step ${finding.params.before}`;
			const next = context.steps.find((s) => s.number > found.lastBefore.number);
			if (next && next.block === found.lastBefore.block)
				return moveStepsBefore(context.sequence, finding.stepIds, next.step.id, label);
			return relocateStep(context.sequence, found.placed.step.id, { after: found.lastBefore.step.id });
		}
	};
}
