import { along, BOTH, EACH, oil, open, ROUTE, usual, WASH } from './exampleParts';
import { StoredSequenceSchema, type Block, type Sequence } from '../sequence/sequence.schema';
import { sequenceFromSpec, type Row } from '../template/spec';
import type { School, SchoolId } from '../school/school.schema';
import { PreferencesSchema, type Preferences } from '../client/person.schema';
import type { Answer } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import { factsOf } from '../screening/clientFacts';
import type { Licence } from '../screening/licence.schema';
import type { Screened } from '../screening/limits';
import type { JudgeInput } from './judge';

/** A few steps that break one rule: the picture of its page, and the proof that it and its fix work. */
interface Example {
	readonly rows: readonly Row[];
	readonly school?: SchoolId;
	readonly performer?: Sequence['performer'];
	readonly minutes?: number;
	/** Where no school that ships is such: a policy of its own. */
	readonly policy?: Partial<School>;
	/** Whom it is broken for: answers given on a day, and marks. */
	readonly client?: Partial<Screened>;
	readonly wishes?: Partial<Preferences>;
	readonly licence?: Licence;
	readonly medium?: string;
	readonly orientation?: Sequence['orientation'];
	readonly course?: Sequence['course'];
	/** Done one side after the other, as a block. */
	readonly sides?: Block['sides'];
	/** A second phase after a place where a short version may end. */
	readonly then?: readonly Row[];
}

const side = (s: 'left' | 'right') => ({ side: s }) as const;
const long = (target: number) => ({ dose: { kind: 'seconds', min: 10, target, max: target } }) as const;
const JAW = along('light-stroke', 'jawline under-jaw n:submandibular', BOTH);
const CHEEK = along('light-stroke', 'malar zygoma preauricular n:preauricular', BOTH);
const EYE = along('ring-finger-stroke', 'lower-eyelid outer-canthus temple preauricular', BOTH);
const TAPE = { lengthMm: 30, widthMm: 8 };

/** The day on which the clients of the examples are in the chair. */
const EXAMPLE_DAY = '2026-01-01';
const says = (flag: string, known: Partial<Answer> = {}): Partial<Screened> => ({
	answers: [newAnswer({ flag, says: 'yes', day: EXAMPLE_DAY, at: `${EXAMPLE_DAY}T08:00:00Z`, ...known })]
});
const CLIENT_EXAMPLES: Record<string, Example> = {
	'client-refer': { rows: [CHEEK], client: says('fever') },
	'client-clearance': { rows: [CHEEK], client: says('epilepsy') },
	'client-left-out': {
		rows: [EYE],
		client: says('eye-surgery', { places: ['lower-eyelid:right'], since: '2025-12-01' })
	},
	'client-move': { rows: [usual('stone-cheekbone')], client: says('blood-thinner') },
	'client-medium': { rows: [CHEEK], medium: 'almond-oil', client: says('nut-allergy') },
	'client-pressure': {
		rows: [along('knuckle-knead', 'masseter', { ...EACH, pressure: 3 })],
		client: says('jaw-locks')
	},
	'client-one-side': {
		rows: [along('neck-side-down', 'sternocleidomastoid supraclavicular n:terminus', BOTH)],
		client: says('low-blood-pressure')
	},
	'client-posture': {
		rows: [along('neck-side-down', 'sternocleidomastoid supraclavicular n:terminus', { posture: 'turned' })],
		client: says('neck-spine')
	},
	'client-upright': { rows: [CHEEK], orientation: 'head-end', client: says('flat-lying') },
	'client-minutes': {
		rows: [
			along('knuckle-knead', 'masseter', {
				...EACH,
				dose: { kind: 'seconds', min: 30, target: 900, max: 900 }
			})
		],
		client: says('kidney-failure')
	},
	'client-go-round': {
		rows: [CHEEK],
		client: {
			marks: [{ id: 'm1', kind: 'mole', zone: 'malar', side: 'left', sizeMm: 6, since: null, note: '' }]
		}
	},
	'wish-pressure': {
		rows: [along('knuckle-knead', 'masseter', { ...EACH, pressure: 3 })],
		wishes: { pressure: 'lighter' }
	},
	'wish-medium': { rows: [CHEEK], medium: 'balm', wishes: { dislikes: ['balm'] } },
	'wish-route': { rows: [CHEEK], wishes: { cheekRoute: 'downward' } },
	'outside-licence': {
		rows: [along('thumb-inside', 'masseter')],
		licence: [{ id: 'inside', covers: 'no', on: '2025-11-03', note: '' }]
	},
	'client-mind': { rows: [EYE], client: says('contact-lenses') }
};

