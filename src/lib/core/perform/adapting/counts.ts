import { otherSide, type Side } from '../../atlas/places';
import { isDone } from '../../sequence/chosen';
import type { Sequence } from '../../sequence/sequence.schema';
import { stepsOf } from '../../sequence/walk';
import { techniqueById } from '../../technique/library';
import { sideCall } from '../instruction/words';
import type { Dose, Step } from '../../step/step.schema';
import { firstOf, originOf, partId, placedAt, replaced, settled, type Adapted, type Moment } from './moment';

const ASKED = 'Asked for while working';

/** What one repetition is in the unit of a dose. */
const unitOf = (step: Step): number => (step.dose.kind === 'seconds' ? Math.max(1, Math.round(step.paceSeconds)) : 1);

/** A dose with another target: a range stays one, a single number stays single. */
const doseOf = (dose: Dose, target: number): Dose =>
	dose.min === dose.max
		? { ...dose, min: target, target, max: target }
		: { ...dose, min: Math.min(dose.min, target), target, max: Math.max(dose.max, target) };

/** A part of a step on one side, made while working. */
const partOf = (step: Step, id: string, side: Side, target: number): Step => {
	const { medium: _once, ...rest } = step;
	return { ...rest, id, side, reason: step.reason ?? ASKED, dose: doseOf(step.dose, target) };
};

/** A step parted into its sides: the first part keeps the id, since what is running is it. */
function parts(moment: Moment, step: Step, sides: readonly (readonly [Side, number])[]): Step[] {
	const taken = new Set(stepsOf(moment.sequence).map((s) => s.step.id));
	return sides.map(([side, target], i) => {
		const part = partOf(step, i ? partId(taken, step.id) : step.id, side, target);
		taken.add(part.id);
		return i || !step.medium ? part : { ...part, medium: step.medium };
	});
}

/** The most repetitions that a step takes: what the sequence or its move allows. A single number allows what the rules do. */
function mostOf(step: Step, sequence: Sequence): number {
	const move = step.techniqueId ? techniqueById(step.techniqueId, sequence.techniques) : undefined;
	const ofMove = move && move.dose.kind === step.dose.kind ? move.dose.max : 0;
	const own = step.dose.max > step.dose.min ? step.dose.max : 0;
	return Math.max(own, ofMove) || Infinity;
}

const eachOf = ({ side }: Step): { readonly first: Side } | null =>
	typeof side === 'object' && 'each' in side ? side : null;

const whole = (moment: Moment, step: Step, target: number): Step => ({ ...step, dose: doseOf(step.dose, target) });

/**
 * One repetition more of what is being done, on the side at hand; of what goes on both sides at once, on both.
 * Refused above the range of the step or its move, and where the rules stop it.
 */
export function oneMore(moment: Moment): Adapted {
	const placed = placedAt(moment);
	if (!placed) return { refused: 'All is done.' };
	const { step, block } = placed;
	const { sequence, position } = moment;
	const target = step.dose.target + unitOf(step);
	const most = mostOf(step, sequence);
	if (target > most) return { refused: `${step.dose.target} is the most here.` };
	const each = eachOf(step);
	if (!each || block.sides !== 'asSteps') {
		const said =
			block.sides !== 'asSteps' || typeof step.side === 'object'
				? 'One more on each side.'
				: `One more, ${sideCall(position.side ?? 'both', sequence.performer)}.`;
		return settled(moment, replaced(sequence, step.id, [whole(moment, step, target)]), said);
	}
	const here = position.side === otherSide(each.first) ? otherSide(each.first) : each.first;
	const at = (side: Side) => (side === here ? target : step.dose.target);
	const sides = [each.first, otherSide(each.first)].map((s) => [s, at(s)] as const);
	const said = `One more, ${sideCall(here, sequence.performer)}.`;
	return firstOf([
		() => settled(moment, replaced(sequence, step.id, parts(moment, step, sides)), said),
		// Several lanes, one of them over: one more of all of them follows on this side.
		() => {
			const extra = sides.flatMap(([s]) => [
				[s, step.dose.target] as const,
				...(s === here ? [[s, unitOf(step)] as const] : [])
			]);
			return settled(moment, replaced(sequence, step.id, parts(moment, step, extra)), said);
		}
	]);
}

