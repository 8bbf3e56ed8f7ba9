/** Whether two values of plain data say the same; a field that is undefined is one that is not there. */
export function isDeepEqual(a: unknown, b: unknown): boolean {
	if (a === b) return true;
	if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
	if (Array.isArray(a) !== Array.isArray(b)) return false;
	const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
	return [...keys].every((k) => isDeepEqual((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]));
}
