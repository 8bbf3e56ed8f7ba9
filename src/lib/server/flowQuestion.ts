import { z } from 'zod';
import { isZone, type Side } from '../core/atlas/places';
import { ZONES, type ZoneId } from '../core/atlas/zones';
import { faceIndex, faceNetwork } from '../core/flow/network';
import { gradesOfStart, START_IDS, type StartId } from '../core/flow/starts';
import { sequenceCost } from '../core/sequence/cost';
import { secondsOf } from '../core/sequence/expand';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { Working } from '../core/working/working.schema';
import { problemAnswer, type Answer } from './answer';

/** Most work for one question: modelled seconds over all sequences and draws. About ten seconds of one core. */
export const MAX_MODELLED_SECONDS = 16_000_000;
/** What the model runs on after the end of each sequence, seconds. */
const AFTER_SECONDS = 600;
/** Longest passive step of the model, seconds: a repetition is at least one, however quick. */
const STEP_SECONDS = 4;
/** What beginning something else costs, in modelled seconds (measured: about 10 µs, `npm run bench worst`). */
const STRETCH_SECONDS = 16;

/** A start: one that is made up by name, or grades by zone and side. */
export const StartSchema = z.union([
	z.enum(START_IDS as [StartId, ...StartId[]]),
	z
		.array(
			z.strictObject({
				zone: z.string().refine((id): id is ZoneId => Object.hasOwn(ZONES, id) && isZone(id as ZoneId), 'no such zone'),
				side: z.enum(['left', 'right']),
				grade: z.number().min(0).max(4)
			})
		)
		.max(2 * Object.keys(ZONES).length)
]);

export function gradesOf(start: z.infer<typeof StartSchema>): number[] {
	if (typeof start === 'string') return [...gradesOfStart(start)];
	const grades = new Array<number>(faceNetwork().zoneCount).fill(0);
	for (const { zone, side, grade } of start) grades[faceIndex(zone, side as Side)] = grade;
	return grades;
}

/** What running a sequence once is like: its seconds, or as many as its repetitions cost, and what parts them. */
function modelledSeconds(sequence: Sequence, working: Working): number {
	const { total } = secondsOf(sequence, { working }, 'target');
	const { repetitions, stretches } = sequenceCost(sequence);
	return Math.max(total, STEP_SECONDS * repetitions) + STRETCH_SECONDS * stretches + AFTER_SECONDS;
}

/** Refuses what would take too long, with its cost. */
export function tooDear(sequences: readonly Sequence[], working: Working, draws: number): Answer | null {
	const each = Math.max(...sequences.map((s) => modelledSeconds(s, working)));
	const cost = Math.round(each * sequences.length * draws);
	if (cost <= MAX_MODELLED_SECONDS) return null;
	const words = `${sequences.length} × ${Math.round(each)} s × ${draws} draws are ${cost.toLocaleString('en')} modelled seconds; at most ${MAX_MODELLED_SECONDS.toLocaleString('en')} are run. Ask for fewer draws, or for shorter or fewer sequences.`;
	return problemAnswer(422, 'Too much work', words, [{ path: 'draws', message: words, remedy: 'Ask for less.' }]);
}

/** What the model says when a sequence is beyond it. */
export function modelled(run: () => Answer): Answer {
	try {
		return run();
	} catch (error) {
		if (error instanceof Error && (error.name === 'RangeError' || error.name === 'ProgrammeError'))
			return problemAnswer(422, 'Not possible in the model', error.message);
		throw error;
	}
}
