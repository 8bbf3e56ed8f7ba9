import { z } from 'zod';

/** Under which heading of Settings a value stands. */
export const WORKING_GROUPS = {
	pressure: 'Pressure levels',
	contact: 'What touches',
	time: 'Time on the way',
	link: 'Opening and drain links',
	dose: 'Limits of repeats and pace',
	usual: 'Usual repeats',
	tools: 'Stone, cold, inside, tape',
	film: 'Oil left on the skin',
	stage: 'The stage',
	measuring: 'Measuring'
} as const;
export type WorkingGroup = keyof typeof WORKING_GROUPS;

/** What is said of a working value wherever it is edited. */
export interface ValueInfo {
	readonly group: WorkingGroup;
	readonly label: string;
	readonly unit: string;
	/** What it does, in a line. */
	readonly meaning: string;
	/** Where it stands in practice, or `working value`: our own choice, to be checked by whoever uses it. */
	readonly source: string;
	/** Why it cannot be set looser than it ships; absent where it can. */
	readonly bound?: string;
}

/** The words of each value, by its schema: the schema is the one statement of range and default. */
export const valueInfos = z.registry<ValueInfo>();

type Said = Omit<ValueInfo, 'source'> & { readonly source?: string };
interface Range {
	readonly min: number;
	readonly max: number;
	/** Whole numbers only. */
	readonly whole?: boolean;
}

/** One editable number: its default, its range, and what is said of it. */
export function value(initial: number, { min, max, whole = false }: Range, said: Said) {
	const schema = (whole ? z.int() : z.number()).min(min).max(max).default(initial);
	return schema.register(valueInfos, { source: 'working value', ...said });
}

/** A number for each id of a table. */
export function valuesById<K extends string>(
	initial: Readonly<Record<K, number>>,
	range: Range,
	said: (id: K) => Said
): z.ZodPrefault<z.ZodObject<Record<K, ReturnType<typeof value>>, z.core.$strict>> {
	const entries = (Object.keys(initial) as K[]).map((id) => [id, value(initial[id], range, said(id))] as const);
	return z
		.strictObject(Object.fromEntries(entries) as Record<K, ReturnType<typeof value>>)
		.prefault({} as never) as never;
}