/** One repetition less of what is being done, on both of its sides; never less than has begun. */
export function oneLess(moment: Moment): Adapted {
	const placed = placedAt(moment);
	if (!placed) return { refused: 'All is done.' };
	const { step } = placed;
	const target = step.dose.target - unitOf(step);
	if (target < unitOf(step) || moment.position.rep * unitOf(step) > target)
		return { refused: 'The last one has begun.' };
	const both = typeof step.side === 'object' || step.side === undefined;
	const said = both ? 'One less on each side.' : 'One less.';
	return settled(moment, replaced(moment.sequence, step.id, [whole(moment, step, target)]), said, { worse: true });
}

/**
 * Over to the other side now; what is left of this side follows after it. Possible on the first side of a step that does
 * one side and then the other.
 */
export function otherSideNow(moment: Moment): Adapted {
	const placed = placedAt(moment);
	const each = placed && eachOf(placed.step);
	if (!each) return { refused: 'This step does not do one side and then the other.' };
	const { step } = placed;
	if (moment.position.side !== each.first) return { refused: `The other side has been done. “One more” adds here.` };
	const done = Math.max(1, moment.position.rep) * unitOf(step);
	const left = step.dose.target - done;
	const other = otherSide(each.first);
	if (left <= 0) return { refused: 'This is the last one here; the other side follows.' };
	const order = [
		[each.first, done],
		[other, step.dose.target],
		[each.first, left]
	] as const;
	const made = parts(moment, step, order).map((part, i): Step =>
		// What the side ends with comes when the side is finished.
		i === 0
			? { ...part, end: { kind: 'none' }, ...(part.poseSeconds === undefined ? {} : { poseSeconds: undefined }) }
			: part
	);
	return settled(
		moment,
		replaced(moment.sequence, step.id, made.map(bare)),
		`${sideCall(other, moment.sequence.performer)} now; then back for ${left}.`,
		{
			worse: true
		}
	);
}

const bare = (step: Step): Step =>
	Object.fromEntries(Object.entries(step).filter(([, value]) => value !== undefined)) as Step;

/** A side that got less of a step than the other one, since something was added while working. */
export interface Uneven {
	readonly origin: string;
	readonly side: Side;
	/** In the unit of its dose. */
	readonly missing: number;
}

/** Parts of a planned step, in order. */
const partsOf = (sequence: Sequence, origin: string): Step[] =>
	stepsOf(sequence)
		.map((s) => s.step)
		.filter((s) => originOf(s.id) === origin && isDone(sequence, 'target')(s));

/** Whether the sides of the step at hand differ by what was asked for while working. */
export function unevenNow(moment: Moment): Uneven | null {
	const placed = placedAt(moment);
	if (!placed) return null;
	const origin = originOf(placed.step.id);
	const all = partsOf(moment.sequence, origin);
	if (all.length < 2) return null;
	const sum = (side: Side) => all.reduce((n, s) => n + (s.side === side ? s.dose.target : 0), 0);
	const missing = sum('left') - sum('right');
	return missing ? { origin, side: missing > 0 ? 'right' : 'left', missing: Math.abs(missing) } : null;
}

/** The other side gets as much: of the part that is still to come, or of one that is added after the one at hand. */
export function evenUp(moment: Moment, { origin, side, missing }: Uneven): Adapted {
	const placed = placedAt(moment);
	if (!placed) return { refused: 'All is done.' };
	const { step } = placed;
	const said = `${missing} more, ${sideCall(side, moment.sequence.performer)}.`;
	const later = partsOf(moment.sequence, origin).findLast((s) => s.side === side);
	const taken = new Set(stepsOf(moment.sequence).map((s) => s.step.id));
	return firstOf([
		...(later
			? [
					() =>
						settled(
							moment,
							replaced(moment.sequence, later.id, [whole(moment, later, later.dose.target + missing)]),
							said
						)
				]
			: []),
		() =>
			settled(
				moment,
				replaced(moment.sequence, step.id, [step, partOf(step, partId(taken, origin), side, missing)]),
				said
			)
	]);
}
