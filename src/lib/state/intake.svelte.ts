import type { Answer } from '../core/client/answer.schema';
import { latestAnswers, newAnswer, sameAnswer, withAnswer, withNos, withoutAnswers } from '../core/client/answers';
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
	/** Makes the stored answers into others. Changes come in the order in which they were asked for. */
	readonly keep: (change: (stored: Client['answers']) => Client['answers']) => Promise<unknown>;
}

/** What was answered in one go, and can be taken back. */
interface Answered {
	readonly words: string;
	readonly answers: readonly Answer[];
}

/** ms of rest after which a note is stored. */
const REST_MS = 400;

/**
 * One question at a time. What is chosen is stored at once and whatever comes next leaves it so; details are added to it.
 * Each answer can be taken back.
 */
export class Intake {
	/** All of it, or only what can have changed. */
	mode = $state<'intake' | 'visit'>('visit');
	says = $state<Says | null>(null);
	places = $state.raw<readonly SidedZone[]>([]);
	#since = $state<Day | null>(null);
	#until = $state<Day | null>(null);
	#note = $state('');
	/** The map is asked for a place. */
	asksPlace = $state(false);
	/** What was said last, for a screen reader. */
	said = $state('');
	#wished = $state<string | null>(null);
	/** Left for later in this sitting. */
	#later = $state.raw<ReadonlySet<string>>(new Set());
	/** What was answered here, the latest last: each can be taken back. */
	#answered = $state.raw<readonly Answered[]>([]);
	/** Questions that were answered here. */
	#kept = $state.raw<readonly Question[]>([]);
	/** When the question at hand was answered: its details go with it. */
	#at = '';
	/** Details that are not stored yet. */
	#open = false;
	#timer: ReturnType<typeof setTimeout> | undefined;
	readonly #options: Options;

	constructor(options: Options) {
		this.#options = options;
		this.mode = options.client().answers.length ? 'visit' : 'intake';
	}

	get since(): Day | null {
		return this.#since;
	}
	set since(day: Day | null) {
		this.#since = day;
		this.#store();
	}
	get until(): Day | null {
		return this.#until;
	}
	set until(day: Day | null) {
		this.#until = day;
		this.#store();
	}
	get note(): string {
		return this.#note;
	}
	set note(words: string) {
		this.#note = words;
		this.#open = this.says !== null;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(this.settle, REST_MS);
	}

