import { ZodError } from 'zod';
import type { ExpandContext } from '../core/sequence/expand';
import { withUpkeep } from '../core/school/drainPolicy';
import { applyEdit, type Edit } from '../core/sequence/edits';
import { commit, redo, undo, type Draft } from '../core/sequence/history';
import type { Sequence, Step } from '../core/sequence/sequence.schema';
import { stepsOf, type PlacedStep } from '../core/sequence/walk';
import { fixIn, judge, type Judgement } from '../core/rules/judge';
import { mendSafe } from '../core/rules/mend';
import { muteFinding, unmuteFinding } from '../core/rules/mutes';
import type { Finding } from '../core/rules/rule';
import { differences, type Difference } from '../core/sequence/difference';
import type { Repository } from '../store/repository';
import { SaveLoop } from './saveLoop.svelte';

/** Why an edit was refused, as a sentence. */
function refusalWords(error: unknown): string {
	if (error instanceof ZodError) return `This cannot be done: ${error.issues.map((i) => i.message).join('; ')}.`;
	return error instanceof Error ? error.message : String(error);
}

/** The editor's own draft of one sequence. It saves after every edit; the lists follow the database, the editor does not. */
export class SequenceDraft {
	#draft = $state.raw() as Draft;
	selectedId = $state<string | null>(null);
	cursorSeconds = $state(0);
	savedAt = $state('');
	/** An edit that could not be done, in words. */
	refusal = $state('');
	/** The label of the last edit, for a screen reader. */
	said = $state('');
	readonly saving: SaveLoop;

	steps = $derived.by<PlacedStep[]>(() => stepsOf(this.#draft.sequence));
	byId = $derived(new Map(this.steps.map((s) => [s.step.id, s])));
	judgement = $derived.by<Judgement>(() => judge(this.#draft.sequence, this.context));
	selected = $derived(this.selectedId ? (this.byId.get(this.selectedId) ?? null) : null);

	constructor(
		initial: Draft,
		readonly context: ExpandContext,
		repo: Repository
	) {
		this.#draft = initial;
		this.savedAt = initial.sequence.updatedAt;
		this.saving = new SaveLoop(async () => {
			const { sequence, history } = this.#draft;
			const { record, second } = await repo.saveSequence(sequence, history);
			const { revision, updatedAt } = record.sequence;
			this.#draft = { ...this.#draft, sequence: { ...this.#draft.sequence, revision, updatedAt } };
			this.savedAt = updatedAt;
			return second;
		});
	}

	get sequence(): Sequence {
		return this.#draft.sequence;
	}
	get undoLabel(): string | null {
		return this.#draft.history.past.at(-1)?.label ?? null;
	}
	get redoLabel(): string | null {
		return this.#draft.history.future[0]?.label ?? null;
	}

	/** Does an edit, if there is one. Returns whether it could be done. */
	do(edit: Edit | null): boolean {
		if (!edit) return false;
		try {
			this.#set(commit(this.#draft, withUpkeep(this.sequence, edit, this.context.working)));
			this.said = edit.label;
			return true;
		} catch (error) {
			this.refusal = refusalWords(error);
			return false;
		}
	}

	undo(): void {
		this.said = this.undoLabel ? `Undone: ${this.undoLabel}` : '';
		this.#set(undo(this.#draft));
	}

	redo(): void {
		this.said = this.redoLabel ? `Done again: ${this.redoLabel}` : '';
		this.#set(redo(this.#draft));
	}

	/** The edit that mends a finding; null where none is possible. */
	fixOf(finding: Finding): Edit | null {
		return fixIn(this.judgement.context, finding);
	}

	/** What a fix would change, in words; null where none is possible. */
	previewOf(finding: Finding): Difference[] | null {
		const edit = this.fixOf(finding);
		return edit && differences(this.sequence, applyEdit(this.sequence, edit));
	}

	fix(finding: Finding): void {
		this.do(this.fixOf(finding));
	}

	/** Applies all safe fixes at once. */
	mendSafe(): void {
		this.do(mendSafe(this.sequence, this.context)?.edit ?? null);
	}

	/** Sets a finding aside with a reason. */
	mute(finding: Finding, reason: string): void {
		try {
			this.do(muteFinding(this.sequence, finding, reason));
		} catch (error) {
			this.refusal = refusalWords(error);
		}
	}

	unmute(key: string): void {
		this.do(unmuteFinding(this.sequence, key));
	}

	select(stepId: string | null): void {
		this.selectedId = stepId;
		const time = stepId ? this.judgement.timing.steps.get(stepId) : undefined;
		if (time) this.cursorSeconds = time.startSeconds;
	}

	/** The cursor moves, and the selection follows it. */
	scrub(seconds: number): void {
		this.cursorSeconds = seconds;
		const event = this.judgement.events.find((e) => e.startSeconds <= seconds && seconds < e.endSeconds);
		if (event) this.selectedId = event.stepId;
	}

	/** Selects the step before or after, and returns it. */
	walk(by: number): Step | null {
		const at = this.selected ? this.steps.indexOf(this.selected) : by > 0 ? -1 : this.steps.length;
		const next = this.steps[Math.min(this.steps.length - 1, Math.max(0, at + by))];
		if (next) this.select(next.step.id);
		return next?.step ?? null;
	}

	#set(draft: Draft): void {
		if (draft === this.#draft) return;
		this.#draft = draft;
		if (this.selectedId && !this.byId.has(this.selectedId)) this.selectedId = null;
		this.refusal = '';
		void this.saving.changed();
	}

	/** Tries once more to save what could not be saved. */
	retry(): void {
		void this.saving.changed();
	}
}
