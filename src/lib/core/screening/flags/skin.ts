import type { Effect, Flag } from '../flag';

const OUT: readonly Effect[] = [{ does: 'leave-out', where: { told: true, else: 'face' } }];
const ROUND: readonly Effect[] = [{ does: 'leave-out', where: { told: true, else: 'face', around: true } }];
const SKIN = { asked: 'visit', wants: ['place'], sure: 'agreed' } as const;

/** What is on the skin today: left out, worked around, never across. */
export const SKIN_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		...SKIN,
		id: 'cold-sore',
		name: 'Cold sore',
		question: 'Have you a cold sore, or does one tingle?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'mouth', around: true } },
			{ does: 'leave-out', where: 'everywhere', which: { contact: 'inside' } }
		],
		reason: 'It spreads by touch, to other places and to the eyes; nothing goes inside the mouth.'
	},
	{
		...SKIN,
		id: 'open-skin',
		name: 'Open skin',
		question: 'Is the skin open anywhere: a cut, a scratch, a picked spot?',
		effects: OUT,
		reason: 'Broken skin is left out.'
	},
	{
		...SKIN,
		id: 'active-acne',
		name: 'Active acne or a boil',
		question: 'Have you inflamed spots, acne or a boil?',
		effects: OUT,
		reason: 'Worked around, never across: strokes spread what is in them.'
	},
	{
		...SKIN,
		id: 'skin-infection',
		name: 'Infected skin',
		question: 'Have you a skin infection: crusts, ringworm, weeping skin?',
		effects: [{ does: 'clearance' }, ...ROUND],
		reason: 'It passes on to the rest of the face, and to the hands.',
		ask: 'What is it, and is it still catching?'
	},
	{
		...SKIN,
		id: 'shingles',
		name: 'Shingles',
		question: 'Have you shingles, or pain and blisters on one side?',
		effects: [{ does: 'clearance' }, ...ROUND],
		reason: 'Catching for some, and painful; at eye or ear a doctor’s case the same day.',
		ask: 'Is it over, and is the eye free?'
	},
	{
		...SKIN,
		id: 'sunburn',
		name: 'Sunburn',
		question: 'Is the skin sunburnt?',
		effects: [...OUT, { does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'warm' } }],
		reason: 'No friction and no warmth on burnt skin.'
	},
	{
		...SKIN,
		id: 'eczema-flare',
		name: 'Eczema flaring',
		question: 'Is eczema flaring up?',
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'face' } },
			{ does: 'leave-out', where: 'everywhere', which: { tool: 'tape' } },
			{ does: 'media', without: ['essential-oils', 'lanolin'] }
		],
		reason: 'No heat, friction or cold tools on it; no scents and no wool fat.'
	},
	{
		...SKIN,
		id: 'rosacea-flare',
		name: 'Rosacea flaring',
		question: 'Is rosacea flaring up, hot and red?',
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'rubs' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'cold' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'warm' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'edged' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'taps' } },
			{ does: 'level', where: { told: true, else: 'face' }, level: 1 },
			{ does: 'media', without: ['essential-oils'] }
		],
		reason: 'No heat, friction or cold tools on flaring skin.'
	},
	{
		...SKIN,
		id: 'psoriasis',
		name: 'Psoriasis',
		question: 'Have you patches of psoriasis?',
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'rubs' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'edged' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'tape' } }
		],
		reason: 'Friction brings new patches.',
		sure: 'usual'
	},
	{
		...SKIN,
		id: 'warts',
		name: 'Warts',
		question: 'Have you warts on face or neck?',
		effects: OUT,
		reason: 'They spread by touch.'
	},
	{
		...SKIN,
		id: 'changing-mole',
		name: 'Changing mole',
		question: 'Has a mole grown, changed colour or bled?',
		effects: OUT,
		reason: 'Left out, and shown to a doctor.',
		ask: 'Has the mole been looked at?'
	},
	{
		...SKIN,
		id: 'unknown-rash',
		name: 'Rash of unknown cause',
		question: 'Have you a rash that nobody has explained?',
		effects: ROUND,
		reason: 'What is not known is not rubbed.',
		ask: 'What is the rash?'
	},
	{
		...SKIN,
		id: 'bruise',
		name: 'Bruise',
		question: 'Is there a bruise?',
		wants: ['place', 'since'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'face' } }],
		reason: 'Left alone until it has faded.'
	},
	{
		...SKIN,
		id: 'keloid',
		name: 'Raised scar',
		asked: 'intake',
		question: 'Have you raised, growing scars?',
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'bruises' } },
			{ does: 'level', where: { told: true, else: 'face' }, level: 1 }
		],
		reason: 'Pulled and pressed, they may grow.',
		sure: 'usual'
	},
	{
		...SKIN,
		id: 'broken-veins',
		name: 'Fine broken veins',
		asked: 'intake',
		question: 'Have you many fine red veins in the cheeks or on the nose?',
		effects: [
			{ does: 'level', where: { told: true, else: 'nose' }, level: 2 },
			{ does: 'leave-out', where: { told: true, else: 'nose' }, which: { motion: 'bruises' } }
		],
		reason: 'Scraping, pinching and deep pressure bring more of them.',
		sure: 'usual'
	}
];
