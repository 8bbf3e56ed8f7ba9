import { expand } from '$lib/core/sequence/expand';
import type { Step } from '$lib/core/step/step.schema';
import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

/** Seconds that a step would take by itself. */
export function timingOfStep(step: Step, draft: SequenceDraft): number {
	const alone = {
		...draft.sequence,
		phases: [
			{
				id: 'p',
				title: 'p',
				exitAfter: false,
				blocks: [{ id: 'b', title: '', sides: 'asSteps' as const, steps: [step] }]
			}
		]
	};
	return expand(alone, draft.context).at(-1)?.endSeconds ?? 0;
}
