import { GOAL_IDS, type GoalId } from '../goalIds';
import type { ObservationId } from '../assess/registry';
import type { ZoneId } from '../atlas/zones';
import type { Aim } from '../vocabulary/vocabulary';

/** What a goal asks for: an aim on a zone, with a weight that is relative within the goal (working values). */
export type GoalNeeds = Partial<Record<Aim, Partial<Record<ZoneId, number>>>>;
/** What tells whether a goal is reached. */
export interface GoalMeasure {
	/** Observations by id; zones only where they are taken zone by zone. */
	readonly observe: readonly { readonly observation: ObservationId; readonly zones: readonly ZoneId[] }[];
	readonly also: string;
}
type Observed = readonly [observation: ObservationId, ...zones: ZoneId[]];
const look = (observe: readonly Observed[], also = ''): GoalMeasure => ({
	observe: observe.map(([observation, ...zones]) => ({ observation, zones })),
	also
});
const PHOTOGRAPHS = 'photographs at the same hour';

export interface GoalInfo {
	readonly label: string;
	readonly needs: GoalNeeds;
	readonly timeOfDay: 'morning' | 'evening' | 'any';
	/** Sensible frequency, sessions a week (working value). */
	readonly perWeek: number;
	/** What to observe, and what else to look at that is no observation yet. */
	readonly measure: GoalMeasure;
	/** What may be claimed, and what is tradition rather than evidence. */
	readonly claim: string;
}

