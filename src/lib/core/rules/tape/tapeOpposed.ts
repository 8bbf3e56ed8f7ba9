import { zoneOf } from '../../atlas/regionOf';
import type { Rule } from '../rule';

const CORNER: readonly string[] = ['marionette'];
const CHEEK: readonly string[] = ['nasolabial', 'buccal', 'malar'];

/** Never two opposing pulls at once: pieces at the mouth corner or on the cheek, not both. */
export const tapeOpposed: Rule = {
	id: 'tape-opposed',
	kind: 'tape',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	check({ steps }) {
		const on = (zones: readonly string[]) =>
			steps.find(({ step }) => step.aim === 'fix' && step.places.some((p) => zones.includes(zoneOf(p))));
		const [corner, cheek] = [on(CORNER), on(CHEEK)];
		if (!corner || !cheek) return [];
		const [first, second] = corner.number < cheek.number ? [corner, cheek] : [cheek, corner];
		return [{ stepIds: [first.step.id, second.step.id], params: { number: first.number, other: second.number } }];
	}
};
