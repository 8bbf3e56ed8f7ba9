/** A word of the trade: what it is called, and what else is known of it stands in its row. */
export interface Labelled {
	readonly label: string;
}

/** The ids of a table, typed for z.enum. */
export const idsOf = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]];

/** The labels of a table by id. */
export const labelsOf = <K extends string>(table: Readonly<Record<K, Labelled>>): Readonly<Record<K, string>> =>
	Object.fromEntries(Object.entries<Labelled>(table).map(([id, row]) => [id, row.label])) as Record<K, string>;
