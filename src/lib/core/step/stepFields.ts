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
	STONE_EDGES,
	TOOLS,
	UNTIL_SIGNS
} from '../vocabulary/vocabulary';
import { doseText, sideText } from './describe';
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
	if (typeof side === 'object' && 'alternate' in side) return `${sideText(side)}, ${side.first} first`;
	return sideText(side);
}
function endText(end: Step['end']): string {
	if (end.kind !== 'link') return end.kind === 'none' ? 'nothing' : end.kind;
	const way = end.places.map((p) => `${whereOf(placeOf(p))}${ownSideOf(p) ? ` (${ownSideOf(p)})` : ''}`).join(', ');
	return `drain: ${way}; ${end.pumps} pumps${end.by === 'policy' ? ' (policy)' : ''}`;
}
function toolText({ tool }: Step): string {
	if (!tool) return 'none';
	const edge = tool.edge ? STONE_EDGES[tool.edge].toLowerCase() : '';
	const tilt = tool.tiltDegrees === undefined ? '' : `${tool.tiltDegrees}°`;
	return [TOOLS[tool.id].toLowerCase(), edge, tilt].filter(Boolean).join(', ');
}
function supportText({ support }: Step): string {
	if (!support) return 'none';
	const stays = support.stays ? 'one hand stays' : '';
	return [support.place ? `at ${named(support.place)}` : '', stays].filter(Boolean).join(', ') || 'lifted at times';
}

/** Every field of a step but its id. A new field of the schema does not compile until it has its row here. */
export const STEP_FIELDS = {
	techniqueId: { part: 'made from', clause: 'from', says: (s) => s.techniqueId?.replaceAll('-', ' ') ?? 'nothing' },
	aim: { part: 'aim', clause: null, says: (s) => AIMS[s.aim].toLowerCase() },
	target: { part: 'cleanses', clause: 'target', says: (s) => s.target ?? 'nothing' },
	places: { part: 'way', clause: null, says: (s) => s.places.map(named).join(' > ') || 'no place' },
	contact: { part: 'contact', clause: 'contact', says: (s) => CONTACTS[s.contact].toLowerCase() },
	tool: { part: 'tool', clause: 'tool', says: toolText },
	motion: { part: 'motion', clause: 'motion', says: (s) => MOTIONS[s.motion].toLowerCase() },
	pressure: { part: 'pressure', clause: 'pressure', says: pressureText },
	levels: { part: 'pressure', clause: 'levels', says: pressureText },
	dose: { part: 'dose', clause: 'dose', says: (s) => `${doseText(s.dose)} (${s.dose.min} to ${s.dose.max})` },
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
		says: (s) => String(s.lanes),
		option: {
			label: 'Lanes',
			isSet: (s) => s.lanes > 1,
			suits: isWay,
			usual: (s) => isWay(s) && s.contact === 'tool'
		}
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
		says: (s) => (s.until ? `${UNTIL_SIGNS[s.until.sign]}, ${s.until.capSeconds} s at most` : 'counted'),
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
		says: (s) => (s.tape ? `${s.tape.lengthMm} × ${s.tape.widthMm} mm, ${s.tape.wearHours} h` : 'none'),
		option: { label: 'Tape', isSet: (s) => s.tape !== undefined, suits: (s) => s.aim === 'fix' }
	},
	optional: {
		part: 'optional',
		clause: 'optional',
		says: (s) => yes(s.optional),
		option: { label: 'Optional', isSet: (s) => s.optional }
	},
	reason: { part: 'reason', clause: 'because', says: (s) => s.reason ?? 'none' },
	note: { part: 'note', clause: 'note', says: (s) => s.note || 'none' },
	why: { part: 'why', clause: 'why', says: (s) => s.why || 'not said' }
} as const satisfies Record<Exclude<keyof Step, 'id'>, StepField>;
export type StepFieldId = keyof typeof STEP_FIELDS;

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
