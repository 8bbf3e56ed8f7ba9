import { labelOf, ownSideOf, placeOf, whereOf, type PlaceRef } from '../atlas/places';
import { OPTIONAL_FIELDS, type OptionalField } from '../vocabulary/fields';
import {
	aimRow,
	AIMS,
	BREATHS,
	contactRow,
	CONTACTS,
	isStationary,
	motionRow,
	MOTIONS,
	MOUTHS,
	POSTURES,
	ROUNDS,
	STONE_EDGES,
	TOOLS,
	TOWARDS
} from '../vocabulary/vocabulary';
import type { Part } from './common.schema';
import { doseText, sideText, signsText } from './describe';
import { spotWords } from '../atlas/spots';
import { doseAtOf } from './doseAt';
import { LEVEL_NAMES } from './levels';
import { levelsOf, needsFilm } from './levelsOf';
import type { Step } from './step.schema';

/** A field of a step: what it is called and how it is said, wherever a step is edited, written, compared or printed. */
export interface StepField {
	/** What it is called in a list of differences; fields that say one thing together share it. */
	readonly part: string;
	/** The clause of the notation that writes it; null where the beginning of the line does. */
	readonly clause: string | null;
	/** What it says, in words. */
	readonly says: (step: Step) => string;
	/** Only of fields that not every move has. */
	readonly option?: StepOption;
}
interface StepOption {
	/** What it is called in the inspector and on paper. */
	readonly label: string;
	/** Whether it says something: it differs from what goes without saying. */
	readonly isSet: (step: Step) => boolean;
	/** What would contradict the step is not offered. */
	readonly suits?: (step: Step) => boolean;
	/** Usually told with such a step, besides what its aim, motion and contact ask for. */
	readonly usual?: (step: Step) => boolean;
}

const yes = (value: boolean): string => (value ? 'yes' : 'no');
const named = (ref: PlaceRef): string => {
	const side = ownSideOf(ref);
	return `${labelOf(placeOf(ref)).toLowerCase()}${side ? ` (${side})` : ''}`;
};
const list = (refs: readonly PlaceRef[]): string => refs.map(named).join(', ');
const isWay = (step: Step): boolean => step.places.length > 1 && !isStationary(step.motion);
const atPlace = (step: Step): boolean => step.places.length > 0;

function pressureText(step: Step): string {
	const levels = step.levels ?? levelsOf(step).slice(0, 1);
	return levels.map((l) => `${LEVEL_NAMES[l].toLowerCase()} (${l})`).join(', ');
}
function sideWords(side: Step['side']): string {
	if (typeof side === 'object' && 'alternate' in side)
		return `${sideText(side)}${side.every && side.every > 1 ? ` every ${side.every}` : ''}, ${side.first} first`;
	return sideText(side);
}
function endText(end: Step['end']): string {
	if (end.kind !== 'link') return end.kind === 'none' ? 'nothing' : end.kind;
	const way = end.places.map((p) => `${whereOf(placeOf(p))}${ownSideOf(p) ? ` (${ownSideOf(p)})` : ''}`).join(', ');
	const finish = end.finish ? `${end.finish}, then ` : '';
	return `${finish}drain ${way}; ${end.pumps} pumps${end.by === 'policy' ? ' (policy)' : ''}`;
}
function toolText({ tool }: Step): string {
	if (!tool) return 'none';
	const edge = tool.edge ? STONE_EDGES[tool.edge].toLowerCase() : '';
	const tilt = tool.tiltDegrees === undefined ? '' : `${tool.tiltDegrees}°`;
	return [TOOLS[tool.id].toLowerCase(), edge, tilt].filter(Boolean).join(', ');
}
function supportText({ support }: Step): string {
	if (!support) return 'none';
	return (
		[
			support.place
				? `${support.thumb ? 'own thumb at' : 'at'} ${named(support.place)}`
				: support.thumb
					? 'own thumb'
					: '',
			support.stays ? 'one hand stays' : '',
			support.moves ? 'moves along' : '',
			support.head === 'resists' ? 'her head resists' : support.head === 'pushed' ? 'her head is pushed' : ''
		]
			.filter(Boolean)
			.join(', ') || 'lifted at times'
	);
}
function tapeText({ tape }: Step): string {
	if (!tape) return 'none';
	const hours = tape.leastHours === undefined ? '' : `${tape.leastHours} to `;
	return [
		`${tape.pieces && tape.pieces > 1 ? `${tape.pieces} pieces of ` : ''}${tape.lengthMm} × ${tape.widthMm} mm`,
		tape.anchor ? `anchor at ${named(tape.anchor)}${tape.anchorMm ? `, ${tape.anchorMm} mm` : ''}` : '',
		tape.towards ? `towards ${named(tape.towards)}` : '',
		`${hours}${tape.wearHours} h`,
		tape.firstHours === undefined ? '' : `the first time ${tape.firstHours} h`,
		tape.firstWear ? 'first wear' : '',
		tape.skin ? `skin ${tape.skin}` : ''
	]
		.filter(Boolean)
		.join(', ');
}
/** A further stroke of a repetition in words: "sweep, malar > zygoma, light, 2 s". */
const partText = ({ motion, places, pressure, seconds }: Part): string =>
	[
		MOTIONS[motion].toLowerCase(),
		places?.map(named).join(' > ') ?? '',
		pressure === undefined ? '' : LEVEL_NAMES[pressure].toLowerCase(),
		`${seconds} s`
	]
		.filter(Boolean)
		.join(' ');
