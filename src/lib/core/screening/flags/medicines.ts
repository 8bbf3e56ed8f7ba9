import type { Flag } from '../flag';

/** Medicines that change skin or blood. */
export const MEDICINE_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'blood-thinner',
		name: 'Blood thinner',
		asked: 'intake',
		question: 'Do you take a blood thinner?',
		wants: ['since'],
		effects: [
			{ does: 'clearance' },
			{ does: 'level', where: 'everywhere', level: 2, severity: 'stop' },
			{ does: 'leave-out', where: 'everywhere', which: { tool: 'edged' } },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } },
			{ does: 'leave-out', where: 'everywhere', which: { contact: 'pinch' } }
		],
		reason: 'Bruises come easily: nothing firm, no stone, no scraping, no pinching.',
		sure: 'agreed',
		ask: 'Is light massage of face and neck allowed while it is taken?'
	},
	{
		id: 'bruises-easily',
		name: 'Bruises easily, low platelets',
		asked: 'intake',
		question: 'Do you bruise at a touch, or are your platelets low?',
		effects: [
			{ does: 'clearance' },
			{ does: 'level', where: 'everywhere', level: 2, severity: 'stop' },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } },
			{ does: 'leave-out', where: 'everywhere', which: { contact: 'pinch' } }
		],
		reason: 'Nothing firm, no scraping, no pinching.',
		sure: 'agreed',
		ask: 'Why does she bruise, and is light massage allowed?'
	},
	{
		id: 'aspirin',
		name: 'Aspirin or pain killers often',
		asked: 'visit',
		question: 'Have you taken aspirin or a similar pain killer in the last days?',
		effects: [{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' }, severity: 'caution' }],
		reason: 'It thins the blood a little and dulls what would warn.',
		sure: 'usual'
	},
	{
		id: 'isotretinoin',
		name: 'Isotretinoin',
		asked: 'intake',
		question: 'Do you take isotretinoin, or did you in the last six months?',
		wants: ['since'],
		effects: [
			{ does: 'level', where: 'everywhere', level: 1, severity: 'stop' },
			{ does: 'leave-out', where: 'everywhere', which: { tool: 'any' } },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } }
		],
		reason: 'The skin is thin and closes badly: light hands only, no tools, no tape.',
		sure: 'agreed',
		ask: 'When did it end, and is the skin back to itself?'
	},
	{
		id: 'retinoids',
		name: 'Strong retinoids on the skin',
		asked: 'visit',
		question: 'Do you use a strong retinoid on the skin now?',
		wants: ['place'],
		effects: [
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'tape' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'edged' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'bruises' } }
		],
		reason: 'The horny layer is loose: tape and scraping lift it.',
		sure: 'agreed'
	},
	{
		id: 'steroids',
		name: 'Cortisone for long',
		asked: 'intake',
		question: 'Have you taken cortisone, or used it on the face, for months?',
		wants: ['place'],
		effects: [
			{ does: 'level', where: { told: true, else: 'face' }, level: 2 },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'tape' } },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { motion: 'bruises' } }
		],
		reason: 'The skin has grown thin and tears.',
		sure: 'usual'
	},
	{
		id: 'eye-drops',
		name: 'Eye drops just given',
		asked: 'visit',
		question: 'Have you put drops or ointment into an eye in the last hour?',
		wants: ['place'],
		effects: [{ does: 'mind', where: { area: 'eyes' }, say: 'Work at the eyes last; drops were given.' }],
		reason: 'The drops are rubbed out, and the ointment slips.',
		sure: 'usual'
	}
];
