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
	/** Why one holds it so: the reason belongs to the policy, whichever school has it. */
	readonly why: string;
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

/** Why a policy is held as it is, by its name: two schools that hold the same have the same reason. */
const REASONS = {
	Opens: (s) =>
		s.opening.required
			? 'A node group that was just emptied can take what is sent to it.'
			: 'The strokes themselves bring the flow about; the model finds the advantage of opening small and unsure.',
	Order: (s) =>
		({
			'exit-first': 'Each area empties into one that has just been emptied.',
			'chest-up': 'Lifting builds up from what carries it.',
			'crown-down': 'Everything is pushed before the hands, towards the exits.',
			'nape-first': 'A free nape lets the chin and the jaw go.',
			'muscle-first': 'A muscle that is held brings its fluid back.'
		})[s.order],
	'Neck first': (s) =>
		s.neckFirst
			? 'All fluid of the face leaves through the neck.'
			: 'The neck is on the way, and comes when its turn is.',
	Neck: (s) => (s.neckDirection === 'up' ? 'Upwards it lifts and smooths.' : 'Downwards its vessels run.'),
	'Short version': (s) =>
		s.mayEndAfterNeck
			? 'The neck alone is whole in itself.'
			: 'Without the face nothing was done for what she came for.',
	Drains: (s) =>
		({
			'every-move': 'Nothing waits, and nothing is forgotten at the end.',
			'every-zone': 'A zone is closed before the next is begun.',
			'every-region': 'A region is closed before the next; the rhythm stays.',
			end: 'One long drain keeps the rhythm of the face.'
		})[s.drainPolicy],
	Layers: (s) =>
		s.layering === 'separate'
			? 'Deep work after a drain brings new fluid into what was drained.'
			: 'Area by area there is less to remember.',
	Fluid: (s) =>
		s.caps.fluid <= 1
			? 'The first vessels lie just under the skin; more pressure closes them.'
			: 'A little firmer, the stroke takes more along.',
	Muscle: (s) =>
		s.caps.muscle >= 4
			? 'A muscle lets go only where it is reached; never painful.'
			: 'Deeper work bruises more easily than it helps.',
	Counts: (s) =>
		Object.keys(s.doses).length
			? 'A fixed count is kept without thinking, and is the same on both sides.'
			: 'Each move has a range of its own.',
	Cheek: (s) =>
		({
			outward: 'The way to the ear is short, and lifts a little.',
			downward: 'Most fluid of the cheek takes the way down by itself.',
			either: 'Both ways are real; the nearer one is taken.'
		})[s.cheekRoute],
	'Under the chin': (s) =>
		s.underChin === 'outward' ? 'Its vessels run sideways.' : 'Straight down is the shortest way to the collarbone.',
	Mouth: (s) =>
		s.mouthFinish === 'up'
			? 'The corners sink by themselves; the last pull is upwards.'
			: 'Where the fluid goes counts more than the last pull.',
	Skin: (s) =>
		s.glide === 'oil'
			? 'Less pull on the skin, from the first stroke on.'
			: 'A dry hand holds the skin and reaches the muscle.',
	Tape: (s) =>
		({
			hours: 'Some hours show what it does; longer, the skin takes harm.',
			overnight: 'A night is the longest rest a frown has, and only after earlier trials went well.',
			none: 'The hands have done what is to be done.'
		})[s.tape]
} as const satisfies Record<string, (school: School) => string>;

/** All policies of a school in words, in the order in which practitioners ask for them. */
export function policiesOf(school: School): Policy[] {
	const { opening } = school;
	const nodes = opening.nodes.map((n) => NODES[n].where).join(', ');
	const doses = (Object.entries(school.doses) as [Aim, number][]).map(
		([aim, n]) => `${AIMS[aim].toLowerCase()} ${n} times`
	);
	const told: readonly Omit<Policy, 'why'>[] = [
		{
			name: 'Opens',
			text: opening.required
				? `${nodes}; before ${opening.before === 'face' ? 'the face' : 'everything'}`
				: 'nothing on purpose'
		},
		{
			name: 'Order',
			text: `${school.order === 'muscle-first' ? 'muscles first, in any order; then ' : ''}${regionsOf(school)
				.map((r) => REGIONS[r].toLowerCase())
				.join(', ')}`
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
	return told.map((policy) => ({ ...policy, why: REASONS[policy.name as keyof typeof REASONS](school) }));
}
