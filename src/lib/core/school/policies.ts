import { NODES } from '../atlas/nodes';
import { AIMS, type Aim } from '../vocabulary/vocabulary';
import { regionsOf } from './regionOrder';
import { REGIONS } from '../atlas/regions';
import type { School } from './school.schema';

/** When fluid is led on to the outlet, in words. */
export const DRAIN_POLICIES: Record<School['drainPolicy'], string> = {
	'every-move': 'after every move on the face',
	'every-zone': 'when a zone is finished',
	'every-region': 'when a region is finished',
	end: 'once, in one long drain at the end'
};

export interface Policy {
	readonly name: string;
	readonly text: string;
}

const ROUTES = {
	outward: 'outwards to the ear',
	downward: 'down to the jaw',
	either: 'either way, whichever is nearer'
} as const;
const TAPES = {
	hours: 'for some hours',
	overnight: 'for some hours, between the brows also overnight',
	none: 'none'
} as const;

/** All policies of a school in words, in the order in which practitioners ask for them. */
export function policiesOf(school: School): Policy[] {
	const { opening } = school;
	const nodes = opening.nodes.map((n) => NODES[n].where).join(', ');
	const doses = (Object.entries(school.doses) as [Aim, number][]).map(
		([aim, n]) => `${AIMS[aim].toLowerCase()} ${n} times`
	);
	return [
		{
			name: 'Opens',
			text: opening.required
				? `${nodes}; before ${opening.before === 'face' ? 'the face' : 'everything'}`
				: 'nothing on purpose'
		},
		{
			name: 'Order',
			text: regionsOf(school)
				.map((r) => REGIONS[r].toLowerCase())
				.join(', ')
		},
		{ name: 'Neck first', text: school.neckFirst ? 'yes, cleared before the face' : 'no' },
		{ name: 'Neck', text: school.neckDirection === 'up' ? 'may be lifted upwards' : 'stroked down only' },
		{
			name: 'Short version',
			text: school.mayEndAfterNeck ? 'may end after the neck' : 'is not foreseen after the neck'
		},
		{ name: 'Drains', text: DRAIN_POLICIES[school.drainPolicy] },
		{
			name: 'Layers',
			text: school.layering === 'separate' ? 'release first, drain in a pass of its own' : 'release and drain mixed'
		},
		{ name: 'Fluid', text: `at level ${school.caps.fluid} at most` },
		{ name: 'Muscle', text: `at level ${school.caps.muscle} at most` },
		{ name: 'Counts', text: doses.length ? doses.join(', ') : 'as each move has them' },
		{ name: 'Cheek', text: ROUTES[school.cheekRoute] },
		{ name: 'Under the chin', text: school.underChin === 'outward' ? 'outwards' : 'straight down is allowed' },
		{ name: 'Mouth', text: school.mouthFinish === 'up' ? 'moves finish upwards' : 'moves may finish anyhow' },
		{ name: 'Skin', text: school.glide === 'oil' ? 'oil from the start' : 'muscle work dry, oil for the drain' },
		{ name: 'Tape', text: TAPES[school.tape] }
	];
}
