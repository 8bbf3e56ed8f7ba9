import { dequal } from 'dequal';
import { z } from 'zod';
import { SKIN_TONES } from '../client/skinTones';
import { LicenceSchema } from '../screening/licence';
import { IdSchema } from '../step/common.schema';
import { RecordFields, type RecordKind } from './record';
import { VOICES } from './voices';
import { WAITS } from './waits';

/** What the application remembers about itself. */
export const SettingsSchema = z.strictObject({
	...RecordFields,
	id: z.literal('settings'),
	theme: z.enum(['auto', 'day', 'evening', 'sunset']).default('auto'),
	/** Where the practice is, to a degree or so, for the hour of sunset; null: not told. */
	place: z
		.strictObject({ latitude: z.number().min(-90).max(90), longitude: z.number().min(-180).max(180) })
		.nullable()
		.default(null),
	/** Skin of the figure on the maps. */
	skinTone: z.enum(SKIN_TONES).default('sand'),
	units: z.enum(['mm', 'inch']).default('mm'),
	tone: z.boolean().default(true),
	/** How much is said on the stage, and how fast: 1 as the voice usually speaks. */
	voice: z.enum(VOICES).default('none'),
	voiceRate: z.number().min(0.6).max(1.6).default(1),
	/** What waits for a signal on the stage. */
	waits: z.enum(WAITS).default('signs'),
	/** Spoken words lead the stage, where they are recognised on this machine. */
	listens: z.boolean().default(false),
	/** Grades after a session are given without seeing those before. */
	gradesBlind: z.boolean().default(false),
	cautionSeenAt: z.iso.datetime().nullable().default(null),
	/** When the user was last asked whether the browser shall keep the records for good. */
	keepAskedAt: z.iso.datetime().nullable().default(null),
	/** When all of it was last exported. */
	exportedAt: z.iso.datetime().nullable().default(null),
	/** What the practice says that its licence covers. */
	licence: LicenceSchema.default([]),
	currentClientId: IdSchema.nullable().default(null)
});
export type Settings = z.infer<typeof SettingsSchema>;

export const settingsKind: RecordKind<Settings> = {
	id: 'settings',
	table: 'settings',
	title: 'Settings',
	titles: 'Settings',
	what: 'Look, units, sound, and who comes next.',
	schema: SettingsSchema,
	indexes: { 1: 'id' },
	limit: 1,
	refs: [
		{
			to: 'client',
			index: null,
			of: (s) => (s.currentClientId ? [s.currentClientId] : []),
			removed: (s) => ({ ...s, currentClientId: null }),
			must: false
		}
	],
	meets: 'mine',
	preview: 'silent',
	nameOf: () => 'Settings',
	yields: (mine) => {
		const plain = SettingsSchema.parse({ id: mine.id, revision: mine.revision, updatedAt: mine.updatedAt });
		const { cautionSeenAt, keepAskedAt, exportedAt } = mine;
		return dequal(mine, { ...plain, cautionSeenAt, keepAskedAt, exportedAt });
	},
	// Who has agreed here has agreed here.
	over: ({ cautionSeenAt, keepAskedAt, exportedAt }, theirs) => ({ ...theirs, cautionSeenAt, keepAskedAt, exportedAt })
};
