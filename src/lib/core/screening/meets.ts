import type { SidedZone } from '../client/sidedZone';
import { mediumById } from '../medium/media';
import type { Sequence } from '../sequence/sequence.schema';
import type { Level } from '../step/levels';
import { strokesOf } from '../step/parts';
import type { Step } from '../step/step.schema';
import type { Limit, LimitOf } from './limit.schema';
import { limitsOut, limitsThat, reaches } from './limit';
import { isAllOver, touchesOf, type Touch } from './touch';
import { isOf } from './which';

/** How a step meets limits of one kind: the limits that it meets, and where. */
export interface Meeting<L extends Limit = Limit> {
	readonly limits: readonly L[];
	readonly places: readonly SidedZone[];
}
const NONE: Meeting<never> = { limits: [], places: [] };

function gathered<L extends Limit>(limits: readonly L[], met: (limit: L) => readonly SidedZone[] | null): Meeting<L> {
	if (!limits.length) return NONE;
	const found: L[] = [];
	const places = new Set<SidedZone>();
	for (const limit of limits) {
		const where = met(limit);
		if (!where) continue;
		found.push(limit);
		for (const place of where) places.add(place);
	}
	return found.length ? { limits: found, places: [...places] } : NONE;
}
const at = (touches: readonly Touch[]): SidedZone[] | null => (touches.length ? touches.map((t) => t.place) : null);

/** Places that are left out, whatever is done there. A move over the whole face goes round them if it says so. */
export const leftOut = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'leave-out'>> =>
	gathered(limitsOut(limits, 'left-out'), ({ where }) => at(touchesOf(step).filter((t) => reaches(where, t.place))));

/** Moves of a kind that she may not have, anywhere or in places. A move over the whole face goes over all of them. */
export const barred = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'leave-out'>> =>
	gathered(limitsOut(limits, 'barred'), ({ where, which }) => {
		const of = strokesOf(step).filter((stroke) => isOf(stroke, which));
		if (!of.length) return null;
		if (where === 'everywhere') return [];
		if (isAllOver(step)) return where;
		return at(touchesOf(step).filter((t) => t.by === 'work' && of.includes(t.stroke) && reaches(where, t.place)));
	});

/** Spots and places that a move over the whole face, or a stroke across a spot, goes round. */
export const toGoRound = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'go-round' | 'leave-out'>> =>
	step.around
		? NONE
		: gathered<LimitOf<'go-round' | 'leave-out'>>(
				[...limitsThat(limits, 'go-round'), ...limitsOut(limits, 'left-out')],
				(limit) => {
					if (isAllOver(step)) return limit.where === 'everywhere' ? [] : limit.where;
					if (limit.does !== 'go-round') return null;
					return at(touchesOf(step).filter((t) => t.by === 'work' && reaches(limit.where, t.place)));
				}
			);

/** The deepest that is allowed her at a place; null where only the usual caps hold. */
export function levelAt(limits: readonly Limit[], place: SidedZone): Level | null {
	let least: Level | null = null;
	for (const limit of limitsThat(limits, 'level'))
		if ((least === null || limit.level < least) && reaches(limit.where, place)) least = limit.level;
	return least;
}

/** Where a step presses deeper than she may have it. */
export const tooDeep = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'level'>> =>
	gathered(limitsThat(limits, 'level'), ({ where, level }) =>
		at(touchesOf(step).filter((t) => t.level > level && reaches(where, t.place)))
	);

/** Both sides at once where she may have one at a time. */
export const bothAtOnce = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'one-side'>> =>
	step.side === 'both'
		? gathered(limitsThat(limits, 'one-side'), ({ where }) =>
				at(touchesOf(step).filter((t) => t.by === 'work' && reaches(where, t.place)))
			)
		: NONE;

export const wrongPosture = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'posture'>> =>
	gathered(limitsThat(limits, 'posture'), ({ without }) => (without.includes(step.posture) ? [] : null));

/** A medium that she must not have; `id` null where nothing is put on. */
export const wrongMedium = (
	id: string | null | undefined,
	own: Sequence['media'],
	limits: readonly Limit[]
): Meeting<LimitOf<'media'>> =>
	id
		? gathered(limitsThat(limits, 'media'), ({ without }) =>
				mediumById(id, own).allergens.some((a) => without.includes(a)) ? [] : null
			)
		: NONE;

/** What is said before a step, and is not noted at it yet. */
export const unsaid = (step: Step, limits: readonly Limit[]): Meeting<LimitOf<'mind'>> =>
	gathered(limitsThat(limits, 'mind'), ({ where, which, say }) => {
		if (step.note.includes(say)) return null;
		const of = strokesOf(step).filter((stroke) => isOf(stroke, which));
		if (!of.length) return null;
		if (where === 'everywhere') return which || touchesOf(step).length ? [] : null;
		return at(touchesOf(step).filter((t) => t.by === 'work' && of.includes(t.stroke) && reaches(where, t.place)));
	});

/** Everything by which a step, as it stands, goes against what she may have. */
export const meetings = (step: Step, own: Sequence['media'], limits: readonly Limit[]): Meeting[] =>
	[
		leftOut(step, limits),
		barred(step, limits),
		tooDeep(step, limits),
		wrongMedium(step.medium?.id, own, limits),
		bothAtOnce(step, limits),
		wrongPosture(step, limits),
		toGoRound(step, limits)
	].filter((m) => m.limits.length > 0);
