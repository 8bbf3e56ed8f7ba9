import type { PlaceRef } from '../atlas/places';
import type { CheekRoute } from '../atlas/route';
import type { Step } from '../step/step.schema';
import { MEDIA } from '../medium/media';
import type { Aim } from '../vocabulary/vocabulary';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { plain, type Reader } from './reader';

/** What a clause may lean on while it is read. */
export interface ReadContext {
	readonly cheekRoute: CheekRoute;
	/** What the step is for: words for a part of the body mean its nodes, its skin or its main place. */
	readonly aim?: Aim;
	/** Its way. */
	readonly places?: readonly PlaceRef[];
	/** Media that the text carries itself, besides those that ship. */
	readonly media?: readonly string[];
	/** How much a drop and a pump of the bottle are, ml. */
	readonly amounts?: { readonly dropMl: number; readonly pumpMl: number };
	/** The notation that the text was written in, where it says so. */
	readonly version?: number;
}

/** What a clause is written from: the step, and the same step with only its aim, places and defaults. */
export interface WriteContext {
	readonly step: Step;
	readonly bare: Pick<Step, 'contact' | 'motion' | 'pressure' | 'paceSeconds' | 'by'>;
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
	/** May stand several times in one step, or beside another clause of the same field: what both say together. */
	readonly joins?: (before: Partial<Step>, change: Partial<Step>) => Partial<Step> | null;
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
/** A medium and how much of it, as a step and the head of a sequence say it; one that does not ship stands in quotes. */
export const mediumWord = ({ id, ml }: MediumUse): string =>
	`${MEDIA.some((m) => m.id === id) ? id : inQuotes(id)} ${ml} ml`;

const MEDIUM_WORDS: ReadonlyMap<string, string> = new Map(
	MEDIA.flatMap((m) => [[plain(m.title), m.id] as const, [m.id, m.id] as const])
);

/**
 * A medium and its amount in millilitres, drops or pumps. A name that nobody knows is asked about; in quotes it is taken
 * as it stands.
 * @throws {Misread} where the name, the amount or its unit is missing, or the name is not known
 */
export function readMedium(reader: Reader, { media = [], amounts = DEFAULT_WORKING }: ReadContext): MediumUse {
	const quoted = reader.next?.kind === 'text';
	const own = new Map(media.map((id) => [plain(id), id]));
	const id = quoted ? reader.text('a medium') : (reader.phrase(own) ?? reader.phrase(MEDIUM_WORDS));
	if (id === null)
		return reader.fail(
			MEDIA.slice(0, 4).map((m) => m.id),
			reader.next ? `“${reader.next.value}” is no medium that we know; put one of your own in quotes.` : undefined
		);
	const amount = reader.number('an amount in ml, drops or pumps');
	if (reader.eat('drops') || reader.eat('drop')) return { id, ml: rounded(amount * amounts.dropMl) };
	if (reader.eat('pumps') || reader.eat('pump')) return { id, ml: rounded(amount * amounts.pumpMl) };
	reader.need('ml');
	return { id, ml: amount };
}

const rounded = (ml: number): number => Math.round(ml * 1000) / 1000;

/** Seconds or minutes, as seconds. @throws {Misread} where the number or its unit is missing */
export function readSeconds(reader: Reader, what: string): number {
	const amount = reader.number(what);
	if (reader.eat('min') || reader.eat('minutes') || reader.eat('minute')) return amount * 60;
	if (!reader.eat('seconds')) reader.need('s');
	return amount;
}
