import type { Performer } from '$lib/core/perform/instruction/moment';
import type { Side } from '$lib/core/atlas/places';

/** The side in large letters, and what comes after it. The client's; before a mirror one's own. */
export function sideWords(
	side: Side | null,
	then: Side | null,
	midline: boolean,
	performer: Performer = 'client'
): [string, string] {
	const whose = performer === 'self' ? 'your' : 'client’s';
	if (side) return [side === 'left' ? 'Left' : 'Right', `${whose} ${side}${then ? `, then the ${then}` : ''}`];
	return midline ? ['Middle', 'both halves in one pass'] : ['Both', 'both at the same time'];
}
