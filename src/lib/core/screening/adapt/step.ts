import { ownSideOf, placeOf, type PlaceRef } from '../../atlas/places';
import { zoneOf } from '../../atlas/regionOf';
import { sided } from '../../client/sidedZone';
import { MEDIA } from '../../medium/media';
import type { Sequence } from '../../sequence/sequence.schema';
import type { Level } from '../../step/levels';
import type { Step } from '../../step/step.schema';
import { stepProblems } from '../../step/stepProblems';
import { isStationary } from '../../vocabulary/vocabulary';
import type { Limit } from '../limit.schema';
import { limitsOut, reaches } from '../limit';
import {
	barred,
	bothAtOnce,
	leftOut,
	levelAt,
	meetings,
	toGoRound,
	tooDeep,
	unsaid,
	wrongMedium,
	wrongPosture
} from '../meets';
import { workedSides } from '../touch';
import { insteadOf, lowered } from './move';
import { withoutPlaces, type Allows } from './path';

/** What a step is adapted to. */
export interface Adapting {
	readonly limits: readonly Limit[];
	/** Media that the sequence brings along. */
	readonly media: Sequence['media'];
	/** Pumps of a drain link that is set anew. */
	readonly pumps: number;
}

const placesOf = (ref: PlaceRef, step: Step) => {
	const own = ownSideOf(ref);
	return (own ? [own] : workedSides(step)).map((side) => sided(zoneOf(ref), side));
};

const goodMedium = (limits: readonly Limit[], own: Sequence['media']): string | null => {
	const ids = [...MEDIA, ...own].map((m) => m.id);
	return ids.find((id) => !wrongMedium(id, own, limits).limits.length) ?? null;
};

/** The medium that a client may have instead; the same one where it is good, null where none is. */
export const mediumFor = (id: string, { limits, media }: Pick<Adapting, 'limits' | 'media'>): string | null =>
	wrongMedium(id, media, limits).limits.length ? goodMedium(limits, media) : id;

/** One change of a step towards what she may have; null where it cannot be had otherwise. */
type Change = (step: Step, adapting: Adapting) => Step | null;

const otherMedium: Change = (step, adapting) => {
	if (!step.medium) return step;
	const id = mediumFor(step.medium.id, adapting);
	if (id) return id === step.medium.id ? step : { ...step, medium: { ...step.medium, id } };
	const { medium: _medium, ...dry } = step;
	return step.aim === 'prepare' ? null : dry;
};

const headNeutral: Change = (step, { limits }) =>
	wrongPosture(step, limits).limits.length ? { ...step, posture: 'neutral' } : step;

/** Most changes of one step: more properties than these a move does not have. */
const MOST_CHANGES = 8;
const allowedMove: Change = (step, { limits, pumps }) => {
	let now: Step | null = step;
	for (let n = 0; n < MOST_CHANGES && now; n++) {
		const limit = barred(now, limits).limits[0];
		if (!limit) return now;
		const instead: Step | null = insteadOf(now, limit.which!);
		if (instead) now = instead;
		else if (limit.where === 'everywhere' || !now.places.length) return null;
		else {
			const here: Step = now;
			now = withoutPlaces(here, (ref) => !placesOf(ref, here).some((p) => reaches(limit.where, p)), pumps);
		}
	}
	return null;
};

const allows =
	(step: Step, limits: readonly Limit[]): Allows =>
	(ref) => {
		const out = limitsOut(limits, 'left-out');
		return !placesOf(ref, step).some((place) => out.some((l) => reaches(l.where, place)));
	};
const allowedPlaces: Change = (step, { limits, pumps }) =>
	leftOut(step, limits).limits.length ? withoutPlaces(step, allows(step, limits), pumps) : step;

