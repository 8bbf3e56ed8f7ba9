import type { Answer } from '../core/client/answer.schema';
import { newAnswer } from '../core/client/answers';
import type { Day } from '../core/client/days';
import type { SidedZone } from '../core/client/sidedZone';
import type { Client } from '../core/records/client';
import { problemsOfAnswer, type FieldProblem } from '../core/screening/checkAnswer';
import { limitsOfAnswer } from '../core/screening/limits';
import type { Limit } from '../core/screening/limit.schema';
import { intakeQuestions, visitQuestions, type Question } from '../core/screening/questions';
import type { Step } from '../core/step/step.schema';

export type Says = Answer['says'];
interface Options {
	readonly client: () => Client;
	readonly today: () => Day;
	readonly now: () => string;
	/** The plan for which she comes: its moves may ask more. */
	readonly steps: () => readonly Step[];
	/** Adds answers to those that are stored. */
	readonly keep: (answers: readonly Answer[]) => Promise<unknown>;
}

/** One question at a time: which one is asked, what is about to be recorded, and what that would do. */
export class Intake {
	/** All of it, or only what can have changed. */
	mode = $state<'intake' | 'visit'>('visit');
	says = $state<Says | null>(null);
	places = $state.raw<readonly SidedZone[]>([]);
	since = $state<Day | null>(null);
	until = $state<Day | null>(null);
	note = $state('');
	/** The map is asked for a place. */
	asksPlace = $state(false);
	/** What was said last, for a screen reader. */
	said = $state('');
	#wished = $state<string | null>(null);
	/** Left for later in this sitting. */
	#later = $state.raw<ReadonlySet<string>>(new Set());
	readonly #options: Options;

	constructor(options: Options) {
		this.#options = options;
		this.mode = options.client().answers.length ? 'visit' : 'intake';
	}

	questions = $derived.by<readonly Question[]>(() => {
		const client = this.#options.client();
		return this.mode === 'intake'
			? intakeQuestions(client)
			: visitQuestions(client, this.#options.today(), this.#options.steps());
	});
	index = $derived.by(() => {
		const wished = this.questions.findIndex((q) => q.flag.id === this.#wished);
		if (wished >= 0) return wished;
		const open = this.questions.findIndex((q) => !q.done && !this.#later.has(q.flag.id));
		return open >= 0 ? open : this.questions.findIndex((q) => !q.done);
	});
	/** Null where all is answered. */
	question = $derived.by<Question | null>(() => this.questions[this.index] ?? null);
	answered = $derived.by(() => this.questions.filter((q) => q.done).length);
	/** What is about to be recorded. */
	pending = $derived.by<Answer | null>(() =>
		this.question && this.says ? this.#answer(this.question, this.says) : null
	);
	/** What it would do. */
	ghost = $derived.by<readonly Limit[]>(() => (this.pending ? this.#limitsOf(this.pending) : []));
	problems = $derived.by<readonly FieldProblem[]>(() =>
		this.pending
			? problemsOfAnswer(this.pending, { today: this.#options.today(), birthYear: this.#options.client().birthYear })
			: []
	);

	#answer = ({ flag }: Question, says: Says): Answer =>
		newAnswer({
			flag: flag.id,
			says,
			...(says === 'no' ? {} : { places: [...this.places], since: this.since, until: this.until }),
			note: this.note.trim(),
			day: this.#options.today(),
			at: this.#options.now()
		});
	#limitsOf(answer: Answer): Limit[] {
		return this.question
			? limitsOfAnswer(this.question.flag, answer, this.#options.client().clearances, this.#options.today())
			: [];
	}
	/** What an answer would do, before it is chosen. */
	wouldDo = (says: Says): readonly Limit[] => {
		if (!this.question) return [];
		const last = this.says === null && this.question.answer?.says !== 'no' ? this.question.answer : null;
		return this.#limitsOf(last ? { ...last, says } : this.#answer(this.question, says));
	};

	/** Looks at an answer; a no needs nothing more and is recorded at once. */
	look(says: Says): void {
		if (!this.question) return;
		if (says === 'no') {
			this.says = 'no';
			void this.record();
			return;
		}
		if (this.says === null) this.#takeLast();
		this.says = says;
		this.asksPlace = (this.question.flag.wants?.includes('place') ?? false) && !this.places.length;
	}
	/** What was told last time stands in the fields already. */
	#takeLast(): void {
		const last = this.question?.answer;
		if (!last || last.says === 'no') return;
		[this.places, this.since, this.until, this.note] = [last.places, last.since, last.until, last.note];
	}

	async record(): Promise<void> {
		const { pending, question } = this;
		if (!pending || !question || this.problems.length) return;
		this.said = `${question.flag.name}: ${pending.says === 'unsure' ? 'not sure' : pending.says}`;
		this.clear();
		this.#wished = null;
		await this.#options.keep([pending]);
	}
	/** No to everything that is still open, in one chapter or in all of them. */
	async noToRest(chapter?: string): Promise<void> {
		const at = this.#options.now();
		const open = this.questions.filter((q) => !q.done && (!chapter || q.flag.chapter === chapter));
		// What came up before is asked by itself: no is not assumed of it.
		const fresh = open.filter((q) => !q.answer || q.answer.says === 'no');
		const day = this.#options.today();
		const answers = fresh.map(({ flag }) => newAnswer({ flag: flag.id, says: 'no', day, at }));
		this.said = `${answers.length} answered with no`;
		this.clear();
		this.#wished = null;
		if (answers.length) await this.#options.keep(answers);
	}

	clear(): void {
		this.says = null;
		this.places = [];
		this.since = null;
		this.until = null;
		this.note = '';
		this.asksPlace = false;
	}
	goTo(flagId: string): void {
		this.clear();
		this.#wished = flagId;
	}
	back(): void {
		const at = this.index < 0 ? this.questions.length : this.index;
		const before = this.questions[at - 1];
		if (before) this.goTo(before.flag.id);
	}
	later(): void {
		if (!this.question) return;
		const next = this.questions.slice(this.index + 1).find((q) => !q.done);
		this.#later = new Set([...this.#later, this.question.flag.id]);
		this.clear();
		this.#wished = next?.flag.id ?? null;
	}
	/** The first open question of the chapter at a place, from 1. */
	chapter(n: number): void {
		const chapters = [...new Set(this.questions.map((q) => q.flag.chapter))];
		const wanted = chapters[n - 1];
		const first =
			this.questions.find((q) => q.flag.chapter === wanted && !q.done) ??
			this.questions.find((q) => q.flag.chapter === wanted);
		if (first) this.goTo(first.flag.id);
	}
	togglePlace(place: SidedZone): void {
		this.places = this.places.includes(place) ? this.places.filter((p) => p !== place) : [...this.places, place];
	}
	switchTo(mode: 'intake' | 'visit'): void {
		this.clear();
		this.#wished = null;
		this.mode = mode;
	}
}
