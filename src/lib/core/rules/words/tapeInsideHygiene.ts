import { REGIONS, type Region } from '../../atlas/regions';
import { TOOLS, type ToolId } from '../../vocabulary/vocabulary';
import { the, type Words } from './phrases';

export const TAPE_WORDS: Words = {
	'tape-wear': {
		say: ({ params: p }) => ({
			head: `${p.number} leaves tape on for ${p.hours} h, ${p.limit} h at most here.`,
			body: 'Longer, the skin macerates and reddens under it, near the eye soonest.'
		}),
		fix: 'Wear it shorter'
	},
	'taped-skin': {
		say: ({ params: p }) => ({
			head: `${p.number} tapes skin that ${p.later} still works on.`,
			body: 'Tape comes last; a hand over it tears at the skin below.'
		}),
		fix: 'Tape at the end'
	},
	'tape-opposed': {
		say: ({ params: p }) => ({
			head: `${p.number} and ${p.other} pull against each other.`,
			body: 'A piece at the mouth corner or one on the cheek, not both at once.'
		})
	},
	'tape-removal': {
		say: ({ params: p }) => ({
			head: {
				never: `Nothing says how the tape of ${p.number} comes off.`,
				early: `${p.removal} takes off the tape of ${p.number} in the same sitting.`,
				dry: `${p.removal} takes off the tape of ${p.number} without a soak.`
			}[String(p.how)]!,
			body: `Soak it with oil for ${p.minutes} minutes once it has been worn, then peel at a low angle, never dry.`
		}),
		fix: 'Add removal'
	},
	'tape-in-school': {
		say: ({ params: p }) => ({
			head: `${p.number} lays tape, which this school does not.`,
			body: 'Others tape for some hours, to rest a muscle. Keep it if you mean it.'
		})
	}
};

export const INSIDE_WORDS: Words = {
	'inside-gloves': {
		say: ({ params: p }) => ({
			head: `${p.number} goes inside the cheek without gloves.`,
			body: 'Gloved, or with hands washed right before: the mouth is no place for what was just on the skin.'
		}),
		fix: 'Wear gloves'
	},
	'inside-after': {
		say: ({ params: p }) => ({
			head: `${p.number} touches the outside after ${p.inside} was inside.`,
			body: 'Change the gloves or wash the hands between.'
		}),
		fix: 'Wash between'
	},
	'inside-time': {
		say: ({ params: p }) => ({
			head: `${p.number} stays inside for ${p.seconds} s a side.`,
			body: `${p.limit} s a side at most: the lining is tender and the jaw tires.`
		}),
		fix: 'Shorten it'
	},
	'inside-licence': {
		say: ({ params: p }) => ({
			head: `${p.number} works inside the mouth.`,
			body: 'In many places that needs a licence of its own. Follow your local code, and ask the client each time.'
		})
	}
};

export const HYGIENE_WORDS: Words = {
	'hands-clean': {
		say: ({ params: p }) => ({
			head: `Hands are not washed before ${p.number}.`,
			body: 'The first touch is with clean hands; the client sees that, too.'
		}),
		fix: 'Wash first'
	},
	'tools-clean': {
		say: ({ params: p }) => ({
			head: `The ${TOOLS[String(p.tool) as ToolId].toLowerCase()} is not cleaned ${p.when} ${p.number}.`,
			body: 'What touched one face is cleaned before it touches the next.'
		}),
		fix: 'Clean the tool'
	}
};

const toolName = (what: string): string => TOOLS[what.split('/')[0] as ToolId]?.toLowerCase() ?? what;

export const EFFORT_WORDS: Words = {
	'tool-swaps': {
		say: ({ params: p }) => ({
			head: `${p.number} picks up the ${toolName(String(p.what))} again after ${p.before}.`,
			body: 'Done one after the other, it is picked up once.'
		}),
		fix: 'Put together'
	},
	'back-and-forth': {
		say: ({ params: p }) => ({
			head: `${p.number} returns to the ${REGIONS[String(p.what) as Region].toLowerCase()} after ${p.before}.`,
			body: 'One region finished before the next saves going to and fro, and the client feels a plan.'
		}),
		fix: 'Put together'
	}
};

const REACH: Record<string, string> = {
	nape: 'presses the nape with a fist or knuckles',
	shoulder: 'works both shoulders at once'
};

export const BODY_WORDS: Words = {
	'two-hands': {
		say: ({ params: p }) => ({
			head: `${p.number} needs both hands on each side at once.`,
			body: 'One side takes two hands here: do one side, then the other.'
		}),
		fix: 'One side, then other'
	},
	'self-reach': {
		say: ({ params: p }) => ({
			head: `${p.number} ${REACH[String(p.reach)]}; on oneself that does not reach.`,
			body: 'The arm is bent and weak there. Use the pads, or one side at a time.'
		}),
		fix: 'Make it reachable'
	},
	'exercise-by': {
		say: ({ params: p }) => ({
			head: `${p.number} is an exercise that the practitioner does.`,
			body: 'It is the client’s muscle that works.'
		}),
		fix: 'Client does it'
	},
	'jaw-clenched': {
		say: ({ params: p }) => ({
			head: `${p.number} releases the chewing muscle with the mouth closed.`,
			body: 'It lets go only with the teeth apart: part the lips.'
		}),
		fix: 'Part the lips'
	},
	'eyes-open': {
		say: ({ params: p, place }) => ({
			head: `${p.number} touches ${place ? the(place) : 'the lids'} with the eyes open.`,
			body: 'Closed eyes keep oil and fingers out.'
		}),
		fix: 'Close the eyes'
	}
};
