import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { zoneOf } from '../../atlas/regionOf';
import { contactRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';

type Reach = 'nape' | 'shoulder';

/** What of a step one cannot reach or do on oneself; null where all of it can be done. */
export function outOfReach(step: Step): Reach | null {
	const zones = step.places.map(zoneOf);
	// The head does the work against a hand that is still.
	if (step.support?.head) return null;
	if (zones.includes('nape') && contactRow(step.contact).strong) return 'nape';
	// Crossed arms reach both shoulders, but have no strength there; hands laid over one another reach all of it.
	if (zones.includes('shoulder') && step.side === 'both' && contactRow(step.contact).strong) return 'shoulder';
	return null;
}

const MENDED: Record<Reach, Partial<Step>> = {
	nape: { contact: 'pads-3' },
	shoulder: { side: { each: true, first: 'left' } }
};

/** What one does on oneself, one can reach. */
export const selfReach: Rule = {
	id: 'self-reach',
	kind: 'body',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ sequence, steps }) =>
		sequence.performer === 'client'
			? []
			: steps.flatMap(({ step, number }) => {
					const reach = outOfReach(step);
					return reach ? [{ stepIds: [step.id], params: { number, reach } }] : [];
				}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		let change: Partial<Step> = {};
		for (let n = 0; n < 3; n++) {
			const reach = outOfReach({ ...step, ...change });
			if (reach) change = { ...change, ...MENDED[reach] };
		}
		return setStep(context.sequence, step.id, change, `Make step ${finding.params.number} reachable`);
	}
};
