import { originOf, restingWhere, stepOfOrigin, type FlowPlan } from './compile';
import { FlowEngine } from './engine';
import { LOOK_AFTER_SECONDS } from './outcomes';
import { faceNetwork } from './network';
import { DEFAULT_FLOW, FINE_STEP_SECONDS, type FlowParameters } from './parameterTable';
import type { Programme, ProgrammeOp } from './programme';
import type { StartGrades } from './starts';

/** What hangs on a step, or on its drain link, or on its place in the order. All in ml. */
export interface Effect {
	/** How much less is gone, ten minutes after the end, without it; negative where it does harm. */
	readonly reliefMl: number;
	/** The place that holds most more at the end without it, and how much; null where nothing is worth a word. */
	readonly place: number | null;
	readonly placeMl: number;
}
export interface StepWorth {
	readonly stepId: string;
	/** With hands at rest for the same time instead of the step, its link included. */
	readonly without: Effect;
	/** The same for its drain link alone; null without one. */
	readonly withoutLink: Effect | null;
	/** Relief gained when the step comes one place earlier, or later; null where it cannot. */
	readonly earlierMl: number | null;
	readonly laterMl: number | null;
}

interface Ending {
	readonly ml: Float64Array;
	readonly lastingReliefMl: number;
}

/** Runs of ops of one step each, in playing order. */
function runsOf(programme: Programme): { step: number; ops: ProgrammeOp[] }[] {
	const runs: { step: number; ops: ProgrammeOp[] }[] = [];
	for (const op of programme) {
		const step = stepOfOrigin(op.origin);
		const last = runs.at(-1);
		if (last?.step === step) last.ops.push(op);
		else runs.push({ step, ops: [op] });
	}
	return runs;
}

/**
 * The programme with a step one place earlier. The seconds of its tool and its change of side go with it.
 * @returns null where the two are not done directly after one another, on every side
 */
export function earlier(programme: Programme, step: number): Programme | null {
	const runs = runsOf(programme);
	let swapped = 0;
	for (let i = 1; i < runs.length; i++) {
		if (runs[i]!.step !== step) continue;
		if (runs[i - 1]!.step !== step - 1) return null;
		[runs[i - 1], runs[i]] = [runs[i]!, runs[i - 1]!];
		swapped++;
	}
	return swapped > 0 ? runs.flatMap((r) => r.ops) : null;
}

/** Looks at every step by leaving it out and by moving it. Work is done step by step: whoever runs it can stop. */
export class WorthRun {
	readonly #engine = new FlowEngine(faceNetwork(), FINE_STEP_SECONDS);
	readonly #whole: Ending;

	/** @throws {RangeError} if a start or a parameter is out of its range, with its name */
	constructor(
		private readonly plan: FlowPlan,
		grades: StartGrades,
		parameters: FlowParameters = DEFAULT_FLOW
	) {
		this.#engine.setParameters(parameters);
		this.#engine.prepare((zone) => grades[zone]!);
		this.#whole = this.#ending(plan.programme);
	}

	/** @param number the step, from 0 */
	of(number: number): StepWorth {
		const { programme, stepIds } = this.plan;
		const [work, link] = [originOf(number, 'work'), originOf(number, 'link')];
		const linked = programme.some((op) => op.origin === link);
		return {
			stepId: stepIds[number]!,
			without: this.#effect((origin) => origin === work || origin === link),
			withoutLink: linked ? this.#effect((origin) => origin === link) : null,
			earlierMl: this.#gain(earlier(programme, number)),
			laterMl: this.#gain(earlier(programme, number + 1))
		};
	}

	#ending(programme: Programme): Ending {
		const engine = this.#engine;
		engine.reset();
		engine.run(programme);
		const ml = engine.ml.slice();
		engine.rest(LOOK_AFTER_SECONDS);
		return { ml, lastingReliefMl: engine.reliefMl };
	}

	#effect(rests: (origin: number) => boolean): Effect {
		const other = this.#ending(restingWhere(this.plan.programme, rests));
		let place = -1;
		let most = 0;
		other.ml.forEach((ml, i) => {
			const more = ml - this.#whole.ml[i]!;
			if (more > most) [place, most] = [i, more];
		});
		return {
			reliefMl: this.#whole.lastingReliefMl - other.lastingReliefMl,
			place: place < 0 ? null : place,
			placeMl: most
		};
	}

	#gain(programme: Programme | null): number | null {
		return programme ? this.#ending(programme).lastingReliefMl - this.#whole.lastingReliefMl : null;
	}
}
