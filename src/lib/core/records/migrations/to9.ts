import type { RecordMigration } from './migration';

/** As they are where nobody was asked yet. */
const NOBODY_ASKED = {
	contact: '',
	birthYear: null,
	performer: 'client',
	skinTone: null,
	preferences: { pressure: 'usual', likes: [], dislikes: [], cheekRoute: 'either', room: '', voice: '' },
	goals: [],
	asymmetry: { places: [], note: '', since: null },
	allergies: '',
	marks: [],
	consents: [],
	answers: [],
	clearances: [],
	followUps: []
} as const;

/** Clients are asked, marked and cleared; a session keeps what held that day; the practice says what its licence covers. */
export const to9: RecordMigration = {
	to: 9,
	name: 'screening',
	records: {
		client: (raw) => ({ ...structuredClone(NOBODY_ASKED), ...raw }),
		session: (raw) => ({ screened: null, ...raw }),
		settings: (raw) => ({ licence: [], exportedAt: null, ...raw })
	}
};
