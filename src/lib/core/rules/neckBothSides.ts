import { placeOf } from '../atlas/places';
import { setStep } from '../sequence/edits';
import { levelsOf } from '../sequence/walk';
import type { Step } from '../sequence/sequence.schema';
import { stepOfFinding, type Rule } from './rule';

/** Over the carotid sinus: the front and the side of the neck. */
const NECK: readonly string[] = ['throat', 'sternocleidomastoid', 'n:deep-cervical'];

function firmOnNeck(step: Step, firmLevel: number): boolean {
	if (step.side !== 'both' && step.side !== 'midline') return false;
	const levels = levelsOf(step);
	return step.places.some((ref, i) => NECK.includes(placeOf(ref)) && (levels[i] ?? levels[0]!) >= firmLevel);
}

/** Never firmly on both sides of the neck at once. */
export const neckBothSides: Rule = {
	id: 'neck-both-sides',
	title: 'One side of the neck at a time',
	why: 'Pressing both carotid sinuses at once can slow the heart and make a person faint.',
	severity: 'stop',
	floor: 'stop',
	ceiling: 'stop',
	check(context) {
		return context.steps
			.filter(({ step }) => firmOnNeck(step, context.working.neckFirmLevel))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const side = { each: true as const, first: 'left' as const };
		return setStep(context.sequence, step.id, { side }, `Do step ${finding.params.number} one side at a time`);
	}
};
