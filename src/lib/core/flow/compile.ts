import { otherSide, ownSideOf, placeOf, type PlaceRef, type Side } from '../atlas/places';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import { fillPath, type CheekRoute } from '../atlas/route';
import { stepsOf, type PlacedStep } from '../sequence/walk';
import { carriesAlong, endPlace } from '../step/levelsOf';
import { partAs } from '../step/parts';
import { isStationary } from '../vocabulary/vocabulary';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import type { Working } from '../working/working.schema';
import { besideTheFace, breathesDeeply, cools, isRest, leftOutWhole, mappingOf, type LeftOutReason } from './mapping';
import { sideOfRep, turnsOf, type WorkedSide } from '../sequence/workedSide';
import { faceNetwork, NOT_ADJACENT } from './network';
import { compileProgramme, type FlowTechnique, type Programme, type ProgrammeStep } from './programme';

/** A move, or a part of it, that the model cannot express: its time goes by, nothing is moved. */
export interface LeftOut {
	readonly stepId: string;
	readonly reason: LeftOutReason;
	/** What it hangs on: the two places that do not touch, or the zone. */
	readonly places: readonly string[];
}

/** A sequence as the model runs it. */
export interface FlowPlan {
	readonly programme: Programme;
	/** Second at which each op begins. */
	readonly opStarts: Float64Array;
	readonly seconds: number;
	/** The steps by the number that an op's origin names: twice the number, and one more for a drain link. */
	readonly stepIds: readonly string[];
	readonly leftOut: readonly LeftOut[];
	/** Steps that open one after another, by their numbers: what they do they do together. */
	readonly openings: readonly (readonly number[])[];
}

/** Origin of an op: the work or the link of a step. */
export const originOf = (stepNumber: number, part: 'work' | 'link'): number =>
	2 * stepNumber + (part === 'link' ? 1 : 0);
export const stepOfOrigin = (origin: number): number => origin >> 1;

/** A rest is cut into pieces of at most so many seconds, so that the tide can be looked at meanwhile. */
const REST_PIECE_SECONDS = 4;

type Levels = readonly number[];
interface PathPart {
	readonly refs: readonly PlaceRef[];
	readonly levels: Levels;
}

/** The paths of one repetition: both sides one after the other, or the one that is worked. */
function sidedPaths(refs: readonly PlaceRef[], side: WorkedSide): string[][] {
	const on = (s: Side, flip: boolean) =>
		refs.map((ref) => {
			const own = ownSideOf(ref);
			return `${placeOf(ref)}:${own ? (flip ? otherSide(own) : own) : s}`;
		});
	if (side === 'left' || side === 'right') return [on(side, false)];
	// One pass over the midline is one path; all else is done on the left and mirrored on the right.
	if (side === 'midline' && refs.some((ref) => ownSideOf(ref) !== null)) return [on('left', false)];
	return [on('left', false), on('right', true)];
}

/** The first two neighbours of a path that do not touch, or null. A place that comes twice in a row is one. */
function gapIn(path: readonly string[]): [string, string] | null {
	const { indexOf, alignment, count } = faceNetwork();
	for (let i = 1; i < path.length; i++)
		if (alignment[indexOf.get(path[i - 1]!)! * count + indexOf.get(path[i]!)!] === NOT_ADJACENT)
			return [path[i - 1]!, path[i]!];
	return null;
}

/** Without places that come twice in a row, which the hand does not leave. */
function withoutRepeats({ refs, levels }: PathPart): PathPart {
	const keep = refs.map((ref, i) => i === 0 || ref !== refs[i - 1]);
	return keep.every(Boolean)
		? { refs, levels }
		: { refs: refs.filter((_, i) => keep[i]), levels: levels.filter((_, i) => keep[i]) };
}

/** Skin that is stretched at one place of a way and let go leads on to the next one. */
function onwards({ places, levels }: TimedEvent, step: Step): PathPart {
	if (places.length !== 1) return { refs: places, levels };
	const next = step.places[step.places.indexOf(places[0]!) + 1];
	return next ? { refs: [places[0]!, next], levels: [levels[0]!, levels[0]!] } : { refs: places, levels };
}

class PlanWriter {
	readonly steps: ProgrammeStep[] = [];
	readonly leftOut: LeftOut[] = [];
	readonly #named = new Set<string>();

	constructor(
		private readonly working: Working,
		private readonly cheekRoute: CheekRoute
	) {}

