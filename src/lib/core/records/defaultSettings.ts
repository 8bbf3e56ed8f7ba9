/** The settings as they are where nothing was set yet. */
export const DEFAULT_SETTINGS = {
	theme: 'auto' as const,
	place: null,
	skinTone: 'sand' as const,
	units: 'mm' as const,
	tone: true,
	voice: 'none' as const,
	voiceRate: 1,
	volume: 1,
	stageDistanceM: 1.5,
	waits: 'signs' as const,
	listens: false,
	gradesBlind: false,
	findsFaces: false,
	cautionSeenAt: null,
	keepAskedAt: null,
	exportedAt: null,
	licence: [] as never[],
	currentClientId: null
};
