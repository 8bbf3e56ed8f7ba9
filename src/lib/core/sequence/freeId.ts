/**
 * A step id that is not yet taken, made from what the step is for; the same input gives the same id.
 * @param context the steps that are there, by id
 */
export function freeId(context: { readonly byId: ReadonlyMap<string, unknown> }, wish: string): string {
	const base = wish.slice(0, 70);
	let id = base;
	for (let n = 2; context.byId.has(id); n++) id = `${base}-${n}`;
	return id;
}
