import { ZONE_AREA_CM2 } from '../atlas/areas';
import { ZONE_GROUP } from '../atlas/graph';
import { zoneOf } from '../atlas/regionOf';
import { ownSideOf, SIDES, type PlaceRef, type Side } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import type { TimedEvent } from '../sequence/expand';
import { repsOn, sidesOf } from '../sequence/workedSide';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import type { PlacedStep } from '../sequence/walk';
import type { Working } from '../working/working.schema';
import { needsFilm } from '../step/levelsOf';
import { motionRow, toolRow } from '../vocabulary/vocabulary';
import { mediumById } from '../medium/media';

/** A patch of skin: a zone of one side, as a number, so that the film of all of them lies in a few arrays. */
type Key = number;
const KEY_OF = new Map<ZoneId, number>(ZONE_IDS.map((zone, i) => [zone, 2 * i]));
const keyOf = (zone: ZoneId, side: Side): Key => KEY_OF.get(zone)! + (side === 'right' ? 1 : 0);
const zoneOfKey = (key: Key): ZoneId => ZONE_IDS[key >> 1]!;

/** Zones that the oil of a whole face goes to: face and neck, not the chest. */
const FACE_AND_NECK = ZONE_IDS.filter((z) => ZONE_GROUP[z] !== 'chest');

/** Least film on which a step slides, µl/cm². */
const needOf = (step: Step, working: Working): number =>
	step.contact === 'tool' ? working.toolFilmUlCm2 : working.handFilmUlCm2;

/** The zones under the places of a path: a node group lies under the skin of a zone. */
export function zonesUnder(refs: readonly PlaceRef[]): { zone: ZoneId; own: Side | null }[] {
	return refs.map((ref) => ({ zone: zoneOf(ref), own: ownSideOf(ref) }));
}

const areaOf = (zones: readonly ZoneId[], sides: number): number =>
	[...new Set(zones)].reduce((sum, z) => sum + ZONE_AREA_CM2[z], 0) * sides;

/**
 * Millilitres for full cover on the zones of a step, or on face and neck where it names no place.
 * @returns ml, at least a drop's worth where there is any area
 */
export function mlFor(step: Pick<Step, 'places' | 'side'>, { fullFilmUlCm2, dropMl }: Working): number {
	const zones = step.places.length ? zonesUnder(step.places).map((z) => z.zone) : FACE_AND_NECK;
	const sides = step.side === 'left' || step.side === 'right' ? 1 : 2;
	return Math.max(dropMl, Math.ceil((areaOf(zones, sides) * fullFilmUlCm2) / 1000 / dropMl) * dropMl);
}

export interface DryStep {
	readonly stepId: string;
	readonly seconds: number;
	readonly place: PlaceRef;
	/** `none`: no medium was ever there. `spent`: it is used up. */
	readonly kind: 'none' | 'spent';
}
/** Mean film over the skin that has had any, as a share of a full film, at the start and end of each step: [seconds, share]. */
export interface FilmLine {
	readonly points: readonly (readonly [seconds: number, share: number])[];
	/** The share on which a hand just slides. */
	readonly dryShare: number;
}

const PATCHES = 2 * ZONE_IDS.length;

/** The film on every patch of skin: µl/cm² at a second, and how fast it is absorbed. A half-life of 0 says that nothing was ever there. */
class Skin {
	readonly #film = new Float64Array(PATCHES);
	readonly #seconds = new Float64Array(PATCHES);
	readonly #halfLife = new Float64Array(PATCHES);

	at(key: Key, seconds: number): number {
		const half = this.#halfLife[key]!;
		return half ? this.#film[key]! * 2 ** (-(seconds - this.#seconds[key]!) / half) : 0;
	}
	known = (key: Key): boolean => this.#halfLife[key] !== 0;
	set(key: Key, film: number, seconds: number, halfLifeSeconds = this.#halfLife[key]!): void {
		this.#film[key] = film;
		this.#seconds[key] = seconds;
		this.#halfLife[key] = halfLifeSeconds;
	}
	clean(keys: readonly Key[]): void {
		for (const key of keys) this.#halfLife[key] = 0;
	}
	mean(seconds: number, fullFilmUlCm2: number): number {
		let [sum, count] = [0, 0];
		for (let key = 0; key < PATCHES; key++) {
			if (!this.known(key)) continue;
			sum += Math.min(1, this.at(key, seconds) / fullFilmUlCm2);
			count++;
		}
		return count ? sum / count : 0;
	}
}

