import type { Side } from '$lib/core/atlas/places';

/** The side in two short lines: now, and what comes after. Always the client's. */
export function sideWords(side: Side | null, then: Side | null, midline: boolean): [string, string] {
	if (side) return [`Client’s ${side}`, then ? `then the ${then}` : ''];
	return midline ? ['Along the middle', ''] : ['Both sides', 'at once'];
}
