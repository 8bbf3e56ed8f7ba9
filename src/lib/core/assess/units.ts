import { measuredRow, type ObservationId } from './registry';

export const MM_PER_INCH = 25.4;
export type LengthUnit = 'mm' | 'inch';

/** A length in the user's unit: one decimal in mm, two in inches. The record stays in mm. */
export function lengthText(mm: number, unit: LengthUnit): string {
	return unit === 'mm' ? mm.toFixed(1) : (mm / MM_PER_INCH).toFixed(2);
}

export type Reading = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** A number as typed; a comma is a decimal point. */
export function numberOf(text: string): number | null {
	const value = Number(text.trim().replace(',', '.'));
	return text.trim() === '' || !Number.isFinite(value) ? null : value;
}

/** What was typed in the unit of an observation, lengths as millimetres; null where it is no number. */
export function typedValue(id: ObservationId, text: string, unit: LengthUnit): number | null {
	const typed = numberOf(text);
	return typed !== null && measuredRow(id).kind === 'length' && unit === 'inch' ? typed * MM_PER_INCH : typed;
}

/**
 * A typed reading of an observation in its own unit, lengths as millimetres, or a sentence that says what is wrong and
 * what was probably meant.
 * @param unit in which lengths are typed
 */
export function readMeasured(id: ObservationId, text: string, unit: LengthUnit): Reading {
	const row = measuredRow(id);
	const value = typedValue(id, text, unit);
	if (value === null) return { ok: false, message: `“${text}” is no number. Type it like 104.5.` };
	const isLength = row.kind === 'length';
	if (value >= row.min && value <= row.max) return { ok: true, value: Math.round(value * 10) / 10 };
	const shown = (n: number) => (isLength ? lengthText(n, unit) : String(n));
	const unitWord = isLength ? unit : row.unit;
	const range = `between ${shown(row.min)} and ${shown(row.max)} ${unitWord}`;
	const meant =
		isLength && value * 10 >= row.min && value * 10 <= row.max
			? ` Read in centimetres it would be ${lengthText(value * 10, unit)}.`
			: '';
	return { ok: false, message: `${text} ${unitWord} cannot be ${row.label.toLowerCase()}; it lies ${range}.${meant}` };
}
