import { LEVEL_NAMES, type Level } from '../../step/levels';
import type { Moment } from './moment';

/** What one slot tells: as it is read, and as it is said where that is shorter. Empty: nothing. */
export type Telling = string | { readonly words: string; readonly say: string };

export type Teller = (moment: Moment) => Telling;

export const joined = (parts: readonly (string | false | undefined)[], by = ', '): string =>
	parts.filter(Boolean).join(by);

export const secondsText = (n: number): string => `${Number(n.toFixed(1))} s`;

export const levelText = (level: Level): string => LEVEL_NAMES[level];
