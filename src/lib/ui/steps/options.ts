import { LEVEL_NAMES, LEVELS } from '$lib/core/pressure/levels';
import { CONTACTS, MOTIONS, TOOLS } from '$lib/core/technique/vocabulary';

const optionsOf = <T extends string>(table: Record<T, string>) =>
	(Object.entries(table) as [T, string][]).map(([value, label]) => ({ value, label }));

export const CONTACT_OPTIONS = optionsOf(CONTACTS);
/** Contacts by hand: a tool is chosen with its technique. */
export const HAND_OPTIONS = CONTACT_OPTIONS.filter((o) => o.value !== 'tool');
export const TOOL_OPTIONS = optionsOf(TOOLS);
export const MOTION_OPTIONS = optionsOf(MOTIONS);
export const LEVEL_OPTIONS = LEVELS.map((level) => ({
	value: String(level) as `${typeof level}`,
	label: `${level} ${LEVEL_NAMES[level]}`
}));
