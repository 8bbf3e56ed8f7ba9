/** What rows are read by: compared as it is, so several are joined into one text. */
export type RowsKey = string | number | null;

/**
 * What was read for a key: not yet, not at all, or here. Rows can be reached only where they are here, and then they are of
 * this very key: what was read for one client is never shown under another.
 */
export type Rows<K extends RowsKey, T> = { readonly key: K } & Read<T>;
export type Read<T> =
	| { readonly state: 'pending' }
	| { readonly state: 'failed'; readonly cause: unknown; readonly again: () => void }
	| { readonly state: 'here'; readonly rows: T };

type RowsOf<R> = R extends { readonly state: 'here'; readonly rows: infer T } ? T : never;
type Parts = Readonly<Record<string, Read<unknown>>>;

/** Several reads as one: here where all of them are, failed where one of them is. */
export function together<P extends Parts>(parts: P): Read<{ readonly [K in keyof P]: RowsOf<P[K]> }> {
	const all = Object.entries(parts);
	const failed = all.flatMap(([, part]) => (part.state === 'failed' ? [part] : []));
	if (failed.length)
		return { state: 'failed', cause: failed[0]!.cause, again: () => failed.forEach(({ again }) => again()) };
	if (all.some(([, part]) => part.state === 'pending')) return { state: 'pending' };
	const rows = Object.fromEntries(all.map(([name, part]) => [name, part.state === 'here' ? part.rows : undefined]));
	return { state: 'here', rows: rows as { readonly [K in keyof P]: RowsOf<P[K]> } };
}

/** The rows where they are here; null where they are not: for what does without them, never for what stands for them. */
export const ifHere = <T>(read: Read<T>): T | null => (read.state === 'here' ? read.rows : null);