const keysByPath = new WeakMap<readonly PlaceRef[], Map<string, readonly Key[]>>();

/** The patches of skin under a path on some sides; face and neck where it names no place. Paths never change, so it is kept. */
function keysOf(
	refs: readonly PlaceRef[],
	sides: readonly Side[],
	whole: readonly ZoneId[] = FACE_AND_NECK
): readonly Key[] {
	const path = refs.length ? refs : whole;
	const bySides = keysByPath.get(path) ?? new Map<string, readonly Key[]>();
	keysByPath.set(path, bySides);
	const name = sides.length === 2 ? 'both' : sides[0]!;
	const known = bySides.get(name);
	if (known) return known;
	const keys: Key[] = [];
	for (const { zone, own } of zonesUnder(path)) for (const side of own ? [own] : sides) keys.push(keyOf(zone, side));
	bySides.set(name, keys);
	return keys;
}

/** What a step puts on: its own medium, or that of the sequence where it prepares the skin. */
export function mediumOf(
	step: Step,
	sequence: Pick<Sequence, 'medium'>,
	working: Working
): { id: string; ml: number } | null {
	if (step.medium) return step.medium;
	return step.aim === 'prepare' && step.contact !== 'tool'
		? (sequence.medium ?? { id: 'light-oil', ml: mlFor(step, working) })
		: null;
}

/** The whole face, both sides. */
const WHOLE: Pick<Step, 'places' | 'side'> = { places: [], side: 'both' };

/** Zones that a sequence works: what names no place covers face and neck, and the chest where it is worked. */
function workedZones(byId: ReadonlyMap<string, PlacedStep>): readonly ZoneId[] {
	const chest = new Set<ZoneId>();
	for (const { step } of byId.values())
		for (const ref of step.places) {
			const zone = zoneOf(ref);
			if (ZONE_GROUP[zone] === 'chest') chest.add(zone);
		}
	return chest.size ? ZONE_IDS.filter((z) => ZONE_GROUP[z] !== 'chest' || chest.has(z)) : FACE_AND_NECK;
}

function apply(
	skin: Skin,
	step: Pick<Step, 'places' | 'side'>,
	medium: { id: string; ml: number },
	own: Sequence['media'],
	seconds: number,
	whole: readonly ZoneId[]
): void {
	const sides: readonly Side[] = step.side === 'left' || step.side === 'right' ? [step.side] : SIDES;
	const keys = keysOf(step.places, sides, whole);
	const area = areaOf(keys.map(zoneOfKey), sides.length);
	const film = (medium.ml * 1000) / Math.max(1, area);
	const { halfLifeSeconds } = mediumById(medium.id, own);
	for (const key of keys) skin.set(key, skin.at(key, seconds) + film, seconds, halfLifeSeconds);
}

/**
 * Follows the film over a sequence: laid on by steps that carry a medium, absorbed with its half-life, worn by each
 * sliding repetition, taken off by cleansing. A teaching model; every number is a working value.
 */
function follow(
	sequence: Sequence,
	events: readonly TimedEvent[],
	byId: ReadonlyMap<string, PlacedStep>,
	working: Working,
	onbegin: (skin: Skin, step: Step, event: TimedEvent) => void,
	onend?: (skin: Skin, event: TimedEvent) => void
): void {
	const skin = new Skin();
	const begun = new Set<string>();
	const worked = workedZones(byId);
	// Without a step that lays it on, what the head of the sequence names is on the skin from the start.
	const laidOn = [...byId.values()].some(
		({ step }) => step.aim === 'prepare' && !step.medium && step.contact !== 'tool'
	);
	if (sequence.medium && !laidOn) apply(skin, WHOLE, sequence.medium, sequence.media, 0, worked);
	for (const event of events) {
		if (event.kind === 'transition' || event.kind === 'link') continue;
		const { step } = byId.get(event.stepId)!;
		if (!begun.has(step.id)) {
			begun.add(step.id);
			const medium = mediumOf(step, sequence, working);
			if (medium) apply(skin, step, medium, sequence.media, event.startSeconds, worked);
		}
		if (step.tape?.skin) skin.clean(keysOf(step.places, sidesOf(event.side), worked));
		onbegin(skin, step, event);
		if (step.aim === 'cleanse' && step.target !== 'hands' && step.target !== 'tool')
			skin.clean(keysOf(event.places, sidesOf(event.side), worked));
		if (event.kind === 'work' && needsFilm(step)) wear(skin, step, event, working);
		onend?.(skin, event);
	}
}

