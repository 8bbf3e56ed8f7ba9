import type { Flag } from '../flag';

/** Asked only where a plan has such a move. */
export const MOVE_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'no-inside-consent',
		name: 'Does not want work inside the mouth',
		asked: { with: { contact: 'inside' } },
		question: 'Would you rather not have a gloved thumb inside the cheek?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { contact: 'inside' } }],
		reason: 'Her word is enough, each time.',
		sure: 'agreed'
	},
	{
		id: 'tape-never-worn',
		name: 'Tape for the first time',
		asked: { with: { tool: 'tape' } },
		question: 'Is this the first time that you wear tape on the face?',
		effects: [
			{
				does: 'mind',
				where: 'everywhere',
				which: { tool: 'tape' },
				say: 'First tape: a small piece, three hours at most, off with oil.'
			}
		],
		reason: 'The first time shows how the skin takes it.',
		sure: 'usual'
	},
	{
		id: 'stone-marks',
		name: 'Marked by a stone before',
		asked: { with: { tool: 'edged' } },
		question: 'Has a stone or a scraper left red marks for more than a day?',
		effects: [
			{ does: 'level', where: 'everywhere', level: 2 },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } }
		],
		reason: 'The skin is marked easily.',
		sure: 'usual'
	},
	{
		id: 'cold-hurts',
		name: 'Cold hurts',
		asked: { with: { tool: 'cold' } },
		question: 'Do cold things hurt your teeth, sinuses or skin?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { tool: 'cold' }, severity: 'caution' }],
		reason: 'Cold should be pleasant.',
		sure: 'usual'
	},
	{
		id: 'points-refused',
		name: 'Does not want points held',
		asked: { with: { point: 'any' } },
		question: 'Do you dislike it when points are pressed and held?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { point: 'any' }, severity: 'caution' }],
		reason: 'What a point is held for is tradition; her comfort goes first.',
		sure: 'tradition'
	}
];
