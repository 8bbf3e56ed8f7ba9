import type { Flag } from '../flag';

const INSIDE = { contact: 'inside' } as const;

/** Mouth, teeth and jaw. */
export const MOUTH_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'dental-work',
		name: 'Fresh dental work',
		asked: 'visit',
		question: 'Have you had a tooth out, an implant or a root treated in the last two weeks?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'leave-out', where: 'everywhere', which: INSIDE, days: 14 },
			{ does: 'level', where: { told: true, else: 'jaw' }, level: 1, days: 14 }
		],
		reason: 'Wounds in the mouth take two weeks to close.',
		sure: 'waiting',
		ask: 'From which day may cheek and jaw be worked?'
	},
	{
		id: 'mouth-sores',
		name: 'Sores in the mouth',
		asked: 'visit',
		question: 'Have you open sores, blisters or bleeding gums?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: INSIDE }],
		reason: 'Nothing goes inside the cheek.',
		sure: 'agreed'
	},
	{
		id: 'jaw-locks',
		name: 'Jaw that locks or clicks with pain',
		asked: 'intake',
		question: 'Does your jaw lock, or click with pain?',
		effects: [
			{ does: 'level', where: { area: 'jaw' }, level: 2, severity: 'stop' },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'resists' } }
		],
		reason: 'No deep work on the joint and its muscles: a dentist looks first.',
		sure: 'agreed',
		ask: 'What is it, and is massage of the chewing muscles part of the plan?'
	},
	{
		id: 'jaw-injury',
		name: 'Jaw hurt lately',
		asked: 'visit',
		question: 'Has your jaw been hurt in the last weeks?',
		wants: ['since'],
		effects: [
			{ does: 'clearance', where: { area: 'jaw' }, days: 28 },
			{ does: 'level', where: { area: 'jaw' }, level: 1, days: 28 }
		],
		reason: 'No deep work on a jaw that was hurt.',
		sure: 'usual',
		ask: 'Is anything broken or torn?'
	},
	{
		id: 'grinding',
		name: 'Grinds her teeth',
		asked: 'intake',
		question: 'Do you grind or clench your teeth?',
		effects: [
			{
				does: 'mind',
				where: { area: 'jaw' },
				which: { aims: ['release'] },
				say: 'Grinds: lips parted, and ask how the chewing muscle feels.'
			}
		],
		reason: 'Worth noting: the chewing muscle is the place to look.',
		sure: 'usual'
	},
	{
		id: 'dentures',
		name: 'Dentures or braces',
		asked: 'intake',
		question: 'Do you wear dentures or braces?',
		effects: [
			{ does: 'leave-out', where: 'everywhere', which: INSIDE, severity: 'caution' },
			{ does: 'level', where: { area: 'mouth' }, level: 2 }
		],
		reason: 'Lips and cheeks are not pressed against metal; dentures out before work inside.',
		sure: 'usual'
	},
	{
		id: 'gag',
		name: 'Gags easily',
		asked: { with: INSIDE },
		question: 'Do you gag, or can you not bear a thumb in the mouth?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: INSIDE }],
		reason: 'It is worked from outside instead.',
		sure: 'usual'
	}
];
