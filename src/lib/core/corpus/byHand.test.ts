import { expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { CONTEXT } from '../testing';
import { sequenceOfText } from './corpus';

/**
 * The forms of which the time is hard to reckon, to the second, by hand: counts times pace, two seconds to go to the other side,
 * six to take a tool, three for another posture, ten a breath; along a drain a second a node group and a pump.
 */
const FORMS: readonly (readonly [what: string, lines: string, seconds: number])[] = [
	['one side, then the other: 8 × 2, over, 8 × 2', 'drain malar > zygoma, 8 each side, pace 2 s', 16 + 2 + 16],
	['in turn nobody goes over: 16 × 2', 'drain malar > zygoma, 8 in turn, pace 2 s', 32],
	[
		'two lanes a side: 2 × 2 × 3, over, the same',
		'lift malar > zygoma, sweep, 2 each side, 2 lanes inner to outer, pace 3 s',
		12 + 2 + 12
	],
	[
		'lanes of their own ways: 3 × 2 each of three',
		'lift chin > jawline, stroke, 3, 3 lanes, lane jawline > masseter, lane masseter > preauricular, pace 2 s',
		18
	],
	[
		'stops on the way: 5 × (3 + 2 × 2)',
		'lift nose-wing > malar > zygoma, stroke, 5, pace 3 s, stops malar + zygoma for 2 s',
		35
	],
	[
		'a press and circles: 15 + 15',
		'point inner-canthus, ring finger, light, 1, pace 15 s, next stationary circle for 15 s',
		30
	],
	[
		'four strokes of one repetition, five times a side',
		'release brow, ring finger, stroke, light, 5 each side, pace 2 s, next press hold for 2 s, next stroke inner-canthus > lower-eyelid for 3 s',
		5 * 7 + 2 + 5 * 7
	],
	[
		'at each of three places: 3 × 7',
		'open n:terminus + n:deep-cervical + n:tonsillar, pump, 7 at each place, pace 1 s',
		21
	],
	[
		'seconds at each of four places, both ways round',
		'release chin + jawline + masseter + buccal, two pads, rock, 10 s at each place',
		40
	],
	[
		'circles one way and back: 2 × 10 × 0.7',
		'release temple, three pads, stationary circle, 10, pace 0.7 s, and back',
		14
	],
	[
		'over and back: 2 × 20 × 0.6',
		'lift temple:left > forehead-lateral:left > forehead-medial:left > forehead-medial:right > forehead-lateral:right > temple:right, hand over hand, 20 midline, pace 0.6 s, and back',
		24
	],
	[
		'a drain at the end of each side: 5 × 2 + 3 + 3',
		'drain masseter > n:tonsillar, 5 each side, pace 2 s, then n:tonsillar > n:deep-cervical > n:terminus 3 pumps',
		16 + 2 + 16
	],
	['three breaths', 'settle decollete, 3 breaths', 30],
	[
		'a sign that comes when it comes: as long as is meant',
		'release masseter, knuckles, press hold, 20 s, until softer within 60 s',
		20
	],
	['a tool is taken: 6 + 4 × 3', 'lift malar > zygoma, with stone plate notch 15°, sweep, 4, pace 3 s', 6 + 12],
	['five spots of a lip: 5 × 2 × 1.5', 'release upper-lip, ring finger, press hold, light, 2, pace 1.5 s, spots 5', 15],
	['slow out, quick back: 4 × (3 + 0.5)', 'lift malar > zygoma, sweep, 4, pace 3 s, returns in 0.5 s', 14],
	[
		'a condition that is not met: 30 s otherwise',
		'release temple, press hold, 20 s, only if "tender"\nsettle temple, 30 s, otherwise',
		30
	],
	[
		'side by side, the middle once, from which nobody goes over: 10, 5, 10',
		'~~ side by side\nlift malar > zygoma, sweep, 5, pace 2 s\nlift chin, flat hand, lift hold, 5 s midline',
		10 + 5 + 10
	]
];

test.each(FORMS)('%s', (_, lines, seconds) => {
	const sequence = sequenceOfText(`soft-tide notation 2\ntitle By hand\nschool crown-down\n\n~ Work\n${lines}\n`);
	expect(expand(sequence, CONTEXT).at(-1)!.endSeconds).toBeCloseTo(seconds, 6);
});