const EXAMPLES: Record<string, Example> = {
	'neck-both-sides': { rows: [along('pinned-circles', 'sternocleidomastoid', { ...BOTH, pressure: 2 })] },
	'eye-cap': {
		rows: [along('ring-finger-stroke', 'lower-eyelid outer-canthus', { pressure: 2 })],
		school: 'crown-down'
	},
	'throat-cap': { rows: [along('hand-over-hand', 'throat under-jaw', { pressure: 2, ...side('left') })] },
	'neck-cap': { rows: [along('knuckle-knead', 'sternocleidomastoid', { pressure: 3, ...side('left') })] },
	'collarbone-cap': { rows: [along('open-nodes', 'n:terminus', { pressure: 2 })] },
	'node-cap': { rows: [along('open-nodes', 'n:preauricular', { pressure: 2 })], school: 'crown-down' },
	'fluid-cap': { rows: [along('light-stroke', 'malar zygoma', { pressure: 2 })] },
	'muscle-cap': { rows: [along('knuckle-knead', 'masseter', { pressure: 4 })] },
	'edge-cap': {
		rows: [along('soft-brush', 'malar zygoma', { tool: { id: 'stone-plate', edge: 'corner' }, pressure: 4 })]
	},
	'steep-tilt': {
		rows: [
			along('stone-cheekbone', 'nasolabial malar zygoma', {
				tool: { id: 'stone-plate', edge: 'notch', tiltDegrees: 60 }
			})
		]
	},
	'lid-contact': { rows: [along('ring-finger-stroke', 'lower-eyelid outer-canthus', { contact: 'thumb' })] },
	'inside-gloves': { rows: [along('thumb-inside', 'masseter', { tool: undefined })] },
	'inside-after': {
		rows: [along('thumb-inside', 'masseter'), along('knuckle-knead', 'masseter', { tool: { id: 'gloves' } })]
	},
	'inside-time': { rows: [along('thumb-inside', 'masseter', long(180))] },
	'inside-licence': { rows: [along('thumb-inside', 'masseter')] },
	'outlet-closed': { rows: [JAW] },
	'opening-missing': { rows: [...open(['axillary', 'terminus', 'deep-cervical']), JAW] },
	'opening-order': { rows: [...open(['preauricular', 'terminus']), JAW] },
	'receiver-closed': { rows: [...open(['terminus']), JAW] },
	'neck-first': { rows: [...open(ROUTE), CHEEK] },
	'nearest-first': {
		rows: [
			WASH,
			...open(ROUTE),
			oil(0.9),
			usual('neck-side-down'),
			along('light-stroke', 'forehead-medial temple preauricular'),
			JAW
		]
	},
	'layers-mixed': { rows: [CHEEK, along('knuckle-knead', 'masseter', EACH)], school: 'release-then-drain' },
	'deep-then-drain': { rows: [along('knuckle-knead', 'masseter', { ...EACH, pressure: 3 })] },
	stranded: { rows: [...open(ROUTE), CHEEK] },
	'closing-pump': {
		rows: [...open(ROUTE), along('closing-sweep', 'n:preauricular n:tonsillar n:deep-cervical n:terminus')]
	},
	'exit-open': {
		rows: [...open(ROUTE), along('neck-side-down', 'sternocleidomastoid supraclavicular n:terminus')],
		then: [CHEEK]
	},
	'exit-after-neck': {
		rows: [along('neck-side-down', 'sternocleidomastoid supraclavicular n:terminus'), usual('closing-pump')],
		then: [CHEEK],
		school: 'rise-and-drain'
	},
	'school-floor': { rows: [EYE], policy: { severities: { 'eye-cap': 'advice' } } },
	'against-drainage': { rows: [along('light-stroke', 'jawline chin', BOTH)] },
	'throat-straight-down': { rows: [along('light-stroke', 'throat supraclavicular n:terminus', BOTH)] },
	'jaw-short': { rows: [along('light-stroke', 'chin jawline', BOTH)] },
	'lift-down': { rows: [along('knuckle-sweep', 'malar buccal jawline')] },
	'mouth-ends-down': { rows: [along('smile-fold-zigzag', 'marionette jawline')], school: 'rise-and-drain' },
	'neck-direction': { rows: [along('neck-up', 'throat under-jaw jawline')] },
	'no-glide': { rows: [along('knuckle-sweep', 'buccal malar zygoma')] },
	'film-spent': {
		rows: [
			oil(0.3, 'serum'),
			along('settle-breaths', 'forehead-medial', { dose: { kind: 'breaths', min: 1, target: 90, max: 90 } }),
			CHEEK
		]
	},
	'tape-on-oil': { rows: [oil(0.9), along('lay-tape', 'glabella', { ...BOTH, tape: { ...TAPE, wearHours: 3 } })] },
	'dry-after-oil': { rows: [oil(0.9), along('forehead-skin-lift', 'forehead-medial')] },
	'scent-near-eye': { rows: [oil(0.5, 'scented-oil'), EYE] },
	'unknown-medium': { rows: [along('light-stroke', 'malar zygoma', { medium: { id: 'camellia', ml: 0.2 } })] },
	'tape-wear': { rows: [along('lay-tape', 'outer-canthus', { tape: { ...TAPE, wearHours: 8 } })] },
	'taped-skin': {
		rows: [
			along('lay-tape', 'glabella', { ...BOTH, tape: { ...TAPE, wearHours: 3 } }),
			along('frown-circles', 'glabella', BOTH)
		]
	},
	'tape-opposed': {
		rows: [
			along('lay-tape', 'marionette', { tape: { ...TAPE, wearHours: 3 } }),
			along('lay-tape', 'buccal', { tape: { ...TAPE, wearHours: 3 } })
		]
	},
	'tape-removal': { rows: [along('lay-tape', 'glabella', { ...BOTH, tape: { ...TAPE, wearHours: 3 } })] },
	'course-rest': {
		rows: [along('knuckle-knead', 'masseter', { ...EACH, pressure: 4 })],
		school: 'release-then-drain',
		course: { times: 1, per: 'day', weeks: 2 }
	},
	'middle-twice': { rows: [along('light-stroke', 'chin', BOTH)], sides: { each: true, first: 'left' } },
	'nape-missing': {
		rows: [along('light-stroke', 'chin jawline under-jaw n:submandibular', BOTH)],
		school: 'nape-first'
	},
	'drain-policy': {
		rows: [along('cheek-heel', 'buccal malar zygoma', BOTH)],
		school: 'rise-and-drain'
	},
	'tape-in-school': {
		rows: [along('lay-tape', 'glabella', { ...BOTH, tape: { ...TAPE, wearHours: 3 } })],
		policy: { tape: 'none' }
	},
	'two-hands': { rows: [along('hand-over-hand', 'buccal malar zygoma', BOTH)] },
	'self-reach': { rows: [along('pinned-circles', 'nape', { ...BOTH, contact: 'knuckles' })], performer: 'self' },
	'exercise-by': { rows: [along('tongue-to-palate', 'submental', { ...BOTH, by: 'practitioner' })] },
	'jaw-clenched': { rows: [along('pinned-circles', 'masseter')] },
	'eyes-open': { rows: [along('ring-finger-stroke', 'lower-eyelid outer-canthus', { eyes: 'open' })] },
	'uneven-sides': { rows: [along('hook-lift', 'chin jawline masseter preauricular', side('left'))] },
	'deep-too-long': { rows: [along('knuckle-knead', 'masseter', { ...EACH, pressure: 3, ...long(300) })] },
	'skin-rubbed': {
		rows: Array.from({ length: 4 }, () =>
			along('hand-over-hand', 'buccal malar zygoma', { ...EACH, dose: { kind: 'reps', min: 15, target: 30, max: 30 } })
		)
	},
	'rushed-drain': { rows: [along('light-stroke', 'malar zygoma', { paceSeconds: 1 })] },
	'dose-range': {
		rows: [along('light-stroke', 'malar zygoma', { dose: { kind: 'reps', min: 3, target: 40, max: 40 } })]
	},
	'cold-too-long': { rows: [along('globes-hold', 'malar', { dose: { kind: 'breaths', min: 1, target: 9, max: 9 } })] },
	contradiction: { rows: [along('pinned-circles', 'temple', { lanes: 3 })] },
	'too-much-work': { rows: [along('knuckle-knead', 'masseter', { ...EACH, lanes: 12, reverse: true, ...long(1000) })] },
	'over-budget': { rows: [along('knuckle-knead', 'masseter', { ...EACH, ...long(90) })], minutes: 2 },
	'hands-clean': { rows: [usual('settle-breaths')] },
	'tools-clean': { rows: [WASH, along('stone-cheekbone', 'nasolabial malar zygoma')] },
	'tool-swaps': {
		rows: [
			along('stone-cheekbone', 'nasolabial malar zygoma'),
			usual('roller-cheek-out'),
			along('stone-cheekbone', 'malar zygoma')
		]
	},
	...CLIENT_EXAMPLES,
	'back-and-forth': {
		rows: [
			along('knuckle-sweep', 'buccal malar zygoma'),
			along('brow-lift', 'brow forehead-lateral hairline'),
			along('cheek-heel', 'buccal malar zygoma')
		]
	}
};

