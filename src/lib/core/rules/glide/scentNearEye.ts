import { mediumById } from '../../medium/media';
import { replaceMedia } from '../../sequence/replaceMedia';
import type { Sequence } from '../../sequence/sequence.schema';
import { regionOf } from '../../atlas/regionOf';
import type { JudgeContext, Rule } from '../rule';

const scented = (id: string, own: Sequence['media']): boolean =>
	mediumById(id, own).allergens.includes('essential-oils');

/** Whether a scented medium is anywhere in use. */
const usesScent = ({ sequence, steps }: JudgeContext): boolean =>
	[sequence.medium, ...steps.map((s) => s.step.medium)].some((m) => m && scented(m.id, sequence.media));

/** No essential oils near the eyes. */
export const scentNearEye: Rule = {
	id: 'scent-near-eye',
	kind: 'glide',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	safe: true,
	check(context) {
		if (!usesScent(context)) return [];
		const eye = context.steps.find(({ step }) => step.places.some((p) => regionOf(p) === 'eye'));
		return eye ? [{ stepIds: [eye.step.id], params: { number: eye.number } }] : [];
	},
	fix(context) {
		const { media } = context.sequence;
		return replaceMedia(context.sequence, 'Take an unscented oil', (id) => (scented(id, media) ? 'light-oil' : id));
	}
};
