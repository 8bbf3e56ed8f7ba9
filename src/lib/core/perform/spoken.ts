/** What may be said to the stage, each in the words that are heard for it. A new one is a row here. */
export const SPOKEN = {
	pause: ['pause', 'wait', 'stop'],
	go: ['go on', 'begin', 'continue'],
	back: ['again', 'step again'],
	skip: ['skip', 'next'],
	undo: ['undo', 'take it back'],
	more: ['more', 'one more'],
	less: ['less', 'one less'],
	otherSide: ['other side'],
	yes: ['yes', 'confirm'],
	no: ['no', 'no thanks'],
	where: ['where', 'where am i'],
	quiet: ['quiet', 'silence'],
	speak: ['speak', 'talk'],
	softer: ['softer'],
	louder: ['louder'],
	slower: ['slower'],
	faster: ['faster'],
	ten: ['ten minutes', 'ten minutes left', 'ten minutes to go'],
	swap: ['swap', 'another move'],
	redFlags: ['when to stop', 'red flags'],
	oil: ['oil', 'top up'],
	tender: ['tender', 'tender here'],
	lighter: ['lighter'],
	firmer: ['firmer']
} as const satisfies Record<string, readonly string[]>;
export type SpokenId = keyof typeof SPOKEN;

const BY_WORDS = (Object.entries(SPOKEN) as [SpokenId, readonly string[]][])
	.flatMap(([id, all]) => all.map((words) => ({ id, words })))
	.sort((a, b) => b.words.length - a.words.length);

/**
 * What was asked for in what was heard: only where it stands alone, so that talk with the client leads nothing.
 * @example spokenIn('Other side, please') // => 'otherSide'
 */
export function spokenIn(heard: string): SpokenId | null {
	const said = heard
		.toLowerCase()
		.replace(/[^a-z ]+/g, ' ')
		.replace(/\b(please|now|and|um|uh)\b/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
	return BY_WORDS.find(({ words }) => words === said)?.id ?? null;
}