/**
 * The sequence that shows a rule broken.
 * @throws {Error} for a rule without an example; a test asks for each
 */
export function exampleOf(ruleId: string): Sequence {
	const example = EXAMPLES[ruleId];
	if (!example) throw new Error(`no example for the rule ${ruleId}`);
	const { rows, then, school = 'outlet-first', performer = 'client', minutes = 30, orientation = 'facing' } = example;
	const medium = example.medium ? { id: example.medium, ml: 0.5 } : null;
	const phases = [
		{ title: 'Work', rows, sides: example.sides, exitAfter: then !== undefined },
		...(then ? [{ title: 'More', rows: then }] : [])
	];
	const sequence = sequenceFromSpec(
		{ id: ruleId, title: 'Example', school, minutes, goals: [], notes: '', performer, medium, phases },
		{ id: `example-${ruleId}`, updatedAt: '2026-01-01T00:00:00.000Z' },
		// One of them shows what goes beyond the limits.
		StoredSequenceSchema
	);
	return {
		...sequence,
		...(example.course ? { course: example.course } : {}),
		orientation,
		school: { ...sequence.school, ...example.policy }
	};
}

/** Who is in the chair in the example of a rule, and what the licence covers. */
export function exampleGiven(ruleId: string): Pick<JudgeInput, 'client' | 'licence'> {
	const { client, wishes, licence = [] } = EXAMPLES[ruleId] ?? {};
	const preferences = PreferencesSchema.parse(wishes ?? {});
	const known = { cautions: '', answers: [], marks: [], clearances: [], preferences };
	const screened = client || wishes ? { ...known, ...client } : undefined;
	return { client: screened ? factsOf(screened, EXAMPLE_DAY) : null, licence };
}
