import { untrack } from 'svelte';
import { labelOf, placeOf } from '../core/atlas/places';
import { evenUp, oneLess, oneMore, otherSideNow, unevenNow } from '../core/perform/adapting/counts';
import { fadedAhead, reopen, type Faded } from '../core/perform/adapting/faded';
import type { Adapted, Moment } from '../core/perform/adapting/moment';
import { endSoon, fitRest, type FitRest } from '../core/perform/adapting/rest';
import { swapNext } from '../core/perform/adapting/swap';
import { metNow } from '../core/perform/asks';
import { cuesOf } from '../core/perform/cues';
import { isMeant } from '../core/perform/meant';
import { signSecondsOf } from '../core/perform/untilSign';
import type { RunEvent } from '../core/records/runEntry';
import { MARKS, type MarkId } from '../core/records/runMarks';
import { snapshotOf } from '../core/records/snapshot';
import type { Waits } from '../core/records/waits';
import { judge, type Judgement, type JudgeInput } from '../core/rules/judge';
import type { Sequence } from '../core/sequence/sequence.schema';
import { clock, signsText } from '../core/step/describe';
import { Runner } from './runner.svelte';

interface Options {
	readonly sequence: Sequence;
	readonly given: JudgeInput;
	readonly log: readonly RunEvent[];
	readonly clock: () => number;
	readonly now: () => number;
	readonly waits: () => Waits;
	/** A step goes on past the plan, until its sign comes. */
	readonly onsign?: () => void;
	readonly onlog: (event: RunEvent) => void;
	/** The sequence goes on otherwise from now on: it is kept before the next line of the log. */
	readonly onchange: (next: Sequence) => void;
	/** What is said of a change: it is spoken too, where there is a voice; after a correction with where one is now. */
	readonly onsaid?: (words: string, corrected: boolean) => void;
	/** Seconds that were heard by now, by the clock of the sound card. */
	readonly heard?: () => number | null;
	/** Plans that were in force before a change, by their snapshots: those of a log that was begun earlier. */
	readonly plans?: ReadonlyMap<string, Sequence>;
}

/** What was done last and can be taken back, in words. */
const UNDO_WORDS: Partial<Record<MarkId, string>> & Record<'jump', string> = {
	jump: 'the jump',
	more: 'one more',
	less: 'one less',
	'other-side': 'other side first',
	evened: 'evening up',
	fitted: 'fitting to the time',
	exit: 'the shortest way out',
	opened: 'opening again',
	condition: 'the condition',
	swapped: 'the other move'
};

/** A sequence being performed: its runner, and all that is changed and noted while working. */
export class Performing {
	sequence = $state.raw() as Sequence;
	judgement = $state.raw() as Judgement;
	/** The last thing that was changed, noted or refused, in words. */
	said = $state('');
	/** How what is left would fit the time that is left; null where it is not asked. */
	fit = $state.raw<FitRest | null>(null);
	/** Openings ahead that are not there any more. */
	faded = $state.raw<readonly Faded[]>([]);
	#left = $state.raw<ReadonlySet<string>>(new Set());
	#skipAsked = '';
	/** When something was asked for last, by its name. */
	readonly #asked = new Map<string, number>();
	readonly #plans: Map<string, Sequence>;
	readonly runner: Runner;
	readonly #options: Options;

	constructor(options: Options) {
		this.#options = options;
		this.#plans = new Map(options.plans);
		this.sequence = options.sequence;
		this.judgement = judge(options.sequence, options.given);
		this.runner = new Runner({
			...options,
			...this.#plan(),
			onsign: () => {
				options.onsign?.();
				this.say(`${this.signWords}: go on when it is so.`);
			},
			onslept: (seconds) => {
				const last = clock(seconds);
				this.say(`The page stood still for ${last}, and nothing was heard: it waits at the same count.`);
			},
			gapSeconds: options.given.working.gapSeconds,
			breathHalfSeconds: options.given.working.cueBreathHalfSeconds
		});
	}

