import type { TimedEvent } from '../../sequence/expand';
import type { Sequence } from '../../sequence/sequence.schema';
import type { PlacedStep } from '../../sequence/walk';
import type { Step } from '../../step/step.schema';
import type { Working } from '../../working/working.schema';
import { placeIndexOf } from '../placeAtHand';
import { suppliesOf, type Supplies } from '../supplies';

/** On whom one works: a client, or oneself before a mirror. */
export type Performer = Sequence['performer'];
/** What of a sequence the words hang on. */
export type Led = Pick<Sequence, 'performer' | 'media' | 'medium'>;

/** All that is told from. */
export interface Plan {
	readonly events: readonly TimedEvent[];
	readonly byId: ReadonlyMap<string, PlacedStep>;
	readonly supplies: Supplies;
	readonly performer: Performer;
	/** For each stretch, the run of its step that it belongs to. */
	readonly runs: readonly Run[];
}
/** Stretches of one step that follow one another. */
interface Run {
	/** Indexes of the first and the last stretch. */
	readonly start: number;
	readonly end: number;
	/** The how manieth of this step, from 1. */
	readonly number: number;
}
function runsOf(events: readonly TimedEvent[]): readonly Run[] {
	const counts = new Map<string, number>();
	const runs: Run[] = [];
	for (let start = 0; start < events.length; start = runs.length) {
		const { stepId } = events[start]!;
		let end = start;
		while (events[end + 1]?.stepId === stepId) end++;
		const run = { start, end, number: (counts.get(stepId) ?? 0) + 1 };
		counts.set(stepId, run.number);
		for (let i = start; i <= end; i++) runs.push(run);
	}
	return runs;
}
/** What lies ready to be told from; found once for a plan. */
export const planOf = (
	events: readonly TimedEvent[],
	byId: ReadonlyMap<string, PlacedStep>,
	working: Working,
	led: Led = { performer: 'client', media: [], medium: null }
): Plan => ({
	events,
	byId,
	supplies: suppliesOf(led, working),
	performer: led.performer,
	runs: runsOf(events)
});

/** A stretch of a plan with what surrounds it. */
export interface Moment {
	readonly plan: Plan;
	readonly event: TimedEvent;
	readonly placed: PlacedStep;
	readonly step: Step;
	/** The step that was at work before this one; null: it is the first. */
	readonly before: Step | null;
	/** The step begins with this stretch. */
	readonly begins: boolean;
	/** It begins with this stretch, or with the change that comes right before it. */
	readonly opens: boolean;
	/** The hands come to it from the other side. */
	readonly crosses: boolean;
	/** Its phase begins, or ends, with this run of the step. */
	readonly newPhase: boolean;
	readonly endsPhase: boolean;
	/** Which of its rounds this is, from 1, where its phase or block is done more than once. */
	readonly round: number;
	readonly rounds: number;
	/** Number of the place at hand, from 0 in `places`; null where a way is followed or all are held together. */
	readonly at: number | null;
}

const isOne = (side: TimedEvent['side'] | undefined): boolean => side === 'left' || side === 'right';
/** Whether the hands were on the other side before a stretch, or before the change that leads to it. */
function isOver({ events }: Plan, index: number): boolean {
	const [here, before] = [events[index]!, events[index - 1]];
	const prior = before?.kind === 'transition' && here.kind !== 'transition' ? events[index - 2] : before;
	return isOne(here.side) && isOne(prior?.side) && prior!.side !== here.side;
}

/** @param index of a stretch of the plan */
export function momentAt(plan: Plan, index: number): Moment {
	const event = plan.events[index]!;
	const placed = plan.byId.get(event.stepId)!;
	const { step, phase, block } = placed;
	const { start, end, number } = plan.runs[index]!;
	const [prior, next] = [plan.events[start - 1], plan.events[end + 1]];
	const rounds = (phase.passes ?? 1) * (block.passes ?? 1);
	const sides = block.sides === 'asSteps' ? 1 : 2;
	return {
		plan,
		event,
		placed,
		step,
		before: prior ? plan.byId.get(prior.stepId)!.step : null,
		begins: start === index,
		opens: start === index || (start === index - 1 && plan.events[start]!.kind === 'transition'),
		crosses: isOver(plan, index),
		newPhase: prior?.phaseId !== event.phaseId,
		endsPhase: next?.phaseId !== event.phaseId,
		round: rounds === 1 ? 1 : Math.ceil(number / sides),
		rounds,
		at: placeIndexOf(event, step)
	};
}
