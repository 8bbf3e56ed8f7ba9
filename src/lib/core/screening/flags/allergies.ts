import type { Flag } from '../flag';

const ASKED = { asked: 'intake', sure: 'agreed' } as const;

/** What the skin does not bear. */
export const ALLERGY_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		...ASKED,
		id: 'nut-allergy',
		name: 'Nut allergy',
		question: 'Are you allergic to nuts?',
		effects: [{ does: 'media', without: ['nuts'] }],
		reason: 'Nut oils can set it off through the skin and at the lips.'
	},
	{
		...ASKED,
		id: 'seed-allergy',
		name: 'Seed allergy',
		question: 'Are you allergic to seeds: sesame, sunflower, mustard?',
		effects: [{ does: 'media', without: ['seeds'] }],
		reason: 'Pressed seed oils carry traces.'
	},
	{
		...ASKED,
		id: 'scent-allergy',
		name: 'Essential oils or scent',
		question: 'Do essential oils or scents give you a rash, asthma or a headache?',
		effects: [{ does: 'media', without: ['essential-oils'] }],
		reason: 'Unscented only.'
	},
	{
		...ASKED,
		id: 'wool-fat-allergy',
		name: 'Wool fat',
		question: 'Do you react to wool fat (lanolin)?',
		effects: [{ does: 'media', without: ['lanolin'] }],
		reason: 'It is in many balms.'
	},
	{
		...ASKED,
		id: 'bee-allergy',
		name: 'Beeswax or propolis',
		question: 'Do you react to beeswax or propolis?',
		effects: [{ does: 'media', without: ['beeswax'] }],
		reason: 'It is in many balms.'
	},
	{
		...ASKED,
		id: 'adhesive-allergy',
		name: 'Adhesives',
		question: 'Do plasters or tape give you a rash?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { tool: 'tape' } }],
		reason: 'No tape.'
	},
	{
		...ASKED,
		id: 'latex-allergy',
		name: 'Latex',
		question: 'Are you allergic to latex?',
		effects: [
			{
				does: 'mind',
				where: 'everywhere',
				which: { tool: 'latex' },
				severity: 'caution',
				say: 'No latex: gloves and tape must say latex-free on the package.'
			}
		],
		reason: 'Gloves and tape may hold latex: only what says latex-free.'
	},
	{
		...ASKED,
		id: 'metal-allergy',
		name: 'Metals',
		question: 'Do earrings or buttons of metal give you a rash?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { tool: 'metal' } }],
		reason: 'Spoons and globes may hold nickel.'
	}
];