const partsText = ({ parts }: Step): string => parts?.map(partText).join(', then ') ?? 'none';
const waysText = (ways: readonly (readonly PlaceRef[])[]): string =>
	ways.map((way) => way.map(named).join(' > ')).join('; ');
/** What the hand on the second path does otherwise: “, with knuckles, sweep, light (1)”. */
function besideText({ besideWork = {} }: Step): string {
	const { contact, motion, pressure } = besideWork;
	return [
		contact && CONTACTS[contact].toLowerCase(),
		motion && MOTIONS[motion].toLowerCase(),
		pressure !== undefined && `${LEVEL_NAMES[pressure].toLowerCase()} (${pressure})`
	]
		.filter(Boolean)
		.map((words) => `, ${words}`)
		.join('');
}
const goesRound = (step: Step): boolean => motionRow(step.motion).circles || step.motion === 'sliding-circle';
const LANE_RUNS = { diagonal: 'diagonal', 'inner-outer': 'from inner to outer' } as const;

/** Every field of a step but its id. A new field of the schema does not compile until it has its row here. */
export const STEP_FIELDS = {
	techniqueId: { part: 'made from', clause: 'from', says: (s) => s.techniqueId?.replaceAll('-', ' ') ?? 'nothing' },
	aim: { part: 'aim', clause: null, says: (s) => AIMS[s.aim].toLowerCase() },
	target: { part: 'cleanses', clause: 'target', says: (s) => s.target ?? 'nothing' },
	places: { part: 'path', clause: null, says: (s) => s.places.map(named).join(' > ') || 'no place' },
	contact: { part: 'hand', clause: 'contact', says: (s) => CONTACTS[s.contact].toLowerCase() },
	tool: { part: 'tool', clause: 'tool', says: toolText },
	motion: { part: 'motion', clause: 'motion', says: (s) => MOTIONS[s.motion].toLowerCase() },
	pressure: { part: 'pressure', clause: 'pressure', says: pressureText },
	levels: { part: 'pressure', clause: 'levels', says: pressureText },
	dose: { part: 'repeats', clause: 'dose', says: (s) => `${doseText(s.dose)} (${s.dose.min} to ${s.dose.max})` },
	doseAt: {
		part: 'repeats at',
		clause: 'at',
		says: (s) => ((s.doseAt ?? doseAtOf(s)) === 'each-place' ? 'each place' : 'all together')
	},
	parts: {
		part: 'parts',
		clause: 'next',
		says: partsText,
		option: { label: 'And then', isSet: (s) => s.parts !== undefined, suits: atPlace }
	},
	amplitudeMm: {
		part: 'amplitude',
		clause: 'amplitude',
		says: (s) => (s.amplitudeMm === undefined ? 'not said' : `${s.amplitudeMm} mm`),
		option: { label: 'How far', isSet: (s) => s.amplitudeMm !== undefined, suits: atPlace }
	},
	beside: {
		part: 'beside it',
		clause: 'beside',
		says: (s) => (s.beside ? `${s.beside.map(named).join(' > ')}${besideText(s)}` : 'none'),
		option: { label: 'Beside it', isSet: (s) => s.beside !== undefined, suits: atPlace }
	},
	besideWork: { part: 'beside it', clause: 'beside', says: (s) => besideText(s).slice(2) || 'the same' },
	spots: {
		part: 'spots',
		clause: 'spots',
		says: ({ spots }) =>
			spots ? ('count' in spots ? `${spots.count} along it` : spots.named.map(spotWords).join(', ')) : 'none told',
		option: { label: 'Spots', isSet: (s) => s.spots !== undefined, suits: atPlace }
	},
	round: {
		part: 'way round',
		clause: 'circling',
		says: (s) => (s.round ? ROUNDS[s.round].toLowerCase() : 'not said'),
		option: { label: 'Round', isSet: (s) => s.round !== undefined, suits: goesRound }
	},
	towards: {
		part: 'towards',
		clause: 'towards',
		says: (s) => (s.towards ? TOWARDS[s.towards].toLowerCase() : 'not said'),
		option: {
			label: 'Turns to',
			isSet: (s) => s.towards !== undefined,
			usual: (s) => s.by === 'client' && s.aim === 'exercise'
		}
	},
	returnSeconds: {
		part: 'comes back',
		clause: 'returns',
		says: (s) => (s.returnSeconds === undefined ? 'at once' : `in ${s.returnSeconds} s`),
		option: { label: 'Back in', isSet: (s) => s.returnSeconds !== undefined, suits: isWay }
	},
	paceSeconds: { part: 'pace', clause: 'pace', says: (s) => `${s.paceSeconds} s` },
	side: { part: 'side', clause: 'side', says: (s) => sideWords(s.side) },
	stations: {
		part: 'stations',
		clause: 'stops',
		says: ({ stations }) =>
			stations
				? `${list(stations.places)} for ${stations.hold.amount} ${stations.hold.kind === 'breaths' ? 'breaths' : 's'}`
				: 'none',
		option: { label: 'Stops', isSet: (s) => s.stations !== undefined, suits: isWay }
	},
	lanes: {
		part: 'lanes',
		clause: 'lanes',
		says: (s) => `${s.lanes}${s.laneRun ? `, ${LANE_RUNS[s.laneRun]}` : ''}`,
		option: {
			label: 'Lanes',
			isSet: (s) => s.lanes > 1,
			suits: isWay,
			usual: (s) => isWay(s) && s.contact === 'tool'
		}
	},
	laneRun: { part: 'lanes', clause: 'lanes', says: (s) => `${s.lanes}${s.laneRun ? `, ${LANE_RUNS[s.laneRun]}` : ''}` },
	laneWays: {
		part: 'paths of the lanes',
		clause: 'lane',
		says: (s) => (s.laneWays ? waysText(s.laneWays) : 'side by side'),
		option: { label: 'Lane paths', isSet: (s) => s.laneWays !== undefined, suits: isWay }
	},
	reverse: {
		part: 'way back',
		clause: 'back',
		says: (s) => yes(s.reverse),
		option: { label: 'Back', isSet: (s) => s.reverse }
	},
	until: {
		part: 'until',
		clause: 'until',
		says: (s) => (s.until ? `${signsText(s.until)}, ${s.until.capSeconds} s at most` : 'counted'),
		option: { label: 'Until', isSet: (s) => s.until !== undefined }
	},
	end: {
		part: 'end',
		clause: 'end',
		says: (s) => endText(s.end),
		option: { label: 'Then', isSet: (s) => s.end.kind !== 'none', suits: atPlace }
	},
	support: {
		part: 'support',
		clause: 'support',
		says: supportText,
		option: { label: 'Support', isSet: (s) => s.support !== undefined, suits: atPlace }
	},
	posture: {
		part: 'posture',
		clause: 'posture',
		says: (s) => POSTURES[s.posture].toLowerCase(),
		option: { label: 'Posture', isSet: (s) => s.posture !== 'neutral' }
	},
	mouth: {
		part: 'mouth',
		clause: 'mouth',
		says: (s) => MOUTHS[s.mouth].toLowerCase(),
		option: { label: 'Mouth', isSet: (s) => s.mouth !== 'closed', usual: (s) => s.places.includes('masseter') }
	},
	eyes: {
		part: 'eyes',
		clause: 'eyes',
		says: (s) => s.eyes,
		option: { label: 'Eyes', isSet: (s) => s.eyes !== 'closed' }
	},
	breath: {
		part: 'breath',
		clause: 'breath',
		says: (s) => BREATHS[s.breath].toLowerCase(),
		option: { label: 'Breath', isSet: (s) => s.breath !== 'free' }
	},
	by: {
		part: 'done by',
		clause: 'by',
		says: (s) => s.by,
		option: { label: 'Done by', isSet: (s) => s.by !== 'practitioner' }
	},
	medium: {
		part: 'medium',
		clause: 'glide',
		says: (s) => (s.medium ? `${s.medium.ml} ml ${s.medium.id.replaceAll('-', ' ')}` : 'none'),
		option: { label: 'Medium', isSet: (s) => s.medium !== undefined, usual: needsFilm }
	},
	point: { part: 'point', clause: 'point', says: (s) => s.point ?? 'none' },
	replaces: {
		part: 'replaces',
		clause: 'instead',
		says: (s) => s.replaces ?? 'nothing',
		option: { label: 'Replaces', isSet: (s) => s.replaces !== undefined }
	},
	tape: {
		part: 'tape',
		clause: 'strip',
		says: tapeText,
		option: { label: 'Tape', isSet: (s) => s.tape !== undefined, suits: (s) => s.aim === 'fix' }
	},
	optional: {
		part: 'optional',
		clause: 'optional',
		says: (s) => yes(s.optional),
		option: { label: 'Optional', isSet: (s) => s.optional }
	},
	risesTo: {
		part: 'rises to',
		clause: 'rises',
		says: (s) =>
			s.risesTo === undefined ? 'the same all along' : `${LEVEL_NAMES[s.risesTo].toLowerCase()} (${s.risesTo})`,
		option: {
			label: 'Rises to',
			isSet: (s) => s.risesTo !== undefined,
			suits: (s) => isStationary(s.motion) && atPlace(s)
		}
	},
	swellsTo: {
		part: 'swells to',
		clause: 'swells',
		says: (s) =>
			s.swellsTo === undefined ? 'the same all along' : `${LEVEL_NAMES[s.swellsTo].toLowerCase()} (${s.swellsTo})`,
		option: { label: 'Swells to', isSet: (s) => s.swellsTo !== undefined, suits: isWay }
	},
	poseSeconds: {
		part: 'held at the end',
		clause: 'pose',
		says: (s) => (s.poseSeconds === undefined ? 'not held' : `${s.poseSeconds} s`),
		option: { label: 'Held at end', isSet: (s) => s.poseSeconds !== undefined }
	},
	onlyIf: {
		part: 'only if',
		clause: 'only',
		says: (s) => s.onlyIf ?? 'always',
		option: { label: 'Only if', isSet: (s) => s.onlyIf !== undefined }
	},
	otherwise: {
		part: 'otherwise',
		clause: 'otherwise',
		says: (s) => yes(s.otherwise ?? false),
		option: { label: 'Otherwise', isSet: (s) => s.otherwise === true }
	},
	choice: {
		part: 'one of',
		clause: 'choice',
		says: (s) => (s.choice ? `${s.choice.group}: ${s.choice.option}` : 'no choice'),
		option: { label: 'One of', isSet: (s) => s.choice !== undefined }
	},
	later: {
		part: 'another sitting',
		clause: 'later',
		says: (s) => yes(s.later ?? false),
		option: { label: 'Later', isSet: (s) => s.later === true }
	},
	around: {
		part: 'worked around',
		clause: 'around',
		says: (s) => s.around ?? 'nothing',
		option: { label: 'Around', isSet: (s) => s.around !== undefined, suits: atPlace }
	},
	reason: { part: 'reason', clause: 'because', says: (s) => s.reason ?? 'none' },
	note: { part: 'note', clause: 'note', says: (s) => s.note || 'none' },
	why: { part: 'why', clause: 'why', says: (s) => s.why || 'not said' },
	comment: { part: 'comment lines', clause: null, says: (s) => s.comment ?? 'none' }
} as const satisfies Record<Exclude<keyof Step, 'id'>, StepField>;
export type StepFieldId = keyof typeof STEP_FIELDS;

