import type { ClientFacts } from '../core/screening/clientFacts.schema';
import { withUpkeep } from '../core/links/drainPolicy';
import type { Edit } from '../core/sequence/edit.schema';
import { edited, EditRefused } from '../core/sequence/edits';
import { editTo } from '../core/sequence/editTo';
import { Chosen } from './chosen.svelte';
import { commit, redo, soundHistory, undo, type Check, type Draft } from '../core/sequence/history';
import type { History } from '../core/sequence/history.schema';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { Step } from '../core/step/step.schema';
import { LIKENESSES, stepsLike, type LikenessId } from '../core/sequence/likeness';
import { findStep, stepsOf, type PlacedStep } from '../core/sequence/walk';
import { eventIndexAt, positionAt } from '../core/perform/position';
import { fitTo, type Fit } from '../core/fit/fit';
import { bringsNothingGrave, fixIn, judge, type Judgement, type JudgeInput } from '../core/rules/judge';
import { mendEach, mendSafe } from '../core/rules/mend';
import { muteFinding, unmuteFinding } from '../core/rules/mutes';
import type { FindingGroup } from '../core/rules/grouping';
import type { Finding } from '../core/rules/rule';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import type { Repository } from '../store/repository';
import { SaveLoop } from './saveLoop.svelte';

/** From so many steps on, judging would keep an edit from the screen (measured: docs/performance.md). */
export const LONG_STEPS = 400;
/** ms of rest after which a step that was scrubbed to is looked at whole. */
const REST_MS = 160;
/** ms between two steps that light up under a scrubbing hand: the cursor moves with every frame, the list need not. */
const FOLLOW_MS = 110;
/** ms after the last edit until a long sequence is judged anew. */
const SETTLE_MS = 200;

/** Edits that do not fit the sequence they were stored with. */
const droppedWords = (count: number): string =>
	`${count} ${count === 1 ? 'edit' : 'edits'} of the history did not fit this sequence and ${count === 1 ? 'was' : 'were'} dropped. The sequence itself is as it was.`;

/** What a schema found, if it is that. Told by its name: what it is made by is fetched later. */
const issuesOf = (error: unknown): readonly { readonly message: string }[] | null =>
	error instanceof Error && error.name === 'ZodError'
		? (error as Error & { issues: { message: string }[] }).issues
		: null;

/** A draft to which nothing comes back. */
const withoutFuture = (draft: Draft): Draft => ({ ...draft, history: { ...draft.history, future: [] } });

/** Why an edit was refused, as a sentence. */
function refusalWords(error: unknown): string {
	const found = error instanceof EditRefused ? error.problems : issuesOf(error);
	if (found) return `This cannot be done: ${found.map((i) => i.message).join('; ')}.`;
	return error instanceof Error ? error.message : String(error);
}

/** The editor's own draft of one sequence. It saves after every edit; the lists follow the database, the editor does not. */
export class SequenceDraft {
	#draft = $state.raw() as Draft;
	selectedId = $state<string | null>(null);
	cursorSeconds = $state(0);
	/** The cursor as slow drawings follow it. */
	lookSeconds = $state(0);
	savedAt = $state('');
	/** An edit that could not be done, in words. */
	refusal = $state('');
	/** The label of the last edit, for a screen reader. */
	said = $state('');
	readonly saving: SaveLoop<SequenceRecord>;
	/** The steps that are chosen together, the selected one among them. */
	readonly chosen = new Chosen(
		() => this.steps.map((s) => s.step.id),
		() => this.selectedId
	);
	/** Looks at every value after an edit; until it has been fetched, an edit is only held to not contradict itself. */
	#check: Check | undefined;
	/** The last edit of a burst that is not over: typing or dragging on replaces it. */
	#live: Edit | null = null;

