import { observation } from '../assess/registry';
import { ZONES } from '../atlas/zones';
import { listWords } from '../listWords';
import type { GoalMeasure } from './goals';

/** What to observe for a goal, in words: "puffiness of the lower eyelid; photographs at the same hour". */
export function measureWords({ observe, also }: GoalMeasure): string {
	const observed = observe.map(({ observation: id, zones }) => {
		const label = observation(id).label.toLowerCase();
		return zones.length ? `${label} of ${listWords(zones.map((z) => ZONES[z].label.toLowerCase()))}` : label;
	});
	return [...observed, also].filter(Boolean).join('; ');
}
