import type { Flag } from '../flag';

/** What holds for the whole person. */
export const BODY_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'pregnancy',
		name: 'Pregnancy',
		asked: 'visit',
		question: 'Are you pregnant, or might you be?',
		wants: ['since'],
		effects: [
			{ does: 'level', where: 'everywhere', level: 2 },
			{ does: 'leave-out', where: 'everywhere', which: { point: 'not-in-pregnancy' } },
			{ does: 'upright' },
			{ does: 'media', without: ['essential-oils'] }
		],
		reason: 'Gentler, half sitting or on her side, without strong scents; some points are left out by tradition.',
		sure: 'usual',
		ask: 'Is the pregnancy without complications, and is swelling looked after?'
	},
	{
		id: 'flat-lying',
		name: 'Cannot lie flat',
		asked: 'intake',
		question: 'Can you not lie flat, for reflux, breath, back or hips?',
		effects: [{ does: 'upright' }],
		reason: 'Worked half sitting.',
		sure: 'usual'
	},
	{
		id: 'cold-hives',
		name: 'Cold hives or cold fingers that go white',
		asked: 'intake',
		question: 'Does cold give you hives, or do fingers, ears or nose go white with it?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { tool: 'cold' } }],
		reason: 'No cold tools.',
		sure: 'usual'
	},
	{
		id: 'touch-hard',
		name: 'Touch is hard to bear',
		asked: 'intake',
		question: 'Are there places where you would rather not be touched?',
		wants: ['place'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'front-of-neck' } }],
		reason: 'Her word is enough.',
		sure: 'agreed'
	},
	{
		id: 'claustrophobia',
		name: 'Covered eyes frighten',
		asked: 'intake',
		question: 'Does it frighten you when eyes, mouth or throat are covered?',
		effects: [{ does: 'mind', where: { area: 'eyes' }, say: 'Never cover both eyes; say before each touch.' }],
		reason: 'Said before each touch, one hand at a time.',
		sure: 'usual'
	},
	{
		id: 'vaccinated',
		name: 'Vaccinated lately',
		asked: 'visit',
		question: 'Were you vaccinated in the last two weeks?',
		wants: ['place', 'since'],
		effects: [{ does: 'leave-out', where: { area: 'armpit' }, which: { throughNodes: true }, days: 14 }],
		reason: 'Nodes of that armpit may be swollen and tender.',
		sure: 'waiting'
	}
];