/** What a field of a step is called in a sentence; what is no field is called as it is, nothing is the step itself. */
export const fieldWord = (field: PropertyKey | undefined): string =>
	field === undefined ? 'step' : (STEP_FIELDS[field as StepFieldId]?.part ?? String(field));

/** What an optional field is called, and when it says something. */
export const optionOf = (field: OptionalField): StepOption => STEP_FIELDS[field].option;

/** Conditions under which an aim, motion or contact does not ask for what it usually asks. */
function asked(step: Step, field: OptionalField): boolean {
	const asks = [...aimRow(step.aim).asks, ...motionRow(step.motion).asks, ...contactRow(step.contact).asks];
	if (!asks.includes(field)) return false;
	if (field === 'until') return step.dose.kind === 'seconds';
	if (field === 'replaces') return step.aim !== 'cleanse' || step.target === 'skin';
	return optionOf(field).suits?.(step) ?? true;
}

/** The optional fields that matter for this step, in a fixed order, and the rest. */
export function fieldsFor(step: Step): {
	readonly shown: readonly OptionalField[];
	readonly more: readonly OptionalField[];
} {
	const matters = (field: OptionalField) => {
		const { isSet, usual } = optionOf(field);
		return isSet(step) || asked(step, field) || (usual?.(step) ?? false);
	};
	const shown = OPTIONAL_FIELDS.filter(matters);
	const more = OPTIONAL_FIELDS.filter((f) => !shown.includes(f) && (optionOf(f).suits?.(step) ?? true));
	return { shown, more };
}

/** What goes beyond the usual columns of a step, each as a label and words: for paper and for the text beside the map. */
export const optionTexts = (step: Step): readonly { readonly label: string; readonly text: string }[] =>
	OPTIONAL_FIELDS.filter((f) => optionOf(f).isSet(step)).map((f) => ({
		label: optionOf(f).label,
		text: STEP_FIELDS[f].says(step)
	}));
