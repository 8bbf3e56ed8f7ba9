import type { CheekRoute } from '../atlas/route';
import type { Step } from '../step/step.schema';
import { STEP_FIELDS, type StepField, type StepFieldId } from '../step/stepFields';
import { CLAUSES } from './clauses';
import type { Clause } from './clause';
import { clausesOf, Misread, Reader, tokensOf } from './reader';

/** What a field may become by its words: a change of the step, or why the words are none. */
export type Said = { readonly change: Partial<Step> } | { readonly trouble: string };

const clauseOf = (field: StepFieldId): Clause => {
	const id = (STEP_FIELDS[field] as StepField).clause;
	const clause = CLAUSES.find((c) => c.id === id);
	if (!clause) throw new Error(`no clause writes the field: ${field}`);
	return clause;
};

/** The first word of a clause is the field itself: it is not said again where the field has its label. */
const KEYWORD = /^\S+\s+/;

/** A field in the words of the notation, without its keyword; empty where it goes without saying. */
export function fieldText(step: Step, field: StepFieldId): string {
	const bare = {
		contact: step.contact,
		motion: step.motion,
		pressure: step.pressure,
		paceSeconds: step.paceSeconds,
		by: step.by
	};
	const text = clauseOf(field).write({ step, bare });
	return text === null
		? ''
		: text
				.split(', ')
				.map((part) => part.replace(KEYWORD, ''))
				.join(', ');
}

/** How a field is written, and an example, without the keyword. */
export const fieldForm = (
	field: StepFieldId
): { readonly form: string; readonly example: string; readonly says: string } => {
	const { form, example, says } = clauseOf(field);
	return { form: form.replace(KEYWORD, ''), example: example.replace(KEYWORD, ''), says };
};

/**
 * A field from its words, with or without the keyword before them; where it is said several times, with commas between.
 * Empty words take it away.
 */
export function readField(step: Step, field: StepFieldId, text: string, cheekRoute: CheekRoute): Said {
	const clause = clauseOf(field);
	const gone = Object.fromEntries(clause.fields.map((f) => [f, f === 'lanes' ? 1 : undefined])) as Partial<Step>;
	if (!text.trim()) return { change: gone };
	const keyword = clause.example.split(' ')[0]!;
	try {
		let change: Partial<Step> = {};
		for (const said of clausesOf(tokensOf(text))) {
			const first = said.next;
			const worded =
				first?.value.toLowerCase() === keyword
					? said
					: new Reader([{ kind: 'word', value: keyword, column: 1, endColumn: 1 }, ...said.tokens], said.endColumn);
			const one = clause.read(worded, { cheekRoute, aim: step.aim }) ?? worded.fail([clause.example]);
			worded.end();
			change = Object.keys(change).length ? (clause.joins?.(change, one) ?? one) : one;
		}
		return { change };
	} catch (error) {
		if (!(error instanceof Misread)) throw error;
		const expected = error.expected.length ? ` Expected: ${error.expected.slice(0, 4).join(', or ')}.` : '';
		return { trouble: `${error.message}${expected}` };
	}
}
