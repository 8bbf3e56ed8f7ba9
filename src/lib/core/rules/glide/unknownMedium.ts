import { MEDIA } from '../../medium/media';
import { makeEdit } from '../../sequence/edits';
import type { JudgeContext, RawFinding, Rule } from '../rule';

const isKnown = (id: string, { sequence }: JudgeContext): boolean =>
	MEDIA.some((m) => m.id === id) || sequence.media.some((m) => m.id === id);

/** A medium that nobody knows is asked about: until then it is reckoned with as a light oil. */
export const unknownMedium: Rule = {
	id: 'unknown-medium',
	kind: 'glide',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check(context): RawFinding[] {
		const head = context.sequence.medium;
		const whole = head && !isKnown(head.id, context) ? [{ stepIds: [], params: { medium: head.id, number: 0 } }] : [];
		const steps = context.steps.flatMap(({ step, number }) =>
			step.medium && !isKnown(step.medium.id, context)
				? [{ stepIds: [step.id], params: { medium: step.medium.id, number } }]
				: []
		);
		return [...whole, ...steps];
	},
	fix(context, finding) {
		const unknown = String(finding.params.medium);
		return makeEdit(context.sequence, 'Take a light oil', (draft) => {
			if (draft.medium?.id === unknown) draft.medium.id = 'light-oil';
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const { medium } of block.steps) if (medium?.id === unknown) medium.id = 'light-oil';
		});
	}
};
