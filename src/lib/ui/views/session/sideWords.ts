import type { Performer } from '$lib/core/perform/instruction/moment';
import type { Side } from '$lib/core/atlas/places';

/** The side in two short lines: now, and what comes after. The client's; before a mirror one's own. */
export function sideWords(
	side: Side | null,
	then: Side | null,
	midline: boolean,
	performer: Performer = 'client'
): [string, string] {
	if (side) return [`${performer === 'self' ? 'Your' : 'Client’s'} ${side}`, then ? `then the ${then}` : ''];
	return midline ? ['Along the middle', ''] : ['Both sides', 'at once'];
}
