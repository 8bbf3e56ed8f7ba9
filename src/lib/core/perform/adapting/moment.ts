import { newlyGrave } from '../../rules/newlyGrave';
import { findingsOf, judge, type Judgement, type JudgeInput } from '../../rules/judge';
import { sentenceOf } from '../../rules/wording';
import type { TimedEvent } from '../../sequence/expand';
import type { Sequence } from '../../sequence/sequence.schema';
import { mapSteps, type PlacedStep } from '../../sequence/walk';
import type { Step } from '../../step/step.schema';
import type { Position } from '../position';

/** A sequence in the middle of being performed. */
export interface Moment {
	/** As it is performed by now. */
	readonly sequence: Sequence;
	readonly judgement: Judgement;
	readonly position: Position;
	/** Second of the plan. */
	readonly seconds: number;
	/** What it is judged by. */
	readonly given: JudgeInput;
}

/** The sequence as it goes on, with what is said of it; or why it cannot go on so. */
export type Adapted =
	{ readonly sequence: Sequence; readonly judgement: Judgement; readonly said: string } | { readonly refused: string };

export const placedAt = ({ judgement, position }: Moment): PlacedStep | null =>
	judgement.context.byId.get(position.event?.stepId ?? '') ?? null;

/** Id of the step of the plan that a part of it, made while working, comes from. */
export const originOf = (stepId: string): string => stepId.replace(/~\d+$/, '');

/** A free id for a part of a step. */
export function partId(taken: ReadonlySet<string>, stepId: string): string {
	let n = 2;
	while (taken.has(`${originOf(stepId)}~${n}`)) n++;
	return `${originOf(stepId)}~${n}`;
}

/** The sequence with one step replaced by others, in its place. */
export const replaced = (sequence: Sequence, stepId: string, by: readonly Step[]): Sequence => ({
	...sequence,
	phases: sequence.phases.map((phase) => ({
		...phase,
		blocks: phase.blocks.map((block) =>
			block.steps.some((s) => s.id === stepId)
				? { ...block, steps: block.steps.flatMap((s) => (s.id === stepId ? by : s)) }
				: block
		)
	}))
});

export const withoutSteps = (sequence: Sequence, gone: (step: Step) => boolean): Sequence =>
	mapSteps(sequence, (step) => (gone(step) ? null : step));

const SAME = 1e-6;
/** What was done by now lies where it lay: the log of the stage, which is kept in seconds of the plan, stays true. */
export function samePast(
	before: readonly TimedEvent[],
	after: readonly TimedEvent[],
	index: number,
	seconds: number
): boolean {
	const near = (a: number, b: number) => Math.abs(a - b) < SAME;
	for (let i = 0; i <= index && i < before.length; i++) {
		const [a, b] = [before[i]!, after[i]];
		if (!b || a.kind !== b.kind || a.side !== b.side || !near(a.startSeconds, b.startSeconds)) return false;
		if (i < index ? !near(a.endSeconds, b.endSeconds) : b.endSeconds < seconds - SAME) return false;
	}
	return true;
}

/** What the rules find graver than before: a new stop, or a dose that is too much. */
function worse(before: Judgement, after: Judgement): string | null {
	const counts = ({ findings }: Judgement) => {
		const by = new Map<string, number>();
		for (const f of findings) by.set(f.ruleId, (by.get(f.ruleId) ?? 0) + 1);
		return by;
	};
	const had = counts(before);
	const grave = after.findings.filter((f) => f.severity === 'stop' || (f.kind === 'dose' && f.severity === 'caution'));
	const news = grave.find((f) => after.findings.filter((g) => g.ruleId === f.ruleId).length > (had.get(f.ruleId) ?? 0));
	return news ? sentenceOf(news).head : null;
}

/** Rules that a change while working may break, since it is short of time or asked for: said in the record, not refused. */
export interface Leave {
	/** What is worse is done all the same: leaving something out saves time, and the record says it. */
	readonly worse?: boolean;
	/** It is offered by the stage: it brings no stop and no caution that was not there before. */
	readonly offered?: boolean;
}

/** The change, if it leaves what was done as it was and adds nothing that the rules stop. */
export function settled(moment: Moment, next: Sequence, said: string, leave: Leave = {}): Adapted {
	const judgement = judge(next, moment.given);
	if (!samePast(moment.judgement.events, judgement.events, moment.position.index, moment.seconds))
		return { refused: 'That is over already: it would change what has been done.' };
	const grave = leave.worse ? null : worse(moment.judgement, judgement);
	if (grave) return { refused: `Not more of it: ${grave}.` };
	// What is offered, and not asked for by the hand, brings nothing grave at all.
	const [news] = leave.offered ? newlyGrave(findingsOf(moment.judgement.context), findingsOf(judgement.context)) : [];
	return news ? { refused: `Not so: ${sentenceOf(news).head}.` } : { sequence: next, judgement, said };
}

/** The first of several ways that is possible; else what the first one was refused for. */
export function firstOf(ways: readonly (() => Adapted)[]): Adapted {
	let refused: Adapted | null = null;
	for (const way of ways) {
		const made = way();
		if (!('refused' in made)) return made;
		refused ??= made;
	}
	return refused ?? { refused: 'That cannot be done here.' };
}
