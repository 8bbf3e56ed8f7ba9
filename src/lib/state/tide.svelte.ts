import {
	gradesOfAssessment,
	gradesOfStart,
	hasPuffiness,
	STARTS,
	type StartGrades,
	type StartId
} from '../core/flow/starts';
import type { Tide } from '../core/flow/tide';
import type { AllWorth, StepWorth } from '../core/flow/worth';
import type { Assessment } from '../core/assess/assessment.schema';
import type { Sequence } from '../core/sequence/sequence.schema';
import { stepsOf } from '../core/sequence/walk';
import type { Working } from '../core/working/working.schema';
import { oncePainted } from './oncePainted';
import type { TideClient } from '../workers/tideClient';

/** Where a run begins: what was felt, or a face that is made up. */
export type TideStart = StartId | 'felt';

/** Said once what computes had to be started again. */
const RESTARTED = 'What computes the tide had stopped by itself and was started again. Nothing is lost.';

/** The part of a client that is asked here; given, so that tests can answer themselves. */
export type TideSource = Pick<TideClient, 'tide' | 'worth' | 'allWorth' | 'close' | 'deaths'>;

interface TideInput {
	readonly sequence: Sequence;
	readonly working: Working;
	readonly assessment: Assessment | null;
	/** The step that is looked at whole. */
	readonly stepId: string | null;
}

/** Up to so many steps a sequence is handed over at once: copying it takes about a millisecond. */
const PROMPT_STEPS = 200;

/** The tide of the sequence that is edited: it follows every edit, a moment behind, and never holds one up. */
export class TideState {
	/** The last run; while a new one is under way it stays. */
	tide = $state.raw<Tide | null>(null);
	/** What the step that is looked at is worth, in the last run. */
	worth = $state.raw<StepWorth | null>(null);
	/** What every step is worth, once the layer is looked at; of the run before while a new one is weighed. */
	allWorth = $state.raw<AllWorth | null>(null);
	/** Share of the modelled faces that are weighed for the layer, 0..1. */
	weighed = $state(0);
	/** Whether the layer is looked at. */
	layer = $state(false);
	/** What went wrong, as a sentence. */
	trouble = $state('');
	/** What stopped and goes on again, as a sentence. */
	notice = $state('');
	#deaths = 0;
	#chosen = $state<TideStart | null>(null);
	start = $derived.by<TideStart>(() => this.#chosen ?? (this.canBeFelt ? 'felt' : 'morning'));
	grades = $derived.by<StartGrades>(() => (this.start === 'felt' ? this.#felt() : gradesOfStart(this.start)));

	constructor(
		private readonly source: TideSource,
		private readonly input: () => TideInput
	) {}

	get canBeFelt(): boolean {
		return hasPuffiness(this.input().assessment);
	}

	choose(start: TideStart): void {
		this.#chosen = start === 'felt' && !this.canBeFelt ? null : start;
	}

	/** Follows what is edited and looked at. Must be called while a component is set up; ends with it. */
	follow(): void {
		$effect(() => {
			const { sequence, working } = this.input();
			const grades = this.grades;
			const run = () => void this.#run(sequence, working, grades);
			// Handing a sequence to the worker copies it: where that takes long it waits until the edit is on the screen.
			if (stepsOf(sequence).length > PROMPT_STEPS) return oncePainted(run);
			run();
		});
		$effect(() => {
			const { stepId } = this.input();
			if (this.tide && stepId) void this.#weigh(stepId);
			else this.worth = null;
		});
		$effect(() => {
			const run = this.tide;
			if (this.layer && run) void this.#weighAll(run);
			else if (!this.layer) this.allWorth = null;
		});
		$effect(() => () => this.source.close());
	}

	#felt(): StartGrades {
		const { assessment } = this.input();
		return hasPuffiness(assessment) ? gradesOfAssessment(assessment) : gradesOfStart('morning');
	}

	async #run(sequence: Sequence, working: Working, grades: StartGrades, again = true): Promise<void> {
		try {
			const tide = await this.source.tide({ sequence, working, grades });
			if (!tide) return;
			this.tide = tide;
			this.trouble = '';
			if (this.source.deaths > this.#deaths) this.notice = RESTARTED;
			this.#deaths = this.source.deaths;
		} catch (error) {
			const died = error instanceof Error && error.name === 'WorkerDied';
			// It is opened anew with the next question: that one is asked at once.
			if (died && again) return this.#run(sequence, working, grades, false);
			this.trouble = error instanceof Error ? error.message : String(error);
		}
	}

	async #weighAll(run: Tide): Promise<void> {
		try {
			this.weighed = 0;
			const all = await this.source.allWorth((done) => {
				if (this.tide === run) this.weighed = done;
			});
			if (all && this.tide === run && this.layer) this.allWorth = all;
		} catch {
			this.allWorth = null;
		}
	}

	async #weigh(stepId: string): Promise<void> {
		try {
			const worth = await this.source.worth(stepId);
			if (this.input().stepId === stepId) this.worth = worth;
		} catch {
			this.worth = null;
		}
	}
}

/** The starts that can be chosen, each with its words. */
export const startOptions = (canBeFelt: boolean, when: string): { value: TideStart; label: string }[] => [
	...(canBeFelt ? [{ value: 'felt' as const, label: `As felt ${when}` }] : []),
	...(Object.keys(STARTS) as StartId[]).map((value) => ({ value, label: STARTS[value].label }))
];
