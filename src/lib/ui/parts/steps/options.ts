import { LEVEL_NAMES, LEVELS } from '$lib/core/step/levels';
import {
	BREATHS,
	CONTACTS,
	MOTIONS,
	MOUTHS,
	POSTURES,
	STONE_EDGES,
	TOOLS,
	UNTIL_SIGNS
} from '$lib/core/vocabulary/vocabulary';

const optionsOf = <T extends string>(table: Record<T, string>) =>
	(Object.entries(table) as [T, string][]).map(([value, label]) => ({ value, label }));

export const CONTACT_OPTIONS = optionsOf(CONTACTS);
/** Contacts by hand: a tool is chosen with its technique. */
export const HAND_OPTIONS = CONTACT_OPTIONS.filter((o) => o.value !== 'tool');
export const TOOL_OPTIONS = optionsOf(TOOLS);
export const EDGE_OPTIONS = optionsOf(STONE_EDGES);
export const POSTURE_OPTIONS = optionsOf(POSTURES);
export const MOUTH_OPTIONS = optionsOf(MOUTHS);
export const BREATH_OPTIONS = optionsOf(BREATHS);
export const SIGN_OPTIONS = optionsOf(UNTIL_SIGNS);
export const DOSE_OPTIONS = [
	{ value: 'reps', label: 'times' },
	{ value: 'seconds', label: 'seconds' },
	{ value: 'breaths', label: 'breaths' }
] as const;
export const MOTION_OPTIONS = optionsOf(MOTIONS);
export const LEVEL_OPTIONS = LEVELS.map((level) => ({
	value: String(level) as `${typeof level}`,
	label: `${level} ${LEVEL_NAMES[level]}`
}));
