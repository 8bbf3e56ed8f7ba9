import type { Flag } from '../flag';

const IN_AND_AROUND = { told: true, else: 'face', around: true } as const;
const ON = { told: true, else: 'face' } as const;
const TREATED = { asked: 'visit', wants: ['place', 'since'], sure: 'waiting' } as const;

/** What was done to the skin of late: left alone for so many days, in the places treated and around. */
export const TREATMENT_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		...TREATED,
		id: 'relaxant',
		name: 'Muscle relaxant injection',
		question: 'Have you had muscle relaxant injections in the last weeks?',
		effects: [{ does: 'leave-out', where: IN_AND_AROUND, days: 14 }],
		reason: 'Pressed, it may spread to muscles that it was not meant for.',
		ask: 'From which day may the area be massaged?'
	},
	{
		...TREATED,
		id: 'filler',
		name: 'Filler',
		question: 'Have you had filler in the last weeks?',
		effects: [{ does: 'leave-out', where: IN_AND_AROUND, days: 28 }],
		reason: 'Until it has settled, pressing moves it.',
		ask: 'From which day, and how deep, may the area be massaged?'
	},
	{
		...TREATED,
		id: 'threads',
		name: 'Threads',
		question: 'Have you had threads in the last two months?',
		effects: [
			{ does: 'leave-out', where: IN_AND_AROUND, days: 42 },
			{ does: 'level', where: IN_AND_AROUND, level: 1, days: 90 }
		],
		reason: 'Threads hold by small barbs: pulled, they tear loose.',
		ask: 'From which day may the area be stretched?'
	},
	{
		...TREATED,
		id: 'fat-dissolving',
		name: 'Fat-dissolving injection',
		question: 'Have you had injections that dissolve fat, in the last weeks?',
		effects: [{ does: 'leave-out', where: IN_AND_AROUND, days: 28 }],
		reason: 'The tissue is inflamed on purpose.',
		ask: 'From which day may the area be massaged?'
	},
	{
		...TREATED,
		id: 'peel',
		name: 'Chemical peel',
		question: 'Have you had a peel in the last two weeks?',
		effects: [{ does: 'leave-out', where: ON, days: 14 }],
		reason: 'New skin is rubbed off by a stroke.',
		ask: 'From which day may oil and touch come to the skin?'
	},
	{
		...TREATED,
		id: 'laser',
		name: 'Laser or strong light',
		question: 'Have you had laser or strong light on the skin in the last two weeks?',
		effects: [{ does: 'leave-out', where: ON, days: 14 }],
		reason: 'Heat still sits in the skin.',
		ask: 'From which day may the skin be rubbed?'
	},
	{
		...TREATED,
		id: 'needling',
		name: 'Needling',
		question: 'Have you had needling in the last week?',
		effects: [{ does: 'leave-out', where: ON, days: 7 }],
		reason: 'The channels are open to oil and germs.'
	},
	{
		...TREATED,
		id: 'waxing',
		name: 'Waxing or threading of hair',
		question: 'Have you been waxed or threaded in the last two days?',
		effects: [{ does: 'leave-out', where: ON, days: 2 }],
		reason: 'The pores are open and the horny layer is thin.'
	},
	{
		...TREATED,
		id: 'permanent-makeup',
		name: 'Tattoo or permanent make-up',
		question: 'Have you had a tattoo or permanent make-up in the last month?',
		effects: [{ does: 'leave-out', where: ON, days: 28 }],
		reason: 'Oil and rubbing take colour out and germs in.',
		ask: 'Has it closed?'
	},
	{
		...TREATED,
		id: 'piercing',
		name: 'Fresh piercing',
		question: 'Have you a piercing that has not closed?',
		effects: [{ does: 'leave-out', where: ON, days: 56 }],
		reason: 'Left alone until it has closed.'
	},
	{
		...TREATED,
		id: 'ultrasound-lifting',
		name: 'Ultrasound or radio-frequency',
		question: 'Have you had ultrasound or radio-frequency on face or neck in the last two weeks?',
		effects: [{ does: 'level', where: ON, level: 1, days: 14 }],
		reason: 'The tissue is sore and swollen below the skin.'
	},
	{
		...TREATED,
		id: 'lash-extensions',
		name: 'Lash extensions',
		wants: [],
		question: 'Have you lash extensions?',
		effects: [
			{
				does: 'mind',
				where: { area: 'eyes' },
				say: 'Lash extensions: no oil on the lids, no strokes through the lashes.'
			}
		],
		reason: 'Oil loosens the glue.',
		sure: 'usual'
	}
];
