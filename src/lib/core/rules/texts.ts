import { clock } from '../step/describe';
import type { Working } from '../working/working.schema';

/** What a rule is called and why it is there: for the Library, docs/rules.md and the served list, not for judging. */
export interface RuleText {
	readonly title: string;
	/** A reason that names a working value is made from it. */
	readonly why: string | ((working: Working) => string);
}

/**
 * Why a rule is there, with the working values as they are set.
 * @throws {Error} for a rule that is not known
 */
export function whyOf(ruleId: string, working: Working): string {
	const text = RULE_TEXTS[ruleId];
	if (!text) throw new Error(`unknown rule: ${ruleId}`);
	return typeof text.why === 'string' ? text.why : text.why(working);
}

export const RULE_TEXTS: Readonly<Record<string, RuleText>> = {
	'neck-both-sides': {
		title: 'One side of the neck at a time',
		why: 'Pressing both carotid sinuses at once can slow the heart and make a person faint.'
	},
	'eye-cap': {
		title: 'Light at the eye',
		why: 'The skin of the lids and under the eye is the thinnest of the face, and the eyeball lies below: level 1 at most, through a stone’s edge a touch.'
	},
	'throat-cap': {
		title: 'Light on the throat',
		why: 'Windpipe, thyroid and the carotid sinus lie close under the skin: level 1 at most, in every school.'
	},
	'neck-cap': {
		title: 'Never firm on the side of the neck',
		why: 'The carotid sinus lies under the muscle at the side of the neck: level 2 at most, with hand or tool, in every school.'
	},
	'collarbone-cap': {
		title: 'Light above the collarbone',
		why: 'Large vessels lie under thin skin in the hollow above the collarbone: level 1 at most, level 2 with two flat fingers.'
	},
	'node-cap': {
		title: 'Light on the nodes',
		why: 'A pump, hold or circle that stays on a node group is meant to open it. Pressed firmly, the group is squeezed shut and may become sore.'
	},
	'fluid-cap': {
		title: 'Fluid moves lightly',
		why: 'The first vessels lie just under the skin and fill by being stretched, not pressed. Schools differ: some hold level 1, others stroke at level 2.'
	},
	'muscle-cap': {
		title: 'Muscle no deeper than the school goes',
		why: 'From level 2 in the schools that mix the layers to level 4 where muscle is pinned. A bruise is always too deep.'
	},
	'edge-cap': {
		title: 'Through a stone, one level less',
		why: 'The same force on an edge presses more per square centimetre than the pads of the fingers.'
	},
	'steep-tilt': {
		title: 'The stone lies nearly flat',
		why: 'About 15° glides and spreads the pressure; on the neck up to 45° is usual. A steep edge on the face scrapes the skin.'
	},
	'lid-contact': {
		title: 'The ring finger at the lids',
		why: 'It is the weakest finger; with it, too much is hardly possible.'
	},
	'inside-gloves': {
		title: 'Gloves inside the cheek',
		why: 'What was on the skin does not belong in the mouth, and what is in the mouth not on the hands.'
	},
	'inside-after': {
		title: 'Clean hands after the inside',
		why: 'Gloves are changed or hands washed before the outside is touched again.'
	},
	'inside-time': {
		title: 'Short inside',
		why: (w) =>
			`The lining of the cheek is tender and the jaw tires: ${clock(w.insideSeconds)} a side at most (working value).`
	},
	'inside-licence': {
		title: 'Inside work may need a licence',
		why: 'In many places work inside the mouth is kept to certain professions. Local codes decide; this is said each time, and nothing is forbidden by it.'
	},
	'outlet-closed': {
		title: 'Outlet opened first',
		why: 'Fluid returns to the veins above the collarbone, that of the chest at the armpit. Opened first, the outlet can take what the strokes bring. The advantage is small and unsure, so this is never more than a caution.'
	},
	'opening-missing': {
		title: 'All openings of the school',
		why: 'A school that opens names the groups that it opens; one left out is a narrow place on the way.'
	},
	'opening-order': {
		title: 'Opened from the outlet outwards',
		why: 'Each group empties into the next. Opened in that order, each finds the one below it open.'
	},
	'receiver-closed': {
		title: 'Receiving nodes open',
		why: (w) =>
			`A node group that was pumped takes more for a while. After the half-life of ${clock(w.openingHalfLifeSeconds)} (working value) it counts as closed again.`
	},
	'neck-first': {
		title: 'The neck before the face',
		why: 'All fluid of the face leaves through the neck. Most schools clear it first; those that work from the chest up or from the crown down do not.'
	},
	'nearest-first': {
		title: 'Regions in the order of the school',
		why: 'Worked from the exit backwards, each area empties into one that has just been emptied. Crown down works the other way and pushes everything before it.'
	},
	'layers-mixed': {
		title: 'Layers apart',
		why: 'Where a school keeps release and drain apart, deep work after the drain brings new fluid into what was just drained.'
	},
	'deep-then-drain': {
		title: 'A drain after deep work',
		why: 'Deep work brings blood and fluid into the place; what came is carried off by light strokes.'
	},
	stranded: {
		title: 'No fluid left behind',
		why: 'A stroke only moves fluid to where it ends. Without a later stroke, pump or drain link to the outlet it waits there and seeps back.'
	},
	'closing-pump': {
		title: 'Closing pump at the outlet',
		why: 'What the last strokes bring arrives at the outlet after them. A few pumps there let it pass; rushing or forgetting this undoes the work.'
	},
	'exit-open': {
		title: 'A short version is closed, too',
		why: 'Where a phase is marked as a place to stop, the outlet is pumped before it, so that the shorter work is whole.'
	},
	'exit-after-neck': {
		title: 'A short version as the school has it',
		why: 'Some schools let a short session end after the neck; others hold that it should reach the face.'
	},
	'school-floor': {
		title: 'What a school may not change',
		why: 'Each rule says how light and how grave a school may make it. A wish beyond that, mostly from a file, is kept in the school and not followed.'
	},
	'against-drainage': {
		title: 'Stroke with the drainage',
		why: 'Vessels have valves and watersheds. A light stroke moves most along the way the fluid takes by itself, less across it, and little against it.'
	},
	'throat-straight-down': {
		title: 'Throat sideways, not straight down',
		why: 'The vessels of the throat run to the side of the neck. One school strokes straight down; the graph favours the way outwards.'
	},
	'jaw-short': {
		title: 'Along the jaw to its end',
		why: 'A stroke that stops on the jawline leaves there what it gathered. It goes on to the nodes under the jaw, or to the ear.'
	},
	'lift-down': {
		title: 'Lifts go up',
		why: 'Downwards, a lift pulls the skin the way it sags. Draining strokes may run down; lifts may not.'
	},
	'mouth-ends-down': {
		title: 'Mouth moves finish upwards',
		why: 'A school that lifts ends each move at the mouth with a small lift, since the corners sink by themselves.'
	},
	'neck-direction': {
		title: 'The neck in the school’s direction',
		why: 'Schools that drain lead everything on the neck down, as its vessels run. One school also lifts up the neck.'
	},
	'no-glide': {
		title: 'No sliding without a medium',
		why: 'Hand or tool must move without stretching or catching the skin. Pinned moves, holds and taps need none.'
	},
	'film-spent': {
		title: 'Medium not yet spent',
		why: 'A medium is absorbed (an oil by half in twelve minutes, working value) and worn by every sliding repetition; after that the skin is dragged.'
	},
	'tape-on-oil': {
		title: 'No tape on oil',
		why: 'Tape holds on clean, dry skin only, and pulls unevenly where it half holds.'
	},
	'dry-after-oil': {
		title: 'No dry moves after oil',
		why: 'Pinned and dry moves hold the skin; on oil the fingers slip off. Dry work comes before the oil, or after it is wiped off.'
	},
	'scent-near-eye': {
		title: 'No scent near the eye',
		why: 'Essential oils creep along the skin and burn in the eye. One medium is in use on the whole face.'
	},
	'unknown-medium': {
		title: 'A medium that is known',
		why: 'Glide and allergies hang on what it is. A name from elsewhere is kept as it is, taken as a light oil, and asked about.'
	},
	'tape-wear': {
		title: 'Tape comes off in time',
		why: (w) =>
			`${w.eyeTapeHours} hours beside the eye, ${w.tapeHours} elsewhere, ${w.nightTapeHours} between the brows where a school tapes overnight (working values).`
	},
	'taped-skin': {
		title: 'Tape comes last',
		why: 'A hand over tape tears at the skin below it.'
	},
	'tape-opposed': {
		title: 'No two pulls against each other',
		why: 'A piece at the mouth corner and one on the cheek pull the same skin two ways.'
	},
	'tape-in-school': {
		title: 'Tape, where the school tapes',
		why: 'Some schools lay no tape. This only tells that the plan leaves the school here.'
	},
	'two-hands': {
		title: 'Two hands, not four',
		why: 'Hand over hand, an opposed stretch or a supporting hand takes both hands for one side.'
	},
	'self-reach': {
		title: 'Within one’s own reach',
		why: 'On oneself the arm is bent and weak behind the neck, and the hands cannot cross without twisting the wrists.'
	},
	'exercise-by': {
		title: 'Exercises are the client’s',
		why: 'It is her muscle that works; a hand may give the resistance.'
	},
	'jaw-clenched': {
		title: 'Teeth apart for the chewing muscle',
		why: 'With the mouth closed the muscle stays in use and guards itself.'
	},
	'eyes-open': {
		title: 'Eyes closed while the lids are touched',
		why: 'Closed eyes keep oil and fingers out.'
	},
	'uneven-sides': {
		title: 'Left and right alike',
		why: 'One side is easily done longer than the other. Deliberate one-sided work carries a reason; the rest is evened out.'
	},
	'deep-too-long': {
		title: 'Deep work has an end',
		why: (w) =>
			`After ${clock(w.deepCapSeconds)} on one place (working value) deep pressure gains nothing and bruises more easily.`
	},
	'skin-rubbed': {
		title: 'The same skin not over and over',
		why: (w) => `From ${w.slidesPerZone} sliding strokes on (working value) the skin reddens, with oil or without.`
	},
	'rushed-drain': {
		title: 'Drain slowly',
		why: (w) =>
			`The vessels fill slowly; at less than ${w.rushedPaceSeconds} s a stroke (working value) they cannot follow.`
	},
	'dose-range': {
		title: 'Usual repeats',
		why: 'Each kind of move has a range in which practitioners work, a side. Outside it, it is too little to help or too much to gain.'
	},
	'cold-too-long': {
		title: 'Cold rests briefly',
		why: (w) =>
			`Skin gone numb warns no more. Beyond ${w.coldSeconds} s on one place (working value) move on, or keep moving.`
	},
	contradiction: {
		title: 'Parts that do not go together',
		why: 'A move that stays where it is has no lanes and no stations; a tilt belongs to the stone plate. Such a step is kept and timed as written, and said so.'
	},
	'too-much-work': {
		title: 'Within what can be computed',
		why: 'A slip of the finger, or a file from elsewhere, may ask for a million repetitions. Such a step is kept, but counted as one repetition, and nothing else is judged until it asks for less.'
	},
	'over-budget': {
		title: 'Within the time',
		why: 'A session that runs over ends in a rushed or forgotten closing drain, which undoes the work.'
	},
	'hands-clean': {
		title: 'Hands washed first',
		why: 'Before the first touch, each time, and where the client sees it.'
	},
	'tools-clean': {
		title: 'Tools cleaned before and after',
		why: 'What touched one face is cleaned before the next: with soap or spirit, and dried.'
	},
	'tape-removal': {
		title: 'Tape comes off soaked',
		why: (w) =>
			`Pulled off dry, tape takes skin with it. It is soaked with oil or another greasy cleanser for ${w.tapeSoakSeconds / 60} minutes, then peeled at a low angle, once it has been worn.`
	},
	'course-rest': {
		title: 'Days of rest in a course',
		why: (w) =>
			`Muscle that was worked deep, the inside of the cheek and skin under tape need time: deep work at least ${w.deepRestHours} h apart, inside at most ${w.insideAWeek} times a week, tape not on every day.`
	},
	'middle-twice': {
		title: 'The middle once',
		why: 'In a block that does one side and then the other, what lies in the middle would get everything twice.'
	},
	'nape-missing': {
		title: 'The nape first',
		why: 'A plan that begins at the nape frees the back of the neck before it turns to chin and jaw.'
	},
	'drain-policy': {
		title: 'Drains as the school drains',
		why: 'What is lifted or released sets fluid free. The school says when it is led off: after each move, each area, or at the end.'
	},
	'tool-swaps': {
		title: 'Each tool picked up once',
		why: 'Every change costs seconds and the feel of the skin. What needs the same edge is done together.'
	},
	'back-and-forth': {
		title: 'One region, then the next',
		why: 'Going back and forth costs ways and reads as no plan. Within a phase, a region is finished first.'
	},
	'outside-licence': {
		title: 'Within your licence',
		why: 'What a licence covers differs from place to place. Whatever you note as not covered, on the page of local codes, is said here at every step.'
	},
	'wish-pressure': {
		title: 'As light or firm as she likes it',
		why: 'What is pleasant differs from person to person. A wish never goes past a cap.'
	},
	'wish-medium': {
		title: 'A medium that she likes',
		why: 'Smell and feel are remembered longer than strokes.'
	},
	'wish-route': {
		title: 'Cheeks as she likes them led',
		why: 'Outwards to the ear or down along the smile fold: both are taught, and both are real routes.'
	},
	'client-refer': {
		title: 'Refer, no massage today',
		why: 'Some signs belong to a doctor before any hand is laid on: fever, a hard lump, sudden one-sided swelling, a drooping face. Nothing overrules that on the day.'
	},
	'client-clearance': {
		title: 'Only with a doctor’s word',
		why: 'With some illnesses and medicines the treating doctor decides. What is cleared, by whom and until when stands in the client’s record.'
	},
	'client-left-out': {
		title: 'Left out today',
		why: 'A place that the screening leaves out: fresh treatment, broken or inflamed skin, an eye, a neck. Waiting periods end by themselves; the date given by whoever did the treatment goes first.'
	},
	'client-move': {
		title: 'Not this move for this client',
		why: 'Some moves do not go with what she answered: a stone with a blood thinner, tape with a retinoid, cold with a flare. What she may have instead serves the same aim.'
	},
	'client-medium': {
		title: 'Nothing that she does not bear',
		why: 'Nuts, seeds, essential oils, wool fat and beeswax are noted with each medium and compared with her allergies.'
	},
	'client-pressure': {
		title: 'As light as this client needs it',
		why: 'Where several of her limits hold at one place, the strictest counts, and all are named.'
	},
	'client-one-side': {
		title: 'One side at a time for this client',
		why: 'With low or unsteady blood pressure both sides of the neck are never worked together.'
	},
	'client-posture': {
		title: 'Head as this client bears it',
		why: 'A turned, tilted or hanging head is not for worn or unstable neck joints, nor for those who get dizzy.'
	},
	'client-upright': {
		title: 'Half sitting',
		why: 'Some clients do not lie flat: heart, eyes, pregnancy, dizziness.'
	},
	'client-minutes': {
		title: 'No longer than this client bears',
		why: 'What is drained returns to heart and kidneys: with weak ones the session is short (working value).'
	},
	'client-go-round': {
		title: 'Round what must not be stroked across',
		why: 'A mole or a breakout is gone round, within a hand’s breadth, or worked beside; a move over the whole face says what it spares.'
	},
	'client-mind': {
		title: 'Said before the first touch',
		why: 'Some answers ask for a word or a grip first: lenses out, latex-free gloves, eyes not covered.'
	}
};