	event(event: TimedEvent, whole: Step, number: number): void {
		const step = event.part ? partAs(whole, event.part - 1) : whole;
		const seconds = event.endSeconds - event.startSeconds;
		const origin = originOf(number, event.kind === 'link' ? 'link' : 'work');
		const deep = breathesDeeply(step);
		const idle = () => this.#rest(seconds, deep, origin);
		if (event.kind === 'transition' || event.kind === 'rest' || besideTheFace(step)) return idle();
		if (event.kind === 'work' && step.beside) this.#leaveOut(step.id, 'beside', step.beside.map(placeOf));
		if (event.kind === 'link') return event.places.length ? this.#link(event, step, origin) : idle();
		if (isRest(step)) return idle();
		const reason = leftOutWhole(step) ?? (event.places.length ? null : 'no-place');
		if (reason) {
			this.#leaveOut(step.id, reason, []);
			return idle();
		}
		if (event.kind === 'station')
			return this.#op('hold', event.side, { refs: event.places, levels: event.levels }, 1, seconds, deep, origin);
		this.#work(event, step, deep, origin);
	}

	#work(event: TimedEvent, step: Step, deep: boolean, origin: number): void {
		const carries = carriesAlong(step);
		// The other way round on a place does not lead the way back.
		const back = event.direction === 'back' && !carries;
		const part = withoutRepeats(
			carries
				? onwards(event, step)
				: {
						refs: back ? [...event.places].reverse() : event.places,
						levels: back ? [...event.levels].reverse() : event.levels
					}
		);
		const wanted = carries ? 'stroke' : mappingOf(step.motion).technique!;
		const technique = wanted === 'stroke' && part.refs.length < 2 ? 'hold' : wanted;
		const { side, reps, paceSeconds } = event;
		if (technique === 'pump') return this.#pump(event, step, part, deep, origin);
		if (technique === 'stroke') {
			const gap = sidedPaths(part.refs, side).map(gapIn).find(Boolean);
			if (gap) {
				this.#leaveOut(step.id, 'gap', gap);
				return this.#rest(reps * paceSeconds, deep, origin);
			}
			if (!cools(step)) return this.#op('stroke', side, part, reps, paceSeconds, deep, origin);
			for (let rep = 0; rep < reps; rep++) {
				const on = sideOfRep(side, rep);
				this.#op('stroke', on, part, 1, 0, deep, origin);
				this.#op('cold', on, part, 1, paceSeconds, deep, origin);
			}
			return;
		}
		this.#spread(cools(step) ? 'cold' : technique, event, step, part, deep, origin);
	}

	/** Over several places at once: time is shared out over them, each repetition of a count goes over all. */
	#spread(
		technique: FlowTechnique,
		event: TimedEvent,
		step: Step,
		part: PathPart,
		deep: boolean,
		origin: number
	): void {
		const { side, reps, paceSeconds } = event;
		const places = part.refs.length;
		if (step.dose.kind === 'reps' || places < 2 || !isStationary(step.motion))
			return this.#op(technique, side, part, reps, paceSeconds, deep, origin);
		// In turn, a pair of repetitions stays at a place.
		const each = turnsOf(side) ? 2 : 1;
		const rounds = Math.ceil(reps / each);
		part.refs.forEach((ref, i) => {
			const share = each * (Math.floor(((i + 1) * rounds) / places) - Math.floor((i * rounds) / places));
			this.#op(technique, side, { refs: [ref], levels: [part.levels[i]!] }, share, paceSeconds, deep, origin);
		});
	}

	#pump(event: TimedEvent, step: Step, part: PathPart, deep: boolean, origin: number): void {
		const isNodeAt = part.refs.map((ref) => placeOf(ref).startsWith('n:'));
		part.refs.forEach((ref, i) => {
			if (!isNodeAt[i]) this.#leaveOut(step.id, 'zone-pump', [placeOf(ref)]);
		});
		if (!isNodeAt.some(Boolean)) return this.#rest(event.reps * event.paceSeconds, deep, origin);
		if (isNodeAt.every(Boolean)) return this.#spread('pump', event, step, part, deep, origin);
		const pumped = { refs: part.refs.filter((_, i) => isNodeAt[i]), levels: part.levels.filter((_, i) => isNodeAt[i]) };
		this.#op('pump', event.side, pumped, event.reps, event.paceSeconds, deep, origin);
	}

	/** From where the step ended along the link, then the pumps at its last node group. */
	#link(event: TimedEvent, step: Step, origin: number): void {
		const along = event.places.length * this.working.linkPlaceSeconds;
		const from = step.places.length ? endPlace(step) : event.places[0]!;
		const refs = ownSideOf(from) ? event.places : fillPath([from, ...event.places], this.cheekRoute);
		const part = withoutRepeats({ refs, levels: refs.map(() => event.levels[0] ?? 1) });
		const gap = sidedPaths(part.refs, event.side).map(gapIn).find(Boolean);
		if (gap) {
			this.#leaveOut(step.id, 'gap', gap);
			this.#rest(along, false, origin);
		} else this.#op(part.refs.length > 1 ? 'stroke' : 'hold', event.side, part, 1, along, false, origin);
		const last = event.places.at(-1)!;
		const pumps = { refs: [last], levels: [event.levels[0] ?? 1] };
		const { linkPumpSeconds } = this.working;
		if (placeOf(last).startsWith('n:')) this.#op('pump', event.side, pumps, event.reps, linkPumpSeconds, false, origin);
		else this.#rest(event.reps * linkPumpSeconds, false, origin);
	}

	#op(
		technique: FlowTechnique,
		side: WorkedSide,
		part: PathPart,
		reps: number,
		seconds: number,
		deep: boolean,
		origin: number
	): void {
		if (turnsOf(side))
			for (let rep = 0; rep < reps; rep++) this.#op(technique, sideOfRep(side, rep), part, 1, seconds, deep, origin);
		else if (reps > 0)
			this.steps.push({
				technique,
				paths: sidedPaths(part.refs, side),
				levels: part.levels,
				reps,
				seconds,
				deep,
				origin
			});
	}

	#rest(seconds: number, deep: boolean, origin: number): void {
		if (!(seconds > 0)) return;
		const reps = Math.ceil(seconds / REST_PIECE_SECONDS);
		this.steps.push({ technique: 'rest', paths: [], levels: 0, reps, seconds: seconds / reps, deep, origin });
	}

	#leaveOut(stepId: string, reason: LeftOutReason, places: readonly string[]): void {
		const key = `${stepId} ${reason} ${places.join()}`;
		if (this.#named.has(key)) return;
		this.#named.add(key);
		this.leftOut.push({ stepId, reason, places });
	}
}

