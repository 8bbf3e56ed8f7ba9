import { dequal } from 'dequal';
import { z } from 'zod';
import { SKIN_TONES } from '../client/skinTones';
import { LicenceSchema } from '../screening/licence.schema';
import { ClientIdSchema } from '../step/common.schema';
import { DEFAULT_SETTINGS } from './defaultSettings';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';
import { VOICES } from './voices';
import { WAITS } from './waits';

/** What the application remembers about itself. */
export const SettingsSchema = z.strictObject({
	...RecordFields,
	id: z.literal('settings'),
	theme: z.enum(['auto', 'day', 'evening', 'sunset']).default(DEFAULT_SETTINGS.theme),
	/** Where the practice is, to a degree or so, for the hour of sunset; null: not told. */
	place: z
		.strictObject({ latitude: z.number().min(-90).max(90), longitude: z.number().min(-180).max(180) })
		.nullable()
		.default(DEFAULT_SETTINGS.place),
	/** Skin of the figure on the maps. */
	skinTone: z.enum(SKIN_TONES).default(DEFAULT_SETTINGS.skinTone),
	units: z.enum(['mm', 'inch']).default(DEFAULT_SETTINGS.units),
	tone: z.boolean().default(DEFAULT_SETTINGS.tone),
	/** How much is said on the stage, and how fast: 1 as the voice usually speaks. */
	voice: z.enum(VOICES).default(DEFAULT_SETTINGS.voice),
	voiceRate: z.number().min(0.6).max(1.6).default(DEFAULT_SETTINGS.voiceRate),
	/** Of tones and voice: 1 as the device has it. */
	volume: z.number().min(0.1).max(1).default(DEFAULT_SETTINGS.volume),
	/** From the eyes to the screen of the stage, m. */
	stageDistanceM: z.number().min(0.4).max(3).default(DEFAULT_SETTINGS.stageDistanceM),
	/** What waits for a signal on the stage. */
	waits: z.enum(WAITS).default(DEFAULT_SETTINGS.waits),
	/** Spoken words lead the stage, where they are recognised on this machine. */
	listens: z.boolean().default(DEFAULT_SETTINGS.listens),
	/** Grades after a session are given without seeing those before. */
	gradesBlind: z.boolean().default(DEFAULT_SETTINGS.gradesBlind),
	/** A face is looked for on photographs; its library and weights are fetched then. */
	findsFaces: z.boolean().default(DEFAULT_SETTINGS.findsFaces),
	cautionSeenAt: z.iso.datetime().nullable().default(DEFAULT_SETTINGS.cautionSeenAt),
	/** When the user was last asked whether the browser shall keep the records for good. */
	keepAskedAt: z.iso.datetime().nullable().default(DEFAULT_SETTINGS.keepAskedAt),
	/** When all of it was last exported. */
	exportedAt: z.iso.datetime().nullable().default(DEFAULT_SETTINGS.exportedAt),
	/** What the practice says that its licence covers. */
	licence: LicenceSchema.default(DEFAULT_SETTINGS.licence),
	currentClientId: ClientIdSchema.nullable().default(DEFAULT_SETTINGS.currentClientId)
});
export type Settings = z.infer<typeof SettingsSchema>;

export const settingsKind: RecordKind<Settings> = {
	id: 'settings',
	...TABLES.settings,
	title: 'Settings',
	titles: 'Settings',
	what: 'Look, units, sound, and who comes next.',
	schema: SettingsSchema,
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
		const { cautionSeenAt, keepAskedAt, exportedAt } = mine;
		const { id, revision, updatedAt } = mine;
		return dequal(mine, { ...DEFAULT_SETTINGS, id, revision, updatedAt, cautionSeenAt, keepAskedAt, exportedAt });
	},
	// Who has agreed here has agreed here.
	over: ({ cautionSeenAt, keepAskedAt, exportedAt }, theirs) => ({ ...theirs, cautionSeenAt, keepAskedAt, exportedAt })
};
