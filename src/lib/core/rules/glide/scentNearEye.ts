import { mediumById } from '../../medium/media';
import { makeEdit } from '../../sequence/edits';
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
		return makeEdit(context.sequence, 'Take an unscented oil', (draft) => {
			if (draft.medium && scented(draft.medium.id, media)) draft.medium.id = 'light-oil';
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const { medium } of block.steps) if (medium && scented(medium.id, media)) medium.id = 'light-oil';
		});
	}
};
