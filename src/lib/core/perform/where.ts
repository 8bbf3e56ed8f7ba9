import { instructionAt, type Told } from './instruction/instruction';
import type { Plan } from './instruction/moment';
import { spokenParts } from './instruction/spokenParts';
import { sideCall, spokenTime } from './instruction/words';
import { LONG_PART_SECONDS } from './longPart';
import type { Position } from './position';

/** What the hands cannot do without, when they come to a step by a signal: said at once, so it is short. */
const ARRIVAL_RANK = 1;

const saidOf = (told: readonly Told[], slot: Told['slot']): string => told.find((t) => t.slot === slot)?.say ?? '';
const sentence = (parts: readonly string[]): string => parts.filter(Boolean).join('. ');

/**
 * Where one is, in short: place, side, and how far it has come. Said when it is asked for.
 * @example whereWords(plan, position) // => 'Under the jaw. both sides. 6 of 8'
 */
export function whereWords(plan: Plan, position: Position): string {
	const { event, index, rep, reps, eventLeftSeconds, stepLeftSeconds } = position;
	if (!event) return 'Finished';
	const told = instructionAt(plan, index);
	const place = saidOf(told, 'place') || saidOf(told, 'what');
	if (event.kind === 'transition') return sentence([place, saidOf(told, 'side')]);
	const { step } = plan.byId.get(event.stepId)!;
	const counts =
		step.dose.kind !== 'seconds' && reps > 0 && event.endSeconds - event.startSeconds < LONG_PART_SECONDS * reps;
	const left = step.contact === 'none' ? stepLeftSeconds : eventLeftSeconds;
	const far = counts ? `${rep} of ${reps}` : `${spokenTime(Math.max(1, Math.round(left)))} to go`;
	// The side of this very moment, also where it changes with each repetition.
	const side = step.contact === 'none' ? '' : sideCall(position.side!, plan.performer);
	return sentence([place, side, far]);
}

/**
 * What is said when a signal has led somewhere, as a jump does, or when it goes on: of a step that begins what the hands
 * need, in the middle of one where it is.
 */
export function arrivalWords(plan: Plan, position: Position): string {
	const { event, index } = position;
	if (!event) return '';
	const begins = plan.runs[index]!.start === index && position.rep <= 1;
	if (!begins) return whereWords(plan, position);
	const parts = spokenParts(instructionAt(plan, index), {
		before: [],
		begins: true,
		crosses: false,
		voice: 'places'
	});
	return sentence(parts.filter(({ drop }) => drop <= ARRIVAL_RANK).map(({ words }) => words));
}