/** Motions and tools that want bare skin: a film lets the fold slip out of the fingers, and no tape holds on it. */
export function wantsDrySkin(step: Step): boolean {
	if (step.aim === 'fix' || (step.tool && toolRow(step.tool.id).wantsBareSkin)) return true;
	// A fold slips out of the fingers; what is pressed or circled stays where it is, with oil or without.
	return motionRow(step.motion).wantsBareSkin && step.contact === 'pinch';
}

export interface FilmFacts {
	/** Steps that begin to slide where too little film is left. */
	readonly dry: readonly DryStep[];
	/** Steps that want bare skin and find a film: the place where it lies. */
	readonly oiled: ReadonlyMap<string, PlaceRef>;
}

/** Whether a step begins on a side or a way on which it was not yet: what slides on there has worn its own film. */
function isNew(known: Set<string>, step: Step, event: TimedEvent): boolean {
	const key = `${step.id} ${event.side} ${event.lane} ${event.part} ${event.places.join()}`;
	if (known.has(key)) return false;
	known.add(key);
	return true;
}

/** Where the film is missing, and where it is in the way. */
export function filmFactsOf(
	sequence: Sequence,
	events: readonly TimedEvent[],
	byId: ReadonlyMap<string, PlacedStep>,
	working: Working
): FilmFacts {
	// Each side, lane and way back is looked at as it begins; what is found first is told of the step.
	const dry = new Map<string, DryStep>();
	const oiled = new Map<string, PlaceRef>();
	const known = new Set<string>();
	follow(sequence, events, byId, working, (skin, step, event) => {
		if (needsFilm(step) && !dry.has(step.id) && isNew(known, step, event)) {
			const found = tooDry(skin, step, event, working);
			if (found) dry.set(step.id, found);
		}
		if (!wantsDrySkin(step) || oiled.has(step.id)) return;
		const oily = keysOf(event.places, sidesOf(event.side)).find(
			(k) => skin.at(k, event.startSeconds) > working.oilyShare * working.fullFilmUlCm2
		);
		if (oily !== undefined) oiled.set(step.id, zoneOfKey(oily));
	});
	return { dry: [...dry.values()], oiled };
}

/** The film over time, to be drawn. */
export function filmLineOf(
	sequence: Sequence,
	events: readonly TimedEvent[],
	byId: ReadonlyMap<string, PlacedStep>,
	working: Working
): FilmLine {
	const line: [number, number][] = [];
	const mark = (skin: Skin, seconds: number) => line.push([seconds, skin.mean(seconds, working.fullFilmUlCm2)]);
	follow(
		sequence,
		events,
		byId,
		working,
		(skin, _step, event) => mark(skin, event.startSeconds),
		(skin, event) => mark(skin, event.endSeconds)
	);
	return { points: line, dryShare: Math.min(0.99, working.handFilmUlCm2 / working.fullFilmUlCm2) };
}

function tooDry(skin: Skin, step: Step, event: TimedEvent, working: Working): DryStep | null {
	const seconds = event.startSeconds;
	const need = needOf(step, working);
	// Each place has one key a side, or one where it names its own: the first dry key tells the place.
	const dry = keysOf(event.places, sidesOf(event.side)).find((k) => skin.at(k, seconds) < need);
	if (dry === undefined) return null;
	const zone = zoneOfKey(dry);
	const at = zonesUnder(event.places).findIndex((z) => z.zone === zone);
	return { stepId: step.id, seconds, place: event.places[at]!, kind: skin.known(dry) ? 'spent' : 'none' };
}

function wear(skin: Skin, step: Step, event: TimedEvent, working: Working): void {
	const rate = step.contact === 'tool' ? working.toolWearShare : working.handWearShare;
	// Both sides of what is done in turn get the same.
	const reps = repsOn(event.side, sidesOf(event.side)[0]!, event.reps);
	for (const key of keysOf(event.places, sidesOf(event.side)))
		if (skin.known(key)) skin.set(key, skin.at(key, event.endSeconds) * (1 - rate) ** reps, event.endSeconds);
}
