import type { School } from '../school/school.schema';
import { newPhase } from './newPhase';
import type { Sequence } from './sequence.schema';
import { SEQUENCE_VERSION } from './format';

export interface NewSequenceOptions {
	readonly id: string;
	/** ISO date and time. */
	readonly updatedAt: string;
	readonly school: School;
	readonly title?: string;
	readonly budgetSeconds?: number;
}

/** An empty sequence with the three phases that every school knows: opening, work, closing. */
export function newSequence({
	id,
	updatedAt,
	school,
	title = 'Untitled',
	budgetSeconds = 600
}: NewSequenceOptions): Sequence {
	return {
		format: 'soft-tide/sequence',
		version: SEQUENCE_VERSION,
		id,
		revision: 0,
		updatedAt,
		title,
		notes: '',
		goals: [],
		budgetSeconds,
		school,
		techniques: [],
		media: [],
		links: 'hand',
		mutes: [],
		performer: 'client',
		orientation: 'facing',
		medium: null,
		phases: [newPhase('open', 'Open'), newPhase('work', 'Face'), newPhase('close', 'Close')]
	};
}