/** Aims of a whole sequence. Claims are worded with care: what may look or feel different, never what is cured. */
export const GOALS = {
	'morning-depuff': {
		label: 'Morning de-puffing',
		needs: {
			drain: {
				'lower-eyelid': 3,
				malar: 2,
				zygoma: 1,
				buccal: 2,
				nasolabial: 1,
				jawline: 2,
				masseter: 1,
				marionette: 1,
				submental: 1
			}
		},
		timeOfDay: 'morning',
		perWeek: 5,
		measure: look([
			['puffiness', 'upper-eyelid', 'lower-eyelid', 'malar', 'buccal', 'jawline'],
			['jaw-angle-outer-canthus']
		]),
		claim: 'May look less swollen for some hours; a face at seven and at noon are two faces.'
	},
	'under-eye': {
		label: 'Under-eye puffiness',
		needs: {
			drain: { 'lower-eyelid': 6, 'inner-canthus': 1, 'outer-canthus': 1, malar: 2, temple: 1, zygoma: 1 },
			stimulate: { 'lower-eyelid': 1 }
		},
		timeOfDay: 'morning',
		perWeek: 5,
		measure: look([['puffiness', 'lower-eyelid']]),
		claim: 'May look less swollen; hollows and colour stay as they are.'
	},
	'open-eye': {
		label: 'Open-eye look',
		needs: {
			lift: { brow: 3, 'outer-canthus': 2 },
			drain: { 'upper-eyelid': 3, 'lower-eyelid': 2 },
			release: { brow: 2, temple: 1 }
		},
		timeOfDay: 'morning',
		perWeek: 4,
		measure: look([['puffiness', 'upper-eyelid']], 'eye opening from photographs'),
		claim: 'May look more awake for a while.'
	},
	'forehead-lines': {
		label: 'Forehead lines',
		needs: {
			release: { 'forehead-medial': 3, 'forehead-lateral': 2, hairline: 2 },
			lift: { 'forehead-medial': 2, brow: 1 }
		},
		timeOfDay: 'evening',
		perWeek: 3,
		measure: look([['tension', 'forehead-medial', 'forehead-lateral']], PHOTOGRAPHS),
		claim: 'Softer expression by looser muscle; that lines go is tradition.'
	},
	'frown-lines': {
		label: 'Frown lines',
		needs: { release: { glabella: 5, brow: 2, 'forehead-medial': 1 } },
		timeOfDay: 'evening',
		perWeek: 3,
		measure: look([['tension', 'glabella']], PHOTOGRAPHS),
		claim: 'Less pull between the brows; that lines go is tradition.'
	},
	cheekbone: {
		label: 'Cheekbone contour',
		needs: {
			lift: { zygoma: 3, malar: 2, buccal: 2 },
			release: { zygoma: 1, buccal: 1 },
			drain: { buccal: 2, zygoma: 1 }
		},
		timeOfDay: 'any',
		perWeek: 3,
		measure: look([['puffiness', 'malar', 'zygoma']], 'face width from photographs'),
		claim: 'May look clearer while less fluid lies there; lifting is tradition.'
	},
	'smile-folds': {
		label: 'Smile folds',
		needs: { lift: { nasolabial: 3, malar: 1 }, release: { nasolabial: 3 }, drain: { nasolabial: 1 } },
		timeOfDay: 'evening',
		perWeek: 3,
		measure: look([['tension', 'nasolabial']], 'photographs at rest'),
		claim: 'May look softer for a while; that folds go is tradition.'
	},
	'mouth-corners': {
		label: 'Mouth corners',
		needs: { lift: { marionette: 4, buccal: 1 }, release: { chin: 1, jawline: 1 }, drain: { marionette: 2 } },
		timeOfDay: 'any',
		perWeek: 3,
		measure: look([], 'mouth-corner height from photographs'),
		claim: 'May hang less while the pull below is looser; lasting lift is tradition.'
	},
	'lip-lines': {
		label: 'Lip lines',
		needs: { drain: { 'upper-lip': 2, 'lower-lip': 1 }, release: { 'lower-lip': 1, nasolabial: 1 } },
		timeOfDay: 'evening',
		perWeek: 3,
		measure: look([], PHOTOGRAPHS),
		claim: 'May look smoother for a while; the rest is tradition.'
	},
	'under-chin': {
		label: 'Chin and under the chin',
		needs: { drain: { submental: 4, 'under-jaw': 2, chin: 1, throat: 1 }, lift: { submental: 2, throat: 1 } },
		timeOfDay: 'any',
		perWeek: 4,
		measure: look([['puffiness', 'submental'], ['tragus-mouth-corner'], ['neck-upper']]),
		claim: 'May look less swollen; fat stays where it is.'
	},
	'jaw-contour': {
		label: 'Jaw contour',
		needs: {
			lift: { jawline: 4, masseter: 1 },
			drain: { jawline: 3, 'under-jaw': 2 },
			release: { masseter: 2, jawline: 1 }
		},
		timeOfDay: 'any',
		perWeek: 4,
		measure: look([['puffiness', 'jawline'], ['jaw-angle-nose-wing']]),
		claim: 'May look clearer while less fluid lies there.'
	},
	'jaw-tension': {
		label: 'Jaw tension',
		needs: { release: { masseter: 6, temple: 2, nape: 1, chin: 1 } },
		timeOfDay: 'evening',
		perWeek: 2,
		measure: look([
			['tension', 'masseter'],
			['tenderness', 'masseter']
		]),
		claim: 'May feel looser; grinding and locking belong to a dentist.'
	},
	'neck-lines': {
		label: 'Neck lines',
		needs: {
			lift: { throat: 3, 'under-jaw': 1 },
			drain: { throat: 2, sternocleidomastoid: 2 },
			release: { sternocleidomastoid: 1 }
		},
		timeOfDay: 'evening',
		perWeek: 3,
		measure: look([], PHOTOGRAPHS),
		claim: 'Smoother skin for a while; up or down is a matter of school.'
	},
	'sinus-ease': {
		label: 'A nose that feels freer',
		needs: {
			drain: { 'nose-bridge': 2, 'nose-wing': 2, malar: 1, glabella: 1 },
			release: { 'nose-wing': 2, brow: 1, malar: 1 }
		},
		timeOfDay: 'any',
		perWeek: 4,
		measure: look([], 'how free the nose feels, in the client’s words'),
		claim: 'May feel freer; infection is not for massage.'
	},
	'tension-head': {
		label: 'Tight head',
		needs: { release: { temple: 3, nape: 3, hairline: 2, shoulder: 2, brow: 1 } },
		timeOfDay: 'any',
		perWeek: 3,
		measure: look([['tension', 'temple', 'nape']], 'the client’s words'),
		claim: 'May ease a tight head; a new or sudden headache is for a doctor.'
	},
	'wind-down': {
		label: 'Wind-down for sleep',
		needs: { settle: { shoulder: 4 }, release: { shoulder: 2, nape: 2, temple: 1 } },
		timeOfDay: 'evening',
		perWeek: 5,
		measure: look([['sleep']], 'the client’s words; minutes to fall asleep'),
		claim: 'Slower breath and quiet; no more is claimed.'
	},
	glow: {
		label: 'Circulation and glow',
		needs: {
			stimulate: { malar: 2, buccal: 1, zygoma: 1, 'forehead-medial': 1, jawline: 1, 'lower-eyelid': 1 },
			lift: { zygoma: 1, malar: 1 }
		},
		timeOfDay: 'morning',
		perWeek: 3,
		measure: look([['redness']], 'how long it stays'),
		claim: 'Rosier skin for an hour or so.'
	},
	upkeep: {
		label: 'Upkeep',
		needs: {
			drain: { malar: 1, jawline: 1, 'lower-eyelid': 1 },
			lift: { jawline: 1, zygoma: 1 },
			release: { masseter: 1, brow: 1 }
		},
		timeOfDay: 'any',
		perWeek: 2,
		measure: look([['puffiness'], ['tension'], ['composite']], 'all of it once a month'),
		claim: 'Keeps what the other goals gave; evidence is thin.'
	},
	'after-travel': {
		label: 'After travel',
		needs: {
			drain: { 'lower-eyelid': 2, malar: 2, jawline: 1, sternocleidomastoid: 1, nape: 1 },
			release: { nape: 2, shoulder: 1 }
		},
		timeOfDay: 'any',
		perWeek: 2,
		measure: look([['puffiness', 'upper-eyelid', 'lower-eyelid', 'malar', 'buccal']], 'the ankles too'),
		claim: 'May look less swollen; long flights with leg swelling are for a doctor.'
	}
} as const satisfies Record<GoalId, GoalInfo>;

export { GOAL_IDS, type GoalId };
export const goalInfo = (id: GoalId): GoalInfo => GOALS[id];
