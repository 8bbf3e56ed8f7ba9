import { DISTANCE_MAX_MM, DISTANCE_MIN_MM, MM_PER_INCH } from './distances';

export type LengthUnit = 'mm' | 'inch';

/** A length in the user's unit: one decimal in mm, two in inches. The record stays in mm. */
export function lengthText(mm: number, unit: LengthUnit): string {
	return unit === 'mm' ? mm.toFixed(1) : (mm / MM_PER_INCH).toFixed(2);
}

export type Reading = { readonly ok: true; readonly mm: number } | { readonly ok: false; readonly message: string };

/**
 * A typed reading as millimetres, or a sentence that says what is wrong and what was probably meant.
 * @param text as typed; a comma is a decimal point
 */
export function readLength(text: string, unit: LengthUnit): Reading {
	const value = Number(text.trim().replace(',', '.'));
	if (!Number.isFinite(value) || text.trim() === '')
		return { ok: false, message: `“${text}” is no number. Type it like 104.5.` };
	const mm = unit === 'mm' ? value : value * MM_PER_INCH;
	if (mm >= DISTANCE_MIN_MM && mm <= DISTANCE_MAX_MM) return { ok: true, mm: Math.round(mm * 10) / 10 };
	const range = `between ${lengthText(DISTANCE_MIN_MM, unit)} and ${lengthText(DISTANCE_MAX_MM, unit)} ${unit}`;
	const meant =
		mm * 10 >= DISTANCE_MIN_MM && mm * 10 <= DISTANCE_MAX_MM
			? ` Read in centimetres it would be ${lengthText(mm * 10, unit)}.`
			: '';
	return { ok: false, message: `${text} ${unit} is not a distance on a face; it lies ${range}.${meant}` };
}
