import { z } from 'zod';
import { valueInfos, WORKING_GROUPS, type ValueInfo, type WorkingGroup } from './value';
import { WorkingSchema, type Working } from './working.schema';
import { DEFAULT_WORKING } from './defaultWorking';

/** One editable number, with all that is said of it. */
export interface WorkingValue extends ValueInfo {
	/** Its name as `/check` and a backup spell it: `contactAreaCm2.flat-hand`, `pressureUpperKPa.0`. */
	readonly name: string;
	readonly keys: readonly (string | number)[];
	readonly shipped: number;
	readonly min: number;
	readonly max: number;
	/** Whole numbers only. */
	readonly whole: boolean;
}

/** The schema under what gives it a default. */
function bare(schema: z.ZodType): z.ZodType {
	return schema instanceof z.ZodPrefault ? bare(schema.unwrap() as z.ZodType) : schema;
}

function valuesIn(schema: z.ZodType, keys: readonly (string | number)[]): WorkingValue[] {
	const info = valueInfos.get(schema);
	const inner = bare(schema);
	if (info && inner instanceof z.ZodDefault) {
		const number = inner.unwrap() as z.ZodNumber;
		const shipped = valueOf(DEFAULT_WORKING, keys);
		const { minValue, maxValue } = number;
		return [{ ...info, keys, name: keys.join('.'), shipped, min: minValue!, max: maxValue!, whole: number.isInt }];
	}
	if (inner instanceof z.ZodObject)
		return Object.entries(inner.shape as Record<string, z.ZodType>).flatMap(([key, s]) => valuesIn(s, [...keys, key]));
	if (inner instanceof z.ZodTuple)
		return (inner.def.items as unknown as z.ZodType[]).flatMap((s, i) => valuesIn(s, [...keys, i]));
	return [];
}

/** The number at a place in the working values. */
export const valueOf = (working: Working, keys: readonly (string | number)[]): number =>
	keys.reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], working) as number;

/** Every working value, in the order of the table. */
export const WORKING_VALUES: readonly WorkingValue[] = valuesIn(WorkingSchema, []);

/** The values of each heading, headings without any left out. */
export const workingGroups = (): {
	readonly id: WorkingGroup;
	readonly label: string;
	readonly values: readonly WorkingValue[];
}[] =>
	(Object.keys(WORKING_GROUPS) as WorkingGroup[]).map((id) => ({
		id,
		label: WORKING_GROUPS[id],
		values: WORKING_VALUES.filter((v) => v.group === id)
	}));

/** Values that are not as they ship. */
export const changedValues = (working: Working): readonly WorkingValue[] =>
	WORKING_VALUES.filter((v) => valueOf(working, v.keys) !== v.shipped);

export type Set = { readonly ok: true; readonly working: Working } | { readonly ok: false; readonly message: string };

/** The working values with one of them set, or a sentence that says why not. */
export function withWorkingValue(working: Working, value: WorkingValue, number: number): Set {
	const { min, max, whole, unit, label, bound } = value;
	const range = `${label}: ${whole ? 'a whole number ' : ''}from ${min} to ${max}${unit ? ` ${unit}` : ''}`;
	if (!(number >= min && number <= max) || (whole && !Number.isInteger(number)))
		return { ok: false, message: bound && number > max ? `${range}, ${bound}.` : `${range}, please.` };
	const next = structuredClone(working);
	const owner = value.keys.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], next);
	(owner as Record<string | number, number>)[value.keys.at(-1)!] = number;
	const parsed = WorkingSchema.safeParse(next);
	return parsed.success
		? { ok: true, working: parsed.data }
		: { ok: false, message: `${label}: ${parsed.error.issues[0]!.message}.` };
}
