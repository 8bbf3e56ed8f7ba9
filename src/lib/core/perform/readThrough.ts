import { conditionalSteps, withMet } from '../sequence/chosen';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf, type PlacedStep } from '../sequence/walk';
import { changedSince, instructionAt, toldOf, type Told } from './instruction/instruction';
import { momentAt, planOf, type Plan } from './instruction/moment';
import type { SlotId } from './instruction/slots';
import { soundtrackOf, type SoundOptions, type Soundtrack } from './sounds';
import type { Spoken } from './speech';

/** What the stage tells at a second of the plan: all of a step, what changes within it, or what is done if something is so. */
export interface ReadLine {
	readonly kind: 'step' | 'change' | 'asked';
	readonly atSeconds: number;
	readonly placed: PlacedStep;
	readonly told: readonly Told[];
	/** What is said of it, with the second at which that begins. */
	readonly spoken: readonly Spoken[];
}

/** A sequence read through: its lines, and what is heard of it. */
export interface Reading {
	readonly lines: readonly ReadLine[];
	readonly track: Soundtrack;
	readonly endSeconds: number;
}

/** What is told with a step and not again while it lasts. */
const ONCE: readonly SlotId[] = ['ended', 'phase', 'ready'];

const keyOf = (e: TimedEvent): string => `${e.kind} ${e.side} ${e.lane} ${e.direction} ${e.part} ${e.places.join()}`;

/** Every step as it begins, and each thing that is otherwise in the middle of one; what repeats is listed once. */
function linesOf(plan: Plan, spokenOf: ReadonlyMap<number, readonly Spoken[]>): ReadLine[] {
	let seen = new Set<string>();
	let before: readonly Told[] = [];
	return plan.events.flatMap((event, i): ReadLine[] => {
		const begins = plan.runs[i]!.start === i;
		if (begins) seen = new Set();
		const [key, spoken] = [keyOf(event), spokenOf.get(i) ?? []];
		if (seen.has(key) && !spoken.length) return [];
		seen.add(key);
		const told = instructionAt(plan, i);
		const at = { atSeconds: event.startSeconds, placed: plan.byId.get(event.stepId)!, spoken };
		const changed = changedSince(told, before);
		before = told;
		if (begins) return [{ ...at, kind: 'step', told }];
		const other = told.filter(({ slot }) => changed.has(slot) && !ONCE.includes(slot));
		return other.length || spoken.length ? [{ ...at, kind: 'change', told: other }] : [];
	});
}

/** What is done where a condition is met, as it would be told then. */
function askedLine(sequence: Sequence, placed: PlacedStep, context: ExpandContext, atSeconds: number): ReadLine {
	const met = withMet(sequence, new Set([placed.step.id]));
	const events = expand(met, context);
	const byId = new Map(stepsOf(met).map((s) => [s.step.id, s]));
	const plan = planOf(events, byId, context.working, met);
	const index = events.findIndex((e) => e.stepId === placed.step.id);
	const condition = `Only if ${placed.step.onlyIf}`;
	const asked: Told = { slot: 'condition', words: condition, say: condition };
	const told = index < 0 ? [] : toldOf({ ...momentAt(plan, index), before: null });
	return { kind: 'asked', atSeconds, placed, told: [asked, ...told], spoken: [] };
}

/**
 * All that a sequence tells, in order, with its second: as the stage shows it and as the voice says it.
 * @param options of the voice; with `none` nothing is said
 */
export function readThrough(
	sequence: Sequence,
	context: ExpandContext,
	options: Pick<SoundOptions, 'voice' | 'rate' | 'alerts'>
): Reading {
	const events = expand(sequence, context);
	const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
	const track = soundtrackOf(events, byId, context.working, { ...options, tones: true, led: sequence });
	const spokenOf = new Map<number, Spoken[]>();
	const plan = planOf(events, byId, context.working, sequence);
	for (const said of track.spoken) {
		if (said.of === undefined) continue;
		// What is said of a step stands with its beginning, also where a change comes first.
		const { start } = plan.runs[said.of]!;
		const opens = said.of === start + 1 && events[start]!.kind === 'transition';
		// What is said on the way to the other side stands with that way.
		const line = opens ? start : events[said.of - 1]?.kind === 'transition' ? said.of - 1 : said.of;
		spokenOf.set(line, [...(spokenOf.get(line) ?? []), said]);
	}
	const lines = linesOf(plan, spokenOf);
	const endSeconds = events.at(-1)?.endSeconds ?? 0;
	for (const placed of conditionalSteps(sequence)) {
		const then = lines.findIndex((l) => l.placed.number > placed.number);
		const at = then < 0 ? lines.length : then;
		const atSeconds = lines[then]?.atSeconds ?? endSeconds;
		lines.splice(at, 0, askedLine(sequence, placed, context, atSeconds));
	}
	return { lines, track, endSeconds };
}