const allowedLevel: Change = (step, { limits }) => {
	if (!tooDeep(step, limits).limits.length) return step;
	const most = (ref: PlaceRef): Level =>
		Math.min(4, ...placesOf(ref, step).map((p) => levelAt(limits, p) ?? 4)) as Level;
	const after = lowered(step, most);
	if (!tooDeep(after, limits).limits.length) return after;
	// What is too deep still is a pump of the link, or the hand that holds.
	const end = after.end.kind === 'link' ? { ...after.end, places: after.end.places.filter((p) => most(p) > 0) } : null;
	const { place: _place, ...support } = after.support ?? { stays: false };
	return {
		...after,
		...(end ? { end: end.places.length ? { ...end, by: 'hand' } : { kind: 'none' } } : {}),
		...(after.support ? { support } : {})
	};
};

/** One side, then the other; what named its sides is worked on each in turn. */
export const oneSideAtATime: Change = (step, { limits }) => {
	if (!bothAtOnce(step, limits).limits.length) return step;
	const places = step.places.map((ref): PlaceRef => placeOf(ref));
	const stations = step.stations && { ...step.stations, places: step.stations.places.map((p): PlaceRef => placeOf(p)) };
	return { ...step, side: { each: true, first: 'left' }, places, ...(stations ? { stations } : {}) };
};

/** Longest text of what is gone round, characters. */
const MOST_AROUND = 200;
const goneRound: Change = (step, { limits, pumps }) => {
	const met = toGoRound(step, limits);
	if (!met.limits.length) return step;
	if (step.places.length > 1 && !isStationary(step.motion)) {
		const free = (ref: PlaceRef) => !placesOf(ref, step).some((p) => met.limits.some((l) => reaches(l.where, p)));
		const round = withoutPlaces(step, free, pumps);
		const sameEnds = round?.places[0] === step.places[0] && round?.places.at(-1) === step.places.at(-1);
		if (round && sameEnds && !toGoRound(round, limits).limits.length) return round;
	}
	const words = [...new Set(met.limits.map((l) => `${l.name.toLowerCase()} (${l.whereWords})`))].join('; ');
	const short = words.length <= MOST_AROUND ? words : `${words.slice(0, MOST_AROUND - 1).replace(/\s+\S*$/, '')}…`;
	return { ...step, around: short };
};

/** Longest note of a step, characters. */
const MOST_NOTE = 2000;
const said: Change = (step, { limits }) => {
	const words = unsaid(step, limits).limits.map((l) => l.say);
	const note = [...new Set([step.note, ...words])].filter(Boolean).join(' ');
	return words.length && note.length <= MOST_NOTE ? { ...step, note } : step;
};

/** By what it changes; in this order, for a move by hand may be lighter, and a shorter path may meet less. */
export const CHANGES = {
	media: otherMedium,
	posture: headNeutral,
	move: allowedMove,
	places: allowedPlaces,
	level: allowedLevel,
	'one-side': oneSideAtATime,
	around: goneRound,
	note: said
} as const satisfies Record<string, Change>;
export type ChangeId = keyof typeof CHANGES;

/** A step after some of the changes; null where it has to be left out, and where nothing valid comes of it. */
export function changedBy(step: Step, which: readonly ChangeId[], adapting: Adapting): Step | null {
	let now: Step | null = step;
	for (const id of which) now = now && CHANGES[id](now, adapting);
	if (!now || now === step) return now;
	const bare = Object.fromEntries(Object.entries(now).filter(([, value]) => value !== undefined)) as unknown as Step;
	return stepProblems(bare).length ? null : bare;
}

/**
 * A step as a client may have it: another medium, the head neutral, by hand or more gently, without places that are left
 * out, lighter, one side at a time, round what is gone round, and with what is said before it. The same step where
 * nothing speaks against it; null where it must be left out: then nothing that she may not have is left.
 */
export function adaptStep(step: Step, adapting: Adapting): Step | null {
	const { limits, media } = adapting;
	if (!meetings(step, media, limits).length && !unsaid(step, limits).limits.length) return step;
	const inBlock = step.side === undefined;
	const after = changedBy(
		step,
		(Object.keys(CHANGES) as ChangeId[]).filter((id) => !(inBlock && id === 'one-side')),
		adapting
	);
	return after && !meetings(after, media, limits).length ? after : null;
}
