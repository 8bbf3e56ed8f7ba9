import type { Tone } from '$lib/core/perform/sounds';

/** One sound of the card. */
export interface Note {
	/** Second of the plan. */
	readonly atSeconds: number;
	readonly seconds: number;
	/** Pitch at its beginning and its end. */
	readonly hertz: readonly [number, number];
	readonly strength: number;
	/** -1: the left ear, 1: the right one, 0: both. */
	readonly pan: number;
}
interface Shape {
	readonly afterSeconds: number;
	readonly seconds: number;
	readonly hertz: readonly [number, number];
	readonly strength: number;
}
const note = (afterSeconds: number, seconds: number, hertz: number, strength = 0.13): Shape => ({
	afterSeconds,
	seconds,
	hertz: [hertz, hertz],
	strength
});

/**
 * Told apart by how many notes they have and not by pitch alone: a small speaker swallows low ones. A repetition is one
 * note, the last of them two quick ones, the other side two apart, the next step three that rise; the breath swells where
 * a tablet can be heard.
 */
const SHAPES: Record<Tone['tone'], (seconds: number) => readonly Shape[]> = {
	stroke: () => [note(0, 0.16, 523, 0.11)],
	last: () => [note(0, 0.07, 659), note(0.1, 0.07, 659)],
	side: () => [note(0, 0.14, 440), note(0.24, 0.14, 587)],
	step: () => [note(0, 0.1, 523), note(0.13, 0.1, 659), note(0.26, 0.14, 784)],
	in: (seconds) => [{ afterSeconds: 0, seconds, hertz: [440, 554], strength: 0.07 }],
	out: (seconds) => [{ afterSeconds: 0, seconds, hertz: [554, 440], strength: 0.07 }]
};

/** A tone as notes, in the order of their time. */
export const notesOf = ({ atSeconds, tone, seconds, pan = 0 }: Tone): readonly Note[] =>
	SHAPES[tone](seconds).map(({ afterSeconds, ...shape }) => ({ ...shape, atSeconds: atSeconds + afterSeconds, pan }));
