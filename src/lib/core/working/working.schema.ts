import { z } from 'zod';
import { CONTACT_ROWS, type Contact } from '../vocabulary/contacts';
import { EDGE_ROWS, TOOL_ROWS, type StoneEdge, type ToolId } from '../vocabulary/tools';
import { DEFAULT_WORKING } from './defaultWorking';
import { TypicalDosesSchema } from './typicalDoses.schema';
import { value, valuesById, type ValueInfo } from './value';

const LEVEL_WORDS = ['touch', 'light', 'medium', 'firm', 'deep'] as const;
const EYE_BOUND = 'no higher than it ships: the caps of eye, throat and neck are said in these levels';

/** Upper ends of the levels. The first three bound eye, throat and carotid sinus and may only be lowered. */
const upper = (level: 0 | 1 | 2 | 3 | 4, min: number, max: number) =>
	value(
		DEFAULT_WORKING.pressureUpperKPa[level],
		{ min, max },
		{
			group: 'pressure',
			label: `Level ${level}, ${LEVEL_WORDS[level]}: up to`,
			unit: 'kPa',
			meaning: 'Where the level ends. 1 kPa is 7.5 mmHg, or 10.2 g on each cm².',
			source: 'practice, section 4',
			...(level <= 2 ? { bound: EYE_BOUND } : {})
		}
	);
const middle = (level: 0 | 1 | 2 | 3 | 4) =>
	value(
		DEFAULT_WORKING.pressureMiddleKPa[level],
		{ min: 0.05, max: 40 },
		{
			group: 'pressure',
			label: `Level ${level}, ${LEVEL_WORDS[level]}: weighs`,
			unit: 'kPa',
			meaning: 'The weight of its seconds where left and right are compared by pressure.',
			source: 'practice, section 4'
		}
	);
const seconds = (
	initial: number,
	max: number,
	group: ValueInfo['group'],
	label: string,
	meaning: string,
	min = 0,
	more: Partial<ValueInfo> = {}
) => value(initial, { min, max }, { group, label, unit: 's', meaning, ...more });

const area =
	<K extends string>(rows: Readonly<Record<K, { label: string }>>) =>
	(id: K) => ({
		group: 'contact' as const,
		label: rows[id].label,
		unit: 'cm²',
		meaning: 'The area that presses: with the level it gives the grams on a kitchen scale.',
		source: 'practice, section 4'
	});
const film = (initial: number, min: number, max: number, unit: string, label: string, meaning: string) =>
	value(initial, { min, max }, { group: 'film', label, unit, meaning, source: 'practice, section 7' });

/**
 * Every editable working value in one table: defaults that a practitioner may change, none of them measured truth.
 * The core receives this object and reads nothing from outside. A value is a line here: Settings, docs/sources.md, the
 * backup and `/check` read it. None of them can loosen a bound of eye, throat or carotid sinus.
 */
