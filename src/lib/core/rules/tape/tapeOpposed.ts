import { SIDES, type Side } from '../../atlas/places';
import { zoneOf } from '../../atlas/regionOf';
import type { Step } from '../../step/step.schema';
import type { Rule } from '../rule';

const CORNER: readonly string[] = ['marionette'];
const CHEEK: readonly string[] = ['buccal', 'malar'];

/** The sides on which a piece lies. */
const sidesTaped = ({ side }: Step): readonly Side[] => (side === 'left' || side === 'right' ? [side] : SIDES);

/** Never two opposing pulls at once: pieces at the mouth corner or on the cheek, not both. */
export const tapeOpposed: Rule = {
	id: 'tape-opposed',
	kind: 'tape',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	check({ steps }) {
		const on = (zones: readonly string[]) =>
			steps.filter(({ step }) => step.aim === 'fix' && step.places.some((p) => zones.includes(zoneOf(p))));
		for (const corner of on(CORNER))
			for (const cheek of on(CHEEK)) {
				// A piece on the left pulls against nothing on the right.
				if (!sidesTaped(corner.step).some((side) => sidesTaped(cheek.step).includes(side))) continue;
				const [first, second] = corner.number < cheek.number ? [corner, cheek] : [cheek, corner];
				return [{ stepIds: [first.step.id, second.step.id], params: { number: first.number, other: second.number } }];
			}
		return [];
	}
};
