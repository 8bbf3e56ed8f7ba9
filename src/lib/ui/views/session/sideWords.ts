import type { Performer } from '$lib/core/perform/instruction/moment';
import { whose } from '$lib/core/perform/instruction/words';
import type { Side } from '$lib/core/atlas/places';

/** The side in large letters, and what comes after it. The client's; before a mirror one's own. */
export function sideWords(
	side: Side | null,
	then: Side | null,
	midline: boolean,
	performer: Performer = 'client'
): [string, string] {
	if (side)
		return [side === 'left' ? 'Left' : 'Right', `${whose(performer)} ${side}${then ? `, then the ${then}` : ''}`];
	return midline ? ['Middle', 'both halves in one pass'] : ['Both', 'both at the same time'];
}