	steps = $derived.by<PlacedStep[]>(() => stepsOf(this.#draft.sequence));
	byId = $derived(new Map(this.steps.map((s) => [s.step.id, s])));
	/** What the core reads: it follows the working values. */
	context = $state.raw() as JudgeInput;
	/** Who is in the chair: the sequence is judged for her. */
	client = $state.raw<ClientFacts | null>(null);
	/** What is judged: of a long sequence, as it was a moment ago, so that an edit is on the screen before it is judged. */
	#settled = $state.raw() as Sequence;
	#settling: ReturnType<typeof setTimeout> | undefined;
	judgement = $derived.by<Judgement>(() =>
		judge(this.steps.length > LONG_STEPS ? this.#settled : this.#draft.sequence, {
			...this.context,
			client: this.client
		})
	);
	/** The step that is looked at whole: the selected one, once a scrubbing hand rests. */
	inspectedId = $state<string | null>(null);
	#resting: ReturnType<typeof setTimeout> | undefined;
	#following: ReturnType<typeof setTimeout> | undefined;
	#followedAt = -Infinity;
	inspected = $derived(this.inspectedId ? (this.byId.get(this.inspectedId) ?? null) : null);
	/** Where the cursor is in the sequence: side, repetition, how far. */
	position = $derived(positionAt(this.judgement.events, this.cursorSeconds));
	selected = $derived(this.selectedId ? (this.byId.get(this.selectedId) ?? null) : null);

	constructor(initial: Draft, context: JudgeInput, repo: Repository) {
		this.context = context;
		const { history, dropped } = soundHistory(initial);
		this.#draft = { ...initial, history };
		if (dropped) this.refusal = droppedWords(dropped);
		this.#settled = initial.sequence;
		this.savedAt = initial.sequence.updatedAt;
		this.saving = new SaveLoop(
			(onto) => repo.saveSequence(this.#draft.sequence, this.#draft.history, onto),
			({ sequence: { revision, updatedAt } }) => {
				this.#draft = { ...this.#draft, sequence: { ...this.#draft.sequence, revision, updatedAt } };
				this.savedAt = updatedAt;
			}
		);
	}

	/** From now on every edit is checked whole; what was edited before that is looked at now, and taken back where it was none that is allowed. */
	checkBy(check: Check): void {
		this.#check = check;
		try {
			check(this.sequence);
		} catch (error) {
			const refusal = refusalWords(error);
			const { past } = this.history;
			// What is taken back so is not offered again.
			if (past.length) this.#set(withoutFuture(undo(this.#draft)));
			this.refusal = refusal;
		}
	}

	get sequence(): Sequence {
		return this.#draft.sequence;
	}
	get history(): History {
		return this.#draft.history;
	}
	/** The sequence with its history, as it is stored. */
	get stored(): Draft {
		return this.#draft;
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
			this.#set(commit(this.#draft, withUpkeep(this.sequence, edit, this.context.working), this.#check));
			this.said = edit.label;
			return true;
		} catch (error) {
			this.refusal = refusalWords(error);
			return false;
		}
	}

	/** Chooses all steps that are like the selected one, and says how many. */
	chooseLike(by: LikenessId): void {
		const placed = this.selectedId ? findStep(this.sequence, this.selectedId) : undefined;
		if (!placed) return;
		const ids = stepsLike(this.sequence, placed.step.id, by);
		this.chosen.these(ids);
		this.said = `${ids.length} ${ids.length === 1 ? 'step' : 'steps'} ${LIKENESSES[by].words(placed)}`;
	}

	/** Does an edit that may turn out to be impossible; why is then said. */
	attempt(make: () => Edit | null): boolean {
		try {
			return this.do(make());
		} catch (error) {
			this.refusal = refusalWords(error);
			return false;
		}
	}

	undo(): void {
		const label = this.undoLabel;
		if (this.#walkTo(this.history.past.length - 1)) this.said = label ? `Undone: ${label}` : '';
	}

	redo(): void {
		const label = this.redoLabel;
		if (this.#walkTo(this.history.past.length + 1)) this.said = label ? `Done again: ${label}` : '';
	}

	/** Goes back or forth in the history until so many edits are done. */
	goTo(past: number): void {
		if (this.#walkTo(past)) this.said = `At: ${this.undoLabel ?? 'the beginning'}`;
	}

	/** Walks in the history. An edit that turns out not to fit is dropped, with all beyond it, and said. */
	#walkTo(past: number): boolean {
		let draft = this.#draft;
		try {
			while (draft.history.past.length > Math.max(0, past)) draft = undo(draft, this.#check);
			while (draft.history.past.length < past && draft.history.future.length) draft = redo(draft, this.#check);
			this.#set(draft);
			return true;
		} catch {
			const back = draft.history.past.length > past;
			const dropped = back ? draft.history.past.length : draft.history.future.length;
			this.#set({ ...draft, history: back ? { ...draft.history, past: [] } : { ...draft.history, future: [] } });
			this.refusal = droppedWords(dropped);
			return false;
		}
	}

	/**
	 * Does an edit that goes on while a hand or a key holds: each one replaces the one before, until `settle`.
	 * @param make the edit, from the sequence as it was when the burst began; null takes all of it back
	 */
	adjust(make: (base: Sequence) => Edit | null): boolean {
		const live = this.#live !== null && this.#draft.history.past.at(-1) === this.#live;
		const base = live ? undo(this.#draft) : this.#draft;
		try {
			const edit = make(base.sequence);
			this.#set(edit ? commit(base, withUpkeep(base.sequence, edit, this.context.working), this.#check) : base);
			this.#live = edit ? (this.#draft.history.past.at(-1) ?? null) : null;
			return true;
		} catch (error) {
			this.refusal = refusalWords(error);
			return false;
		}
	}

	/** Makes the sequence what a text says. A burst of typing is one edit. */
	rewrite(after: Sequence, label: string): boolean {
		const { revision, updatedAt } = this.sequence;
		return this.adjust((base) => editTo({ ...base, revision, updatedAt }, { ...after, revision, updatedAt }, label));
	}

	/** The burst is over: what comes next is an edit of its own. */
	settle(): void {
		this.#live = null;
	}

	/** The edit that mends a finding; null where none is possible. */
	fixOf(finding: Finding): Edit | null {
		return fixIn(this.judgement.context, finding);
	}

	/** The fix of a group: of all its findings, as one edit; null where none is possible. */
	fixOfGroup({ lead, findings }: FindingGroup): Edit | null {
		if (findings.length === 1) return this.fixOf(lead);
		const wanted = (f: Finding) => f.ruleId === lead.ruleId && f.severity === lead.severity;
		return mendEach(this.sequence, { ...this.context, client: this.client }, wanted)?.edit ?? null;
	}

	/** How it would fit so many seconds. What would bring a stop or a caution is not offered, and says so. */
	fitTo(seconds: number): Fit {
		const given = { ...this.context, client: this.client };
		const fit = fitTo(this.sequence, seconds, given);
		if (!fit.edit || bringsNothingGrave(this.sequence, edited(this.sequence, fit.edit), given)) return fit;
		return {
			...fit,
			edit: null,
			fits: false,
			changes: [],
			why: 'Fitting it by counts would bring a stop or a caution. Change the steps by hand.'
		};
	}

	/** All fixes that are safe, as one edit; null where there is none. */
	safeFixes(): Edit | null {
		return mendSafe(this.sequence, { ...this.context, client: this.client })?.edit ?? null;
	}

	/** Sets a finding aside with a reason. */
	mute(finding: Finding, said: string, reason: string): void {
		try {
			this.do(muteFinding(this.sequence, finding, said, reason));
		} catch (error) {
			this.refusal = refusalWords(error);
		}
	}

	unmute(key: string): void {
		this.do(unmuteFinding(this.sequence, key));
	}

	select(stepId: string | null): void {
		this.selectedId = this.inspectedId = stepId;
		clearTimeout(this.#resting);
		clearTimeout(this.#following);
		this.chosen.clear();
		const time = stepId ? this.judgement.timing.steps.get(stepId) : undefined;
		if (time) this.cursorSeconds = this.lookSeconds = time.startSeconds;
	}

	/** The cursor moves, and the selection follows it, at once or, under a quick hand, a moment later. */
	scrub(seconds: number): void {
		this.cursorSeconds = seconds;
		clearTimeout(this.#following);
		const wait = FOLLOW_MS - (performance.now() - this.#followedAt);
		if (wait <= 0) this.#follow();
		else this.#following = setTimeout(() => this.#follow(), wait);
	}

	#follow(): void {
		this.#followedAt = performance.now();
		this.lookSeconds = this.cursorSeconds;
		const { events } = this.judgement;
		const event = events[eventIndexAt(events, this.cursorSeconds)];
		if (!event || event.stepId === this.selectedId) return;
		this.selectedId = event.stepId;
		clearTimeout(this.#resting);
		this.#resting = setTimeout(() => (this.inspectedId = this.selectedId), REST_MS);
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
		this.#settleSoon();
		if (this.selectedId && !this.byId.has(this.selectedId)) this.selectedId = null;
		if (this.inspectedId !== this.selectedId) this.inspectedId = this.selectedId;
		this.refusal = '';
		void this.saving.changed();
	}

	#settleSoon(): void {
		clearTimeout(this.#settling);
		if (this.steps.length <= LONG_STEPS) this.#settled = this.#draft.sequence;
		else this.#settling = setTimeout(() => (this.#settled = this.#draft.sequence), SETTLE_MS);
	}

	/** Stores what was removed elsewhere as a new record. */
	keepAsNew(): void {
		this.#draft = { ...this.#draft, sequence: { ...this.sequence, revision: 0 } };
		void this.saving.resume();
	}

	/** Tries once more to save what could not be saved. */
	retry(): void {
		void this.saving.changed();
	}
}