	#listed = $derived.by<readonly Question[]>(() => {
		const client = this.#options.client();
		return this.mode === 'intake'
			? intakeQuestions(client)
			: visitQuestions(client, this.#options.today(), this.#options.steps());
	});
	/** What was answered here stays in its list, though its answer leaves nothing to ask: its details are told now. */
	questions = $derived.by<readonly Question[]>(() => {
		const gone = this.#kept.filter((kept) => !this.#listed.some((q) => q.flag.id === kept.flag.id));
		if (!gone.length) return this.#listed;
		const latest = latestAnswers(this.#options.client().answers);
		const today = this.#options.today();
		const stays = gone.map((kept): Question => {
			const answer = latest.get(kept.flag.id) ?? null;
			return { ...kept, answer, done: answer?.day === today };
		});
		return [...this.#listed, ...stays];
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
	/** What it would do, until it does so. */
	ghost = $derived.by<readonly Limit[]>(() => {
		const [pending, stored] = [this.pending, this.question?.answer];
		return pending && !(stored && sameAnswer(stored, pending)) ? this.#limitsOf(pending) : [];
	});
	/** What was answered last, in words; null where nothing of it can be taken back. */
	last = $derived.by<string | null>(() => this.#answered.at(-1)?.words ?? null);
	/** All that was said to the question at hand, the latest first. */
	history = $derived.by<readonly Answer[]>(() => {
		const flag = this.question?.flag.id;
		return this.#options
			.client()
			.answers.filter((a) => a.flag === flag)
			.reverse();
	});
	/** What was said before what is being said now. */
	before = $derived.by<Answer | null>(
		() => this.history.find((a) => !this.pending || !sameAnswer(a, this.pending)) ?? null
	);
	problems = $derived.by<readonly FieldProblem[]>(() =>
		this.pending
			? problemsOfAnswer(this.pending, { today: this.#options.today(), birthYear: this.#options.client().birthYear })
			: []
	);

	#answer = ({ flag }: Question, says: Says): Answer =>
		newAnswer({
			flag: flag.id,
			says,
			...(says === 'no' ? {} : { places: [...this.places], since: this.#since, until: this.#until }),
			note: this.#note.trim(),
			day: this.#options.today(),
			at: this.#at || this.#options.now()
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

	/** Chooses an answer, which is stored at once; a no needs nothing more and leads on. */
	look(says: Says): void {
		const { question } = this;
		if (!question) return;
		this.settle();
		if (says !== 'no' && this.says === null) this.#takeLast();
		this.#at = this.#options.now();
		this.#wished = question.flag.id;
		this.#kept = [...this.#kept.filter((kept) => kept.flag.id !== question.flag.id), question];
		this.says = says;
		this.#store();
		if (says === 'no') return this.#next();
		this.asksPlace = (question.flag.wants?.includes('place') ?? false) && !this.places.length;
	}
	/** What was told last time stands in the fields already. */
	#takeLast(): void {
		const last = this.question?.answer;
		if (!last || last.says === 'no') return;
		[this.places, this.#since, this.#until, this.#note] = [last.places, last.since, last.until, last.note];
	}

	/** Stores the answer at hand as far as it can be: a day that cannot be is left out, never the answer itself. */
	#store(): void {
		clearTimeout(this.#timer);
		this.#open = false;
		const { pending, question } = this;
		if (!pending || !question) return;
		const wrong = new Set(this.problems.map((p) => p.field));
		const answer = {
			...pending,
			...(wrong.has('Since') ? { since: null } : {}),
			...(wrong.has('Until') ? { until: null } : {})
		};
		const words = `${question.flag.name}: ${answer.says === 'unsure' ? 'not sure' : answer.says}`;
		const known = this.#answered.filter(({ answers: [one] }) => !one || !sameAnswer(one, answer));
		this.#answered = [...known, { words, answers: [answer] }];
		this.said = words;
		void this.#options.keep((stored) => withAnswer(stored, answer));
	}
	/** Stores what was typed beside the answer at hand. Called before anything else is done. */
	settle = (): void => {
		clearTimeout(this.#timer);
		if (this.#open) this.#store();
	};

	/** The answer at hand is told whole: on to the next question. */
	record(): void {
		if (!this.says || this.problems.length) return;
		this.settle();
		this.#next();
	}
	#next(): void {
		this.clear();
		this.#wished = null;
	}
	/** No to everything that is still open, in one chapter or in all of them. */
	noToRest(chapter?: string): void {
		this.settle();
		const at = this.#options.now();
		const day = this.#options.today();
		const mine = new Set(this.#answered.flatMap(({ answers }) => answers.map((a) => a.flag)));
		const open = this.questions.filter(
			(q) => !q.done && !mine.has(q.flag.id) && (!chapter || q.flag.chapter === chapter)
		);
		// What came up before is asked by itself: no is not assumed of it.
		const fresh = open.filter((q) => !q.answer || q.answer.says === 'no');
		const answers = fresh.map(({ flag }) => newAnswer({ flag: flag.id, says: 'no', day, at }));
		this.said = `${answers.length} answered with no`;
		this.#next();
		if (!answers.length) return;
		this.#answered = [...this.#answered, { words: this.said, answers }];
		void this.#options.keep((stored) => withNos(stored, answers));
	}
	/** Takes back what was answered last; what was said before it holds again, and its question is asked. */
	undo(): void {
		this.settle();
		const last = this.#answered.at(-1);
		if (!last) return;
		this.#answered = this.#answered.slice(0, -1);
		this.clear();
		this.#wished = last.answers[0]?.flag ?? null;
		this.said = `Taken back: ${last.words}`;
		void this.#options.keep((stored) => withoutAnswers(stored, last.answers));
	}
	/** Takes one answer back, by which the question at hand was answered earlier. */
	takeBack(answer: Answer): void {
		this.#answered = this.#answered.filter(({ answers }) => !answers.some((a) => sameAnswer(a, answer)));
		this.clear();
		this.#wished = answer.flag;
		this.said = 'Taken back';
		void this.#options.keep((stored) => withoutAnswers(stored, [answer]));
	}

	/** Empties the fields for another question; what was chosen and typed is stored before. */
	clear(): void {
		this.settle();
		this.#at = '';
		this.says = null;
		this.places = [];
		this.#since = null;
		this.#until = null;
		this.#note = '';
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
		// What was answered is not left for later.
		if (!this.says) this.#later = new Set([...this.#later, this.question.flag.id]);
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
		this.#store();
	}
	switchTo(mode: 'intake' | 'visit'): void {
		this.clear();
		this.#wished = null;
		this.mode = mode;
	}
}
