import type { Flag } from '../flag';

/** Neck and head: what lies under the skin there makes faint, swells or breaks. */
export const NECK_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'carotid',
		name: 'Carotid disease',
		asked: 'intake',
		question: 'Have you narrowed neck arteries, or have they been operated on?',
		wants: ['since'],
		effects: [{ does: 'clearance' }, { does: 'leave-out', where: { area: 'front-of-neck' } }],
		reason: 'Pressing a diseased carotid may loosen plaque: no neck strokes at all.',
		sure: 'agreed',
		ask: 'Is light massage of the face allowed, without the neck?'
	},
	{
		id: 'stroke',
		name: 'Stroke',
		asked: 'intake',
		question: 'Have you had a stroke, or a small one that passed?',
		wants: ['since'],
		effects: [{ does: 'clearance' }, { does: 'leave-out', where: { area: 'front-of-neck' } }],
		reason: 'After a stroke the front and the side of the neck are left alone.',
		sure: 'agreed',
		ask: 'Are the carotids clear, and is light massage of the face allowed?'
	},
	{
		id: 'neck-fainting',
		name: 'Fainting when the neck is touched',
		asked: 'intake',
		question: 'Have you fainted or felt faint from a touch, a collar or a turn of the neck?',
		effects: [
			{ does: 'clearance' },
			{ does: 'leave-out', where: { area: 'front-of-neck' } },
			{ does: 'posture', without: ['turned', 'chin-up'] }
		],
		reason: 'A sensitive carotid sinus slows the heart at a touch.',
		sure: 'agreed',
		ask: 'Was the carotid sinus looked into?'
	},
	{
		id: 'overactive-thyroid',
		name: 'Overactive thyroid',
		asked: 'intake',
		question: 'Is your thyroid overactive?',
		effects: [{ does: 'clearance' }, { does: 'leave-out', where: { area: 'throat' } }],
		reason: 'Nothing presses on the gland.',
		sure: 'agreed',
		ask: 'Is it under control, and is massage of face and side of the neck allowed?'
	},
	{
		id: 'goitre',
		name: 'Goitre or thyroid lump',
		asked: 'intake',
		question: 'Have you a goitre or a lump of the thyroid?',
		effects: [{ does: 'clearance' }, { does: 'leave-out', where: { area: 'throat' } }],
		reason: 'Nothing presses on the gland.',
		sure: 'agreed',
		ask: 'What is it, and is massage of the neck beside it allowed?'
	},
	{
		id: 'neck-spine',
		name: 'Neck joints unstable or worn',
		asked: 'intake',
		question: 'Have you a slipped disc, rheumatism or instability of the neck, or brittle bones?',
		effects: [
			{ does: 'posture', without: ['turned', 'tilted', 'chin-up', 'forward'] },
			{ does: 'level', where: { area: 'nape' }, level: 1 }
		],
		reason: 'The head stays neutral and the nape light.',
		sure: 'usual',
		ask: 'Which movements and which pressure are allowed at the neck?'
	},
	{
		id: 'head-pressure',
		name: 'Raised pressure in the head',
		asked: 'intake',
		question: 'Have you been told that the pressure in your head is raised?',
		effects: [{ does: 'clearance' }, { does: 'upright' }, { does: 'one-side', where: { area: 'front-of-neck' } }],
		reason: 'The veins of the neck are kept free and the head up.',
		sure: 'usual',
		ask: 'Is massage of face and neck allowed, half sitting?'
	},
	{
		id: 'migraine',
		name: 'Migraine',
		asked: 'intake',
		question: 'Do you have migraine?',
		effects: [
			{ does: 'media', without: ['essential-oils'] },
			{ does: 'level', where: { area: 'nape' }, level: 2 }
		],
		reason: 'Scent and firm work at the nape are known to set off attacks.',
		sure: 'usual'
	},
	{
		id: 'low-blood-pressure',
		name: 'Low blood pressure',
		asked: 'intake',
		question: 'Is your blood pressure low, do you get dizzy on standing up?',
		effects: [{ does: 'one-side', where: { area: 'front-of-neck' } }],
		reason: 'One side of the neck at a time, and a minute of sitting before she stands.',
		sure: 'usual'
	}
];
