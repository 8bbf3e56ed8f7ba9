import type { Finding } from './rule';
import { BODY_WORDS, EFFORT_WORDS, HYGIENE_WORDS, INSIDE_WORDS, TAPE_WORDS } from './words/tapeInsideHygiene';
import { CLIENT_WORDS } from './words/client';
import { DIRECTION_WORDS } from './words/direction';
import { DOSE_WORDS, GLIDE_WORDS } from './words/dose';
import { ORDER_WORDS } from './words/order';
import type { Sentence, Words } from './words/phrases';
import { PRESSURE_WORDS } from './words/pressure';

export type { Sentence } from './words/phrases';

/** One sentence pair a rule: the same words on the screen, on the sheet and in the server's answer. */
const WORDS: Words = {
	...PRESSURE_WORDS,
	...ORDER_WORDS,
	...DIRECTION_WORDS,
	...DOSE_WORDS,
	...GLIDE_WORDS,
	...TAPE_WORDS,
	...INSIDE_WORDS,
	...HYGIENE_WORDS,
	...EFFORT_WORDS,
	...BODY_WORDS,
	...CLIENT_WORDS
};

/** The sentence of a finding. */
export function sentenceOf(finding: Finding): Sentence {
	return WORDS[finding.ruleId]?.say(finding) ?? { head: finding.ruleId, body: '' };
}

/** What the fix of a rule is called on its button; null where the rule has none. */
export const fixLabel = (ruleId: string): string | null => WORDS[ruleId]?.fix ?? null;
