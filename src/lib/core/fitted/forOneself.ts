import { fixIn, judge, type JudgeInput } from '../rules/judge';
import { outOfReach } from '../rules/body/selfReach';
import { edited } from '../sequence/edits';
import type { Sequence } from '../sequence/sequence.schema';
import { mapSteps, stepsOf } from '../sequence/walk';
import { stepTitle } from '../step/describe';
import type { Step } from '../step/step.schema';

/** A sequence as one does it on oneself. */
export interface ForOneself {
	readonly sequence: Sequence;
	/** What is otherwise than for a client, line by line. */
	readonly changes: readonly string[];
}

/** Somebody else's hands or head are needed. */
const needsAnother = (step: Step): boolean => step.by === 'practitioner' && step.support?.head !== undefined;

/**
 * Before a mirror, with two hands: what takes both hands on one side is done side after side, what one does not reach is done
 * as one does, and what needs somebody else is left out. The sequence itself stays as it is.
 */
export function forOneself(sequence: Sequence, given: JudgeInput): ForOneself {
	const changes: string[] = [];
	let now: Sequence = { ...sequence, performer: 'self', orientation: 'mirror' };
	const said = (step: Step, what: string) => {
		const number = stepsOf(sequence).find((s) => s.step.id === step.id)?.number ?? 0;
		changes.push(`${number}. ${stepTitle(step)}: ${what}`);
	};
	now = mapSteps(now, (step) => {
		if (!needsAnother(step)) return step;
		said(step, 'left out, it needs somebody else’s hands');
		return null;
	});
	const IDS = ['two-hands', 'self-reach'];
	// Each fix may bring the other one about; more rounds than steps are not needed.
	for (let round = 0; round < 2 * stepsOf(now).length; round++) {
		const judgement = judge(now, given);
		const finding = judgement.findings.find((f) => IDS.includes(f.ruleId) && fixIn(judgement.context, f));
		if (!finding) break;
		const step = judgement.context.byId.get(finding.stepIds[0]!)!.step;
		said(step, finding.ruleId === 'two-hands' ? 'one side, then the other' : 'as far as one reaches');
		now = edited(now, fixIn(judgement.context, finding)!);
	}
	// What no fix reaches is left out: it cannot be done.
	now = mapSteps(now, (step) => {
		if (!outOfReach(step)) return step;
		said(step, 'left out, one does not reach it');
		return null;
	});
	return { sequence: now, changes };
}
