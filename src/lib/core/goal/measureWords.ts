import { observation } from '../assess/registry';
import { ZONES } from '../atlas/zones';
import type { GoalMeasure } from './goals';

const list = (parts: readonly string[]): string =>
	parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What to observe for a goal, in words: "puffiness of the lower eyelid; photographs at the same hour". */
export function measureWords({ observe, also }: GoalMeasure): string {
	const observed = observe.map(({ observation: id, zones }) => {
		const label = observation(id).label.toLowerCase();
		return zones.length ? `${label} of ${list(zones.map((z) => ZONES[z].label.toLowerCase()))}` : label;
	});
	return [...observed, also].filter(Boolean).join('; ');
}
