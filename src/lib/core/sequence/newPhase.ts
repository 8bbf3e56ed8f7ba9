import type { Phase } from './sequence.schema';

/** An empty phase with one block. */
export function newPhase(id: string, title: string): Phase {
	return {
		id,
		title,
		exitAfter: false,
		blocks: [{ id: `${id}-b1`, title: '', sides: 'asSteps', steps: [] }]
	};
}
