import { fitTo, type FitChange } from '../../fit/fit';
import { edited } from '../../sequence/edits';
import { clock } from '../../step/describe';
import { originOf, placedAt, settled, withoutSteps, type Adapted, type Moment } from './moment';
import { stepsOf, type PlacedStep } from '../../sequence/walk';

/** Steps that were begun, or lie before the one at hand: of a block that is done on both sides, all of its first round. */
function begun(moment: Moment): ReadonlySet<string> {
	const ids = new Set<string>();
	for (const event of moment.judgement.events.slice(0, moment.position.index + 1)) ids.add(event.stepId);
	return ids;
}

/** How what is left fits the time that is left. */
export interface FitRest {
	readonly adapted: Adapted;
	readonly changes: readonly FitChange[];
	/** Seconds of what is left, afterwards. */
	readonly leftSeconds: number;
	readonly why: string;
}

/**
 * Fits what is left to the seconds that are left: counts within their ranges, then moves marked as optional; openings and the
 * closing drain stay, and what has begun stays as it is.
 * @param leftSeconds > 0
 */
export function fitRest(moment: Moment, leftSeconds: number): FitRest {
	const fit = fitTo(moment.sequence, moment.seconds + leftSeconds, moment.given, { keep: begun(moment), exits: false });
	const left = fit.seconds - moment.seconds;
	if (!fit.fits)
		return {
			adapted: { refused: `At least ${clock(left)} is needed for what may not be left out.` },
			changes: [],
			leftSeconds: left,
			why: fit.why
		};
	const next = fit.edit ? edited(moment.sequence, fit.edit) : moment.sequence;
	return {
		adapted: settled(moment, next, `Fitted: ${clock(left)} to go.`, { worse: true, offered: true }),
		changes: fit.changes,
		leftSeconds: left,
		why: fit.why
	};
}

/** The shortest safe way out: the step at hand on both sides, what its block owes the other side, and the closing drain. */
export function endSoon(moment: Moment): Adapted {
	const placed = placedAt(moment);
	if (!placed) return { refused: 'All is done.' };
	// Parts of what was begun are owed to the other side: what was asked for while working, too.
	const keep = new Set([...begun(moment)].map(originOf));
	const closes = closingOf(moment);
	const next = withoutSteps(
		moment.sequence,
		(step) => !keep.has(originOf(step.id)) && !closes.some((c) => c.step.id === step.id)
	);
	if (stepsOf(next).length === stepsOf(moment.sequence).length) return { refused: 'This is the shortest way already.' };
	const said = closes.length
		? 'To the end by the closing drain.'
		: 'To the end of this step; there is no closing drain in it.';
	return settled(moment, next, said, { worse: true });
}

/** The closing drain that is still to come. */
export function closingOf(moment: Moment): readonly PlacedStep[] {
	const keep = begun(moment);
	return stepsOf(moment.sequence).filter(({ step }) => step.aim === 'close' && !keep.has(step.id));
}
