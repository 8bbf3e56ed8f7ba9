import { withText } from '../core/notation/align';
import { parse, type Parsed } from '../core/notation/parse';
import { print } from '../core/notation/print';
import type { Trouble } from '../core/notation/reader';
import { techniqueByName } from '../core/technique/byName';
import type { Technique } from '../core/technique/technique.schema';
import type { SequenceDraft } from './sequenceDraft.svelte';

const linesIn = (parsed: Parsed): number[] =>
	parsed.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps.map((s) => s.line)));

/**
 * Keeps a sequence and its text the same, both ways. While the text has troubles the last sequence that could be read
 * stays; while the steps are changed elsewhere meanwhile, the text stays too, and says so.
 */
export class TextSync {
	/** What stands in the editor. */
	text = $state('');
	troubles = $state.raw<readonly Trouble[]>([]);
	/** The steps were changed elsewhere while the text could not be read. */
	behind = $state(false);
	#lines = $state.raw<readonly number[]>([]);
	/** The print of the sequence that the text is known to agree with. */
	#agreed = '';

	constructor(
		readonly draft: SequenceDraft,
		readonly newId: () => string,
		private readonly moves: () => readonly Technique[]
	) {
		this.takeSteps();
	}

	/** Writes the text anew from the steps. */
	takeSteps(): void {
		this.text = this.#agreed = print(this.draft.sequence);
		this.troubles = [];
		this.behind = false;
		this.#lines = linesIn(this.#parse(this.text));
	}

	/** To be called whenever the sequence has changed; what came from the text itself changes nothing. */
	follow(): void {
		const printed = print(this.draft.sequence);
		if (printed === this.#agreed) return;
		if (this.troubles.length) {
			this.behind = true;
			this.#agreed = printed;
		} else this.takeSteps();
	}

	#parse(text: string): Parsed {
		return parse(text, {
			techniqueOf: (name) => techniqueByName(this.moves(), name),
			cheekRoute: this.draft.sequence.school.cheekRoute,
			media: this.draft.sequence.media.map((m) => m.id),
			amounts: this.draft.context.working
		});
	}

	/** The text was typed: read it, and make the sequence what it says. */
	typed(text: string): void {
		this.text = text;
		const parsed = this.#parse(text);
		this.troubles = parsed.troubles;
		if (parsed.troubles.length) return;
		this.#lines = linesIn(parsed);
		this.behind = false;
		this.draft.rewrite(withText(this.draft.sequence, parsed, this.newId), 'Edit the text');
		this.#agreed = print(this.draft.sequence);
	}

	/** The line of a step, from 1; null where the text does not say. */
	lineOf(stepId: string | null): number | null {
		const at = stepId ? this.draft.steps.findIndex((s) => s.step.id === stepId) : -1;
		return at < 0 ? null : (this.#lines[at] ?? null);
	}

	/** The step that stands in a line, or whose texts do. */
	stepAt(line: number): string | null {
		const at = this.#lines.findLastIndex((l) => l <= line);
		return at < 0 ? null : (this.draft.steps[at]?.step.id ?? null);
	}
}