	#plan() {
		const { events, context } = this.judgement;
		return {
			events,
			cues: cuesOf(events, context.byId, this.#options.given.working, this.sequence),
			signSeconds: signSecondsOf(events, context.byId)
		};
	}
	/** What the step at hand waits for, in words; empty where it waits for nothing. */
	get signWords(): string {
		const until = this.judgement.context.byId.get(this.#stepId ?? '')?.step.until;
		return until ? `Until ${signsText(until)}` : '';
	}

	get moment(): Moment {
		const { sequence, judgement, runner } = this;
		return { sequence, judgement, position: runner.position, seconds: runner.seconds, given: this.#options.given };
	}

	#stepId = $derived.by(() => this.runner.position.event?.stepId);
	/** The side that got less of the step at hand, where it was not left so on purpose. */
	uneven = $derived.by(() => {
		// Once a step and once a change, not at every frame.
		void [this.#stepId, this.sequence];
		const uneven = untrack(() => unevenNow(this.moment));
		return uneven && !this.#left.has(uneven.origin) ? uneven : null;
	});

	say(words: string, corrected = false): void {
		this.said = words;
		this.#options.onsaid?.(words, corrected);
	}

	/** Whether something that is asked for is meant, and not the bounce of a switch. */
	#meant(what: string, leavesOut = false): boolean {
		const now = this.#options.clock();
		if (!isMeant(now - (this.#asked.get(what) ?? -Infinity), leavesOut, this.#options.given.working)) return false;
		this.#asked.set(what, now);
		return true;
	}

	#note(mark: MarkId, words?: string, was?: Sequence): void {
		const { event, side, repShare } = this.runner.position;
		const places = event?.places ?? [];
		const place = places[Math.min(places.length - 1, Math.floor(repShare * places.length))];
		this.runner.mark(mark, {
			...(event ? { stepId: event.stepId } : {}),
			...(side ? { side } : {}),
			...(place ? { place } : {}),
			...(words ? { words } : {}),
			...(was ? { snapshot: this.#remember(was) } : {})
		});
	}

	/** A plan that was in force, so that it can be again. */
	#remember(sequence: Sequence): string {
		const { id } = snapshotOf(sequence);
		this.#plans.set(id, sequence);
		return id;
	}

	/** Goes on by a changed sequence; what was refused is said. */
	#adapt(adapted: Adapted, mark: MarkId): boolean {
		if ('refused' in adapted) {
			this.say(adapted.refused);
			return false;
		}
		const was = this.sequence;
		this.#goOn(adapted.sequence, adapted.judgement);
		this.#note(mark, adapted.said, was);
		this.say(adapted.said, true);
		this.look();
		return true;
	}
	#goOn(next: Sequence, judgement: Judgement): void {
		this.sequence = next;
		this.judgement = judgement;
		this.fit = null;
		this.#options.onchange(next);
		this.runner.follow(this.#plan());
	}

	/** What can be taken back, in words; empty where nothing can. */
	undoWords = $derived.by<string>(() => {
		const point = this.runner.undoPoint;
		return point ? (UNDO_WORDS[point.what] ?? MARKS[point.what as MarkId] ?? '') : '';
	});
	/** Takes back what was done last: a jump, or a change of the plan. What was done since stays done. */
	undo(): void {
		const point = this.runner.undoPoint;
		if (!point || !this.#meant('undo')) return;
		const words = this.undoWords;
		const restored = point.snapshot === undefined ? null : this.#plans.get(point.snapshot);
		if (restored === undefined) return this.say(`The plan from before is not here any more: ${words} stays.`);
		if (restored) {
			this.sequence = restored;
			this.judgement = judge(restored, this.#options.given);
			this.fit = null;
			this.#options.onchange(restored);
		}
		this.runner.undo(restored && this.#plan());
		this.say(`Undone: ${words}.`);
		this.look();
	}

	more = (): boolean => this.#meant('more') && this.#adapt(oneMore(this.moment), 'more');
	less = (): boolean => this.#meant('less', true) && this.#adapt(oneLess(this.moment), 'less');
	otherSide = (): boolean => this.#meant('other-side', true) && this.#adapt(otherSideNow(this.moment), 'other-side');
	even(): void {
		if (this.uneven && this.#meant('even')) this.#adapt(evenUp(this.moment, this.uneven), 'evened');
	}
	/** It is left uneven on purpose. */
	leaveUneven(): void {
		if (this.uneven) this.#left = new Set([...this.#left, this.uneven.origin]);
	}
	/** Another move for the step that comes. */
	swap = (): boolean => this.#meant('swap', true) && this.#adapt(swapNext(this.moment), 'swapped');
	/** The shortest safe way out. */
	exit = (): boolean => this.#meant('exit', true) && this.#adapt(endSoon(this.moment), 'exit');
	/** Begins, pauses or goes on, where it is meant. */
	toggle(act: () => void): void {
		if (this.#meant('toggle')) act();
	}
	/** Ends it, where it is meant. */
	end(act: () => void): void {
		if (this.#meant('end', true)) act();
	}
	/** The step again. */
	back(): void {
		if (this.#meant('back')) this.runner.back();
	}
	openAgain = (faded: Faded): boolean => this.#adapt(reopen(this.moment, faded), 'opened');
	/** A condition is met: the step is done next. */
	meet(stepId: string): void {
		const next = metNow(this.sequence, stepId, this.judgement.events, this.runner.position.index, this.#options.given);
		if (!next) return;
		const was = this.sequence;
		this.#goOn(next, judge(next, this.#options.given));
		this.#note('condition', undefined, was);
	}

	/** Asks how what is left would fit. @param leftSeconds > 0 */
	askFit(leftSeconds: number): void {
		this.fit = fitRest(this.moment, leftSeconds);
	}
	takeFit(): void {
		if (this.fit && this.#meant('fit', true)) this.#adapt(this.fit.adapted, 'fitted');
	}

	/** What is felt, used or said here; the plan stays. */
	note(mark: 'tender' | 'oil' | 'lighter' | 'firmer' | 'note' | 'red-flags', words = ''): void {
		if (mark !== 'note' && !this.#meant(mark)) return;
		this.#note(mark, words);
		const { event } = this.runner.position;
		const at = event?.places[0];
		this.say(
			`${MARKS[mark]}${words ? `: ${words}` : at && mark === 'tender' ? `: ${labelOf(placeOf(at)).toLowerCase()}` : ''}. Noted at ${clock(this.runner.seconds)}.`
		);
	}

	/** A drain is skipped only by a second word: what was set free is left where it is. */
	skip(): void {
		if (!this.#meant('skip', true)) return;
		if (this.runner.untilSign !== null && this.runner.playing) return this.runner.signed();
		const { event } = this.runner.position;
		const step = this.judgement.context.byId.get(event?.stepId ?? '')?.step;
		const drains = event?.kind === 'link' || step?.aim === 'close';
		if (drains && this.#skipAsked !== step?.id) {
			this.#skipAsked = step?.id ?? '';
			return this.say('The drain is still open. Skip again to leave it.');
		}
		this.#skipAsked = '';
		this.runner.skip();
		this.look();
	}

	/** Looks whether what lies ahead still finds open what it needs. */
	look(): void {
		this.faded = this.runner.begun ? fadedAhead(this.moment, this.runner.stretches(), this.#options.now()) : [];
	}
}
