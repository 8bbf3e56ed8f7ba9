import { AIM_ROWS, type Aim, type AimRow } from './aims';
import { CONTACT_ROWS, type Contact, type ContactRow } from './contacts';
import { MOTION_ROWS, type Motion, type MotionRow } from './motions';
import { labelsOf } from './rows';
import { EDGE_ROWS, TOOL_ROWS, type StoneEdge, type ToolId, type ToolRow } from './tools';

/** The fixed vocabulary of a step. Ids are the same in code, files, server and DOM; what a word means is asked of its row. */
export type { Aim, Contact, Motion, StoneEdge, ToolId };
export { idsOf } from './rows';

export const AIMS = labelsOf(AIM_ROWS);
export const MOTIONS = labelsOf(MOTION_ROWS);
export const CONTACTS = labelsOf(CONTACT_ROWS);
export const TOOLS = labelsOf(TOOL_ROWS);
export const STONE_EDGES = labelsOf(EDGE_ROWS);

export const aimRow = (aim: Aim): AimRow => AIM_ROWS[aim];
export const motionRow = (motion: Motion): MotionRow => MOTION_ROWS[motion];
export const contactRow = (contact: Contact): ContactRow => CONTACT_ROWS[contact];
export const toolRow = (tool: ToolId): ToolRow => TOOL_ROWS[tool];

/** Motions that stay where they are: over several places, a dose in time counts for each place. */
export const isStationary = (motion: Motion): boolean => MOTION_ROWS[motion].stays;
/** Moves that stay on a node group and press it, whatever they do there. */
export const staysOnNode = (motion: Motion): boolean => MOTION_ROWS[motion].stays && motion !== 'none';

export const POSTURES = {
	neutral: 'Head neutral',
	tilted: 'Head tilted',
	turned: 'Head turned',
	'chin-up': 'Chin up',
	forward: 'Head forward',
	leaning: 'Leaning in'
} as const;
export const MOUTHS = {
	closed: 'Mouth closed',
	parted: 'Lips parted',
	'lips-over-teeth': 'Lips over the teeth',
	o: 'Mouth as an O',
	puffed: 'Cheeks puffed',
	'jaw-forward': 'Jaw forward',
	'tongue-up': 'Tongue to the palate',
	'lips-in': 'Lips drawn in'
} as const;
/** What is said once where a position of the mouth ends, and it is closed again. */
export const MOUTH_ENDS: Record<keyof typeof MOUTHS, string> = {
	closed: '',
	parted: 'Mouth closed again',
	'lips-over-teeth': 'Lips loose again',
	o: 'Mouth loose again',
	puffed: 'Cheeks loose again',
	'jaw-forward': 'Jaw back in place',
	'tongue-up': 'Tongue down again',
	'lips-in': 'Lips loose again'
};
export const BREATHS = {
	free: 'Breath free',
	'out-while-pressing': 'Out while pressing',
	'out-while-held': 'Out while held',
	'in-before': 'In before',
	'off-in-on-out': 'Hands off on the in-breath',
	'one-a-station': 'One breath a station'
} as const;
export const UNTIL_SIGNS = {
	warm: 'warm',
	softer: 'softer',
	pink: 'pink',
	numb: 'numb',
	tight: 'tight',
	'it-lets-go': 'it lets go',
	'the-breath-deepens': 'the breath deepens'
} as const;

/** Which way round a circle goes, as seen from the middle of the face. */
export const ROUNDS = { inwards: 'Inwards', outwards: 'Outwards' } as const;

/** Where the client turns, tilts or moves to. */
export const TOWARDS = {
	left: 'To the client’s left',
	right: 'To the client’s right',
	away: 'Away from the side that is worked',
	towards: 'Towards the side that is worked',
	up: 'Up',
	down: 'Down',
	forward: 'Forward',
	back: 'Back'
} as const;
