import type { Working } from '../working/working.schema';

/** Pressure level 0..4: touch, light, medium, firm, deep. */
export type Level = 0 | 1 | 2 | 3 | 4;
export const LEVELS: readonly Level[] = [0, 1, 2, 3, 4];
export const LEVEL_NAMES: Record<Level, string> = {
	0: 'touch',
	1: 'light',
	2: 'medium',
	3: 'firm',
	4: 'deep'
};

/** Range of a level in kPa: [lower, upper]. */
export function levelRangeKPa(level: Level, working: Working): [number, number] {
	return [level === 0 ? 0 : working.pressureUpperKPa[level - 1]!, working.pressureUpperKPa[level]!];
}

/** Grams on a kitchen scale for one kPa on one cm². */
export const GRAMS_PER_KPA_CM2 = 10.1972;

/**
 * What a kitchen scale shows under a contact.
 * @param pressureKPa pressure, kPa, >= 0
 * @param areaCm2 contact area, cm², > 0
 * @returns grams
 * @throws {RangeError} if one of them is out of range
 * @example scaleGrams(3, 1) // => 30.5916
 */
export function scaleGrams(pressureKPa: number, areaCm2: number): number {
	if (!(pressureKPa >= 0)) throw new RangeError(`pressureKPa out of range >= 0: ${pressureKPa}`);
	if (!(areaCm2 > 0)) throw new RangeError(`areaCm2 out of range > 0: ${areaCm2}`);
	return pressureKPa * areaCm2 * GRAMS_PER_KPA_CM2;
}
