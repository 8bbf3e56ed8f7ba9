import type { Medium } from '../medium/medium.schema';
import type { Technique } from '../technique/technique.schema';
import { insertStep, joinEdits, makeEdit, type Spot } from './edits';
import type { Edit } from './edit.schema';
import type { Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Puts the user's own technique into the sequence that uses it, so that it travels with the file; null where it is there. */
export function embedTechnique(sequence: Sequence, technique: Technique): Edit | null {
	if (sequence.techniques.some((t) => same(t, technique))) return null;
	return makeEdit(sequence, `Take along ${technique.title}`, (draft) => {
		draft.techniques = [
			...sequence.techniques.filter((t) => t.id !== technique.id),
			technique
		] as typeof draft.techniques;
	});
}

/** The same for the user's own medium. */
export function embedMedium(sequence: Sequence, medium: Medium): Edit | null {
	if (sequence.media.some((m) => same(m, medium))) return null;
	return makeEdit(sequence, `Take along ${medium.title}`, (draft) => {
		draft.media = [...sequence.media.filter((m) => m.id !== medium.id), medium] as typeof draft.media;
	});
}

/** Adds a step made from a technique; one's own technique comes along, as part of the same edit. */
export function insertTechnique(sequence: Sequence, step: Step, spot: Spot, own: Technique | null): Edit {
	const insertion = insertStep(sequence, step, spot);
	const along = own && embedTechnique(sequence, own);
	return along ? joinEdits(insertion.label, [insertion, along]) : insertion;
}
