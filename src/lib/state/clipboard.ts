import { blockAs, phaseAs } from '../core/notation/align';
import { parse, troubleText } from '../core/notation/parse';
import { printSteps } from '../core/notation/print';
import type { Trouble } from '../core/notation/reader';
import type { Draft } from 'immer';
import { addPhase, makeEdit, removeSteps, type Spot, insertSteps } from '../core/sequence/edits';
import type { Edit } from '../core/sequence/edit.schema';
import { spotFor } from '../core/sequence/placement';
import type { Phase, Sequence } from '../core/sequence/sequence.schema';
import { MAX_STEPS } from '../core/sequence/format';
import { type Step } from '../core/step/step.schema';
import { stepsOf } from '../core/sequence/walk';
import type { Technique } from '../core/technique/technique.schema';
import type { SequenceDraft } from './sequenceDraft.svelte';
import { techniqueByName } from '../core/technique/byName';

/** The chosen steps as text. Out of a block that is done side by side they take its sides along. */
export function copiedText(sequence: Sequence, ids: ReadonlySet<string>): string {
	return printSteps(
		stepsOf(sequence)
			.filter((s) => ids.has(s.step.id))
			.map(({ step, block }) => (block.sides === 'asSteps' ? step : { ...step, side: block.sides }))
	);
}

/** The edit that takes cut steps out. */
export const removed = (sequence: Sequence, ids: ReadonlySet<string>): Edit => removeSteps(sequence, [...ids]);

const NOT_ADDED = 'This could not be added, nothing was changed.';

export type Pasted = { readonly steps: readonly Step[] } | { readonly troubles: readonly Trouble[] };

/** The steps of a text, each with an id of its own; phases and blocks are taken apart. */
export function stepsFromText(
	text: string,
	sequence: Sequence,
	moves: readonly Technique[],
	newId: () => string
): Pasted {
	const parsed = parse(text, {
		techniqueOf: (name) => techniqueByName(moves, name),
		cheekRoute: sequence.school.cheekRoute,
		media: sequence.media.map((m) => m.id)
	});
	if (parsed.troubles.length) return { troubles: parsed.troubles };
	const steps = parsed.phases.flatMap((p) =>
		p.blocks.flatMap((b) =>
			b.steps.map(({ step }): Step => {
				const made = { ...step, id: newId() };
				return b.sides === 'asSteps' ? made : { ...made, side: b.sides };
			})
		)
	);
	if (steps.length) return { steps };
	const message = text.trim() ? 'There is no step in this text.' : 'The clipboard is empty.';
	return {
		troubles: [{ line: 1, column: 1, endColumn: 2, message, expected: ['a line such as drain chin > jawline'] }]
	};
}

/**
 * A line that is typed: steps go in after the chosen one, or to the end of the phase that was typed before; a line of a
 * phase begins one after the chosen step, and names it for the lines that follow.
 * @returns null where it could not be done; why not is said by the draft
 */
export function typeLine(
	draft: SequenceDraft,
	text: string,
	moves: readonly Technique[],
	newId: () => string,
	into: string | null
): { readonly into: string | null } | null {
	if (!text.trimStart().startsWith('~')) {
		const phase = draft.sequence.phases.find((p) => p.id === into);
		const within = phase?.blocks.some((b) => b.steps.some((s) => s.id === draft.selectedId));
		const spot: Spot | null = !phase ? null : within ? { after: draft.selectedId! } : { phase: phase.id };
		return pasteText(draft, text, moves, newId, spot) ? { into: phase?.id ?? null } : null;
	}
	const parsed = parse(text);
	const [trouble] = parsed.troubles;
	const [phase] = parsed.phases;
	if (trouble || !phase) {
		draft.refusal = `${NOT_ADDED} ${trouble ? troubleText(trouble) : ''}`;
		return null;
	}
	const { title } = phase;
	const made = phaseAs(
		phase,
		newId(),
		phase.blocks.map((block) => blockAs(block, newId(), []))
	);
	// One of this name is gone on with; before the first step, what a new sequence begins with makes way.
	const known = draft.sequence.phases.find((p) => p.title.toLowerCase() === title.toLowerCase());
	if (known) return { into: known.id };
	const edit = draft.steps.length
		? addPhase(draft.sequence, made, draft.selectedId)
		: makeEdit(draft.sequence, `Add the phase ${title}`, (s) => {
				s.phases = [made as Draft<Phase>];
			});
	return draft.do(edit) ? { into: made.id } : null;
}

/** Puts the steps of a text in after the chosen one. Answers whether it could; why not is said by the draft. */
export function pasteText(
	draft: SequenceDraft,
	text: string,
	moves: readonly Technique[],
	newId: () => string,
	wished: Spot | null = null
): boolean {
	const { sequence } = draft;
	const pasted = stepsFromText(text, sequence, moves, newId);
	if ('troubles' in pasted) {
		const more = pasted.troubles.length > 1 ? ` And ${pasted.troubles.length - 1} more.` : '';
		draft.refusal = `${NOT_ADDED} ${troubleText(pasted.troubles[0]!)}${more}`;
		return false;
	}
	const { steps } = pasted;
	if (draft.steps.length + steps.length > MAX_STEPS) {
		draft.refusal = `At most ${MAX_STEPS} steps are allowed in a sequence: ${draft.steps.length} are there, ${steps.length} were to come. Nothing was changed.`;
		return false;
	}
	const spot =
		wished ??
		(draft.selectedId && steps.length > 1
			? { after: draft.selectedId }
			: spotFor(sequence, steps[0]!.aim, draft.selectedId));
	const done = draft.attempt(() =>
		insertSteps(sequence, steps, spot, steps.length === 1 ? undefined : `Paste ${steps.length} steps`)
	);
	if (!done) return false;
	draft.select(steps[0]!.id);
	if (steps.length > 1) draft.chosen.extendTo(steps.at(-1)!.id);
	return true;
}