export const WorkingSchema = z.strictObject({
	pressureUpperKPa: z
		.tuple([upper(0, 0.2, 0.7), upper(1, 1, 3), upper(2, 3.1, 6), upper(3, 6.1, 20), upper(4, 12.1, 40)])
		.refine((u) => u.every((x, i) => i === 0 || x > u[i - 1]!), 'each level must end above the one before')
		.prefault([undefined, undefined, undefined, undefined, undefined] as never),
	pressureMiddleKPa: z
		.tuple([middle(0), middle(1), middle(2), middle(3), middle(4)])
		.prefault([undefined, undefined, undefined, undefined, undefined] as never),
	contactAreaCm2: valuesById<Contact>(DEFAULT_WORKING.contactAreaCm2, { min: 0.1, max: 200 }, area(CONTACT_ROWS)),
	toolAreaCm2: valuesById<ToolId>(DEFAULT_WORKING.toolAreaCm2, { min: 0.1, max: 200 }, area(TOOL_ROWS)),
	edgeAreaCm2: valuesById<StoneEdge>(DEFAULT_WORKING.edgeAreaCm2, { min: 0.1, max: 50 }, area(EDGE_ROWS)),

	doseBreathSeconds: seconds(
		DEFAULT_WORKING.doseBreathSeconds,
		60,
		'time',
		'A breath that is counted',
		'One deep breath, in and out.',
		2
	),
	cueBreathHalfSeconds: seconds(
		DEFAULT_WORKING.cueBreathHalfSeconds,
		30,
		'time',
		'A breath as a cue',
		'In for so long, out for as long.',
		1
	),
	toolPickUpSeconds: seconds(
		DEFAULT_WORKING.toolPickUpSeconds,
		120,
		'time',
		'Tool picked up',
		'Paid by the step that needs another tool.'
	),
	sideChangeSeconds: seconds(
		DEFAULT_WORKING.sideChangeSeconds,
		60,
		'time',
		'Change of side',
		'Paid when the working side changes.'
	),
	postureChangeSeconds: seconds(
		DEFAULT_WORKING.postureChangeSeconds,
		60,
		'time',
		'Change of posture',
		'Paid when the head is laid otherwise.'
	),
	topUpSeconds: seconds(
		DEFAULT_WORKING.topUpSeconds,
		120,
		'time',
		'More oil',
		'More medium in the middle of the work.'
	),
	glovesSeconds: seconds(DEFAULT_WORKING.glovesSeconds, 300, 'time', 'Gloves or hand wash', 'Gloves on or off.'),

	signalRestSeconds: seconds(
		DEFAULT_WORKING.signalRestSeconds,
		2,
		'stage',
		'A switch that bounces',
		'The same signal of a pedal, key or word within so long counts once.'
	),
	onceSeconds: seconds(
		DEFAULT_WORKING.onceSeconds,
		5,
		'stage',
		'What leaves work out, once in',
		'Skip, end and the shortest way out do nothing a second time within so long.',
		1
	),
	gapSeconds: seconds(
		DEFAULT_WORKING.gapSeconds,
		10,
		'stage',
		'A gap that is a halt',
		'Where the page stood still for longer and nothing was heard, nothing was guided: it counts as a halt.',
		1
	),

	linkPlaceSeconds: seconds(
		DEFAULT_WORKING.linkPlaceSeconds,
		30,
		'link',
		'Drain link, each place',
		'Walking along a drain link.'
	),
	linkPumpSeconds: seconds(
		DEFAULT_WORKING.linkPumpSeconds,
		30,
		'link',
		'Drain link, each pump',
		'Pumping at the end of a drain link.'
	),
	linkPumps: value(
		DEFAULT_WORKING.linkPumps,
		{ min: 0, max: 50, whole: true },
		{ group: 'link', label: 'Pumps of a drain link', unit: 'times', meaning: 'Unless the step says otherwise.' }
	),
	openingPumps: value(
		DEFAULT_WORKING.openingPumps,
		{ min: 1, max: 50, whole: true },
		{
			group: 'link',
			label: 'Pumps that open',
			unit: 'times',
			meaning: 'A drain link opens its last node group from so many on.'
		}
	),
	openingHalfLifeSeconds: seconds(
		DEFAULT_WORKING.openingHalfLifeSeconds,
		86_400,
		'link',
		'An opening fades by half in',
		'After that time a node group counts as closed again.',
		10,
		{ source: 'practice, section 6' }
	),

	evenShare: value(
		DEFAULT_WORKING.evenShare,
		{ min: 0, max: 1 },
		{
			group: 'dose',
			label: 'Sides count as even within',
			unit: 'of the larger',
			meaning: 'A larger difference is pointed out.'
		}
	),
	deepLevel: value(
		DEFAULT_WORKING.deepLevel,
		{ min: 2, max: 4, whole: true },
		{ group: 'dose', label: 'Deep work begins at level', unit: '', meaning: 'From it on, time on one place is capped.' }
	),
	deepCapSeconds: seconds(
		DEFAULT_WORKING.deepCapSeconds,
		1800,
		'dose',
		'Deep work on one place',
		'Longest on one zone of one side.',
		5,
		{
			source: 'practice, section 6'
		}
	),
	slidesPerZone: value(
		DEFAULT_WORKING.slidesPerZone,
		{ min: 10, max: 1000, whole: true },
		{
			group: 'dose',
			label: 'Sliding strokes over one place',
			unit: 'times',
			meaning: 'More on one side are pointed out.'
		}
	),
	rushedPaceSeconds: seconds(
		DEFAULT_WORKING.rushedPaceSeconds,
		10,
		'dose',
		'A fluid stroke is rushed below',
		'Faster than vessels fill.',
		0.2
	),
	slowPaceSeconds: seconds(DEFAULT_WORKING.slowPaceSeconds, 20, 'dose', 'And is slowed to', 'What the fix sets.', 0.2),
	neckFirmLevel: value(
		DEFAULT_WORKING.neckFirmLevel,
		{ min: 1, max: 2, whole: true },
		{
			group: 'dose',
			label: 'Both sides of the neck count as firm from level',
			unit: '',
			meaning: 'From it on, both sides at once are a stop: the carotid sinus.',
			bound: 'never above 2: the carotid sinus'
		}
	),

	typicalDoses: TypicalDosesSchema,

	usualTiltDegrees: value(
		DEFAULT_WORKING.usualTiltDegrees,
		{ min: 0, max: 30 },
		{
			group: 'tools',
			label: 'Tilt of the stone',
			unit: '°',
			meaning: 'What the fix sets: nearly flat.',
			source: 'practice, section 7'
		}
	),
	steepFaceDegrees: value(
		DEFAULT_WORKING.steepFaceDegrees,
		{ min: 0, max: 60 },
		{ group: 'tools', label: 'Steepest on the face', unit: '°', meaning: 'A steeper stone scrapes.' }
	),
	steepNeckDegrees: value(
		DEFAULT_WORKING.steepNeckDegrees,
		{ min: 0, max: 60 },
		{
			group: 'tools',
			label: 'Steepest on the neck',
			unit: '°',
			meaning: 'A steeper stone scrapes.',
			source: 'practice, section 7'
		}
	),
	coldSeconds: seconds(
		DEFAULT_WORKING.coldSeconds,
		120,
		'tools',
		'Cold on one place',
		'Longest that a cold tool rests: numb skin warns no more.',
		5
	),
	insideSeconds: seconds(
		DEFAULT_WORKING.insideSeconds,
		300,
		'tools',
		'Inside the cheek, a side',
		'The lining is tender and the jaw tires.',
		10,
		{
			source: 'practice, section 8'
		}
	),
	eyeTapeHours: value(
		DEFAULT_WORKING.eyeTapeHours,
		{ min: 0.5, max: 2 },
		{
			group: 'tools',
			label: 'Tape beside the eye',
			unit: 'h',
			meaning: 'Longest wear there.',
			source: 'practice, section 8',
			bound: 'no longer than 2 h: the skin of the eye'
		}
	),
	tapeHours: value(
		DEFAULT_WORKING.tapeHours,
		{ min: 0.5, max: 12 },
		{ group: 'tools', label: 'Tape elsewhere', unit: 'h', meaning: 'Longest wear.', source: 'practice, section 8' }
	),
	deepRestHours: value(
		DEFAULT_WORKING.deepRestHours,
		{ min: 12, max: 168 },
		{
			group: 'dose',
			label: 'Rest after deep work on an area',
			unit: 'h',
			meaning: 'A course leaves at least so much between.',
			source: 'practice, section 12'
		}
	),
	insideAWeek: value(
		DEFAULT_WORKING.insideAWeek,
		{ min: 1, max: 7 },
		{
			group: 'dose',
			label: 'Inside the cheek in a week',
			unit: '×',
			meaning: 'The most times.',
			source: 'practice, sections 8 and 12'
		}
	),
	tapeSoakSeconds: value(
		DEFAULT_WORKING.tapeSoakSeconds,
		{ min: 60, max: 900 },
		{
			group: 'tools',
			label: 'Tape soaked before it comes off',
			unit: 's',
			meaning: 'With oil or another greasy cleanser.',
			source: 'practice, section 8'
		}
	),
	firstTapeHours: value(
		DEFAULT_WORKING.firstTapeHours,
		{ min: 0.5, max: 3 },
		{
			group: 'tools',
			label: 'Tape worn for the first time',
			unit: 'h',
			meaning: 'To see how the skin takes it.',
			source: 'practice, section 8',
			bound: 'no longer than 3 h: nobody knows yet how the skin takes it'
		}
	),
	nightTapeHours: value(
		DEFAULT_WORKING.nightTapeHours,
		{ min: 0.5, max: 12 },
		{ group: 'tools', label: 'Tape overnight', unit: 'h', meaning: 'Between the brows, where a school does so.' }
	),

	fullFilmUlCm2: film(DEFAULT_WORKING.fullFilmUlCm2, 0.1, 10, 'µl/cm²', 'Full cover', 'What is laid on to start with.'),
	handFilmUlCm2: film(DEFAULT_WORKING.handFilmUlCm2, 0, 5, 'µl/cm²', 'A hand slides on', 'Below it the hand drags.'),
	toolFilmUlCm2: film(DEFAULT_WORKING.toolFilmUlCm2, 0, 5, 'µl/cm²', 'A tool slides on', 'Below it the tool drags.'),
	handWearShare: film(
		DEFAULT_WORKING.handWearShare,
		0,
		0.5,
		'a stroke',
		'A hand takes away',
		'Share of the oil that goes with each stroke.'
	),
	toolWearShare: film(
		DEFAULT_WORKING.toolWearShare,
		0,
		0.5,
		'a stroke',
		'A tool takes away',
		'Share of the oil that goes with each stroke.'
	),
	oilyShare: film(
		DEFAULT_WORKING.oilyShare,
		0,
		1,
		'of full cover',
		'Skin is oily above',
		'Above it tape does not hold and a fold slips.'
	),
	dropMl: film(DEFAULT_WORKING.dropMl, 0.01, 0.5, 'ml', 'A drop', 'How amounts are said.'),
	pumpMl: film(DEFAULT_WORKING.pumpMl, 0.01, 5, 'ml', 'A pump of the bottle', 'How amounts are said.'),

	distanceErrorMm: value(
		DEFAULT_WORKING.distanceErrorMm,
		{ min: 0.1, max: 20 },
		{
			group: 'measuring',
			label: 'Typical error of a distance',
			unit: 'mm',
			meaning: 'Two readings differ so much; × 2.77 is believed.'
		}
	),
	compositeErrorMm: value(
		DEFAULT_WORKING.compositeErrorMm,
		{ min: 0.1, max: 40 },
		{
			group: 'measuring',
			label: 'Typical error of the sum',
			unit: 'mm',
			meaning: 'Of the distances of a side, taken together.'
		}
	),
	circumferenceErrorMm: value(
		DEFAULT_WORKING.circumferenceErrorMm,
		{ min: 0.1, max: 40 },
		{ group: 'measuring', label: 'Typical error of a circumference', unit: 'mm', meaning: 'Of the neck, by tape.' }
	),
	gradeErrorSteps: value(
		DEFAULT_WORKING.gradeErrorSteps,
		{ min: 0, max: 4, whole: true },
		{ group: 'measuring', label: 'A grade may be off by', unit: 'steps', meaning: 'More is called changed.' }
	),
	comparableHourMinutes: value(
		DEFAULT_WORKING.comparableHourMinutes,
		{ min: 5, max: 720 },
		{
			group: 'measuring',
			label: 'The same hour within',
			unit: 'min',
			meaning: 'Visits further apart in the day are not compared.'
		}
	)
});

export type Working = z.infer<typeof WorkingSchema>;