export interface PlanInput {
	readonly events: readonly TimedEvent[];
	readonly steps: readonly PlacedStep[];
	readonly working: Working;
	readonly cheekRoute: CheekRoute;
}

/**
 * A sequence in the words of the model, second for second as it is expanded. What the model cannot express is named and
 * left out: its time goes by. The table of motions is in `mapping.ts`, and in docs/model-mapping.md.
 */
export function planOf({ events, steps, working, cheekRoute }: PlanInput): FlowPlan {
	const numbers = new Map(steps.map(({ step }, i) => [step.id, i]));
	const writer = new PlanWriter(working, cheekRoute);
	for (const event of events) {
		const number = numbers.get(event.stepId)!;
		writer.event(event, steps[number]!.step, number);
	}
	const programme = compileProgramme(faceNetwork(), writer.steps);
	const opStarts = new Float64Array(programme.length);
	let seconds = 0;
	programme.forEach((op, i) => {
		opStarts[i] = seconds;
		seconds += op.reps * op.seconds;
	});
	return {
		programme,
		opStarts,
		seconds,
		stepIds: steps.map((s) => s.step.id),
		leftOut: writer.leftOut,
		openings: openingsOf(steps.map((s) => s.step.aim))
	};
}

/** A plan with hands at rest wherever a test says so: the same seconds, nothing moved. */
export const restingWhere = (programme: Programme, rests: (origin: number) => boolean): Programme =>
	programme.map((op) => (rests(op.origin) ? { ...op, technique: 'rest' as const, paths: [] } : op));

/** The plan of a sequence, expanded first. */
export const planOfSequence = (sequence: Sequence, context: ExpandContext): FlowPlan =>
	planOf({
		events: expand(sequence, context),
		steps: stepsOf(sequence),
		working: context.working,
		cheekRoute: sequence.school.cheekRoute
	});

/** Runs of two and more steps that open. */
function openingsOf(aims: readonly Step['aim'][]): number[][] {
	const runs: number[][] = [];
	aims.forEach((aim, i) => {
		if (aim !== 'open') return;
		if (aims[i - 1] === 'open') runs.at(-1)!.push(i);
		else runs.push([i]);
	});
	return runs.filter((run) => run.length > 1);
}
