/** All that one comes to from the roots, the roots among it. @param next where one comes to from each */
export function reached(roots: Iterable<string>, next: (id: string) => readonly string[]): Set<string> {
	const seen = new Set(roots);
	for (const id of seen) for (const other of next(id)) seen.add(other);
	return seen;
}
