import type { CheekRoute } from '../atlas/route';
import type { Step } from '../step/step.schema';
import type { Reader } from './reader';

/** What a clause may lean on while it is read. */
export interface ReadContext {
	readonly cheekRoute: CheekRoute;
}

/** What a clause is written from: the step, and the same step with only its aim, places and defaults. */
export interface WriteContext {
	readonly step: Step;
	readonly bare: Pick<Step, 'contact' | 'motion' | 'pressure' | 'paceSeconds'>;
}

/** One kind of clause of a step line. The grammar page, the completion and the explanations are made from these. */
export interface Clause {
	readonly id: string;
	/** The form, with what varies in <angle brackets>. */
	readonly form: string;
	/** What it says, in a sentence. */
	readonly says: string;
	/** A clause as it may be written; the page shows it, the test reads it. */
	readonly example: string;
	/** Texts stand on a line of their own under the step. */
	readonly below?: boolean;
	/** The fields of a step that it sets: a problem with one of them is shown at this clause. */
	readonly fields: readonly (keyof Step)[];
	/** The words with which it may begin, for completion. */
	readonly words: readonly string[];
	/** What it says of the step; null where it is another kind of clause. @throws {Misread} where it goes wrong */
	readonly read: (reader: Reader, context: ReadContext) => Partial<Step> | null;
	/** The clause of this step; null where it goes without saying. */
	readonly write: (context: WriteContext) => string | null;
}

/** A text as it is written: in quotes, with its signs escaped. */
export const inQuotes = (text: string): string => JSON.stringify(text);

/** A name as it is written: bare where it is one plain word, else in quotes. */
export const nameWord = (name: string): string => (/^[a-z][a-z\d_]*(-[a-z\d_]+)*$/i.test(name) ? name : inQuotes(name));

type MediumUse = NonNullable<Step['medium']>;
/** A medium and how much of it, as a step and the head of a sequence say it. */
export const mediumWord = ({ id, ml }: MediumUse): string => `${nameWord(id)} ${ml} ml`;
/** @throws {Misread} where the name, the amount or its unit is missing */
export function readMedium(reader: Reader): MediumUse {
	const id = reader.name('a medium');
	const ml = reader.number('millilitres');
	reader.need('ml');
	return { id, ml };
}
