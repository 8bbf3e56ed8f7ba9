import type { Flag } from '../flag';

const REFER = [{ does: 'refer' }] as const;
const TODAY = { asked: 'visit', effects: REFER, sure: 'agreed' } as const;

/** What ends the session before it begins: not treated today, referred. */
export const TODAY_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		...TODAY,
		id: 'fever',
		name: 'Fever',
		question: 'Have you a fever, or shivers, today?',
		reason: 'With fever the body is busy; work through the nodes may spread what it fights.',
		ask: 'When is she well enough for a massage again?'
	},
	{
		...TODAY,
		id: 'acute-infection',
		name: 'Acute infection',
		question: 'Have you an infection now: throat, ear, tooth, sinus with fever, swollen tender glands?',
		help: 'A cold that is nearly over and without fever is not meant.',
		reason: 'An acute infection is not worked over, nor through the nodes that drain it.',
		ask: 'What is it, and from when may face and neck be massaged?'
	},
	{
		...TODAY,
		id: 'lump',
		name: 'Unexplained lump',
		question: 'Is there a lump in the face or neck that is hard, fixed or growing?',
		help: 'A soft gland that comes with a cold is not meant. She may answer with a finger on the map.',
		wants: ['place', 'since'],
		reason: 'A hard, fixed or growing lump or node wants a doctor’s eye before anything moves over it.',
		ask: 'What is the lump, and may the area be massaged?'
	},
	{
		...TODAY,
		id: 'one-sided-swelling',
		name: 'Sudden one-sided swelling',
		question: 'Has one side of the face or neck swollen suddenly, red, hot or painful?',
		wants: ['place', 'since'],
		reason: 'Sudden, one-sided, red and hot is no puffiness: an infection, a blocked gland or a clot look so.',
		ask: 'What is the cause of the swelling?'
	},
	{
		...TODAY,
		id: 'blood-clot',
		name: 'Blood clot',
		question: 'Have you a blood clot now, or a limb that is newly swollen, hot and tender?',
		reason: 'Massage might loosen a clot.',
		ask: 'Is the clot treated, and from when is light massage allowed?'
	},
	{
		...TODAY,
		id: 'facial-droop',
		name: 'Face drooping, new weakness',
		question: 'Has a side of your face begun to droop, or is speech, an arm or a leg newly weak or numb?',
		reason: 'New weakness of the face, arm or speech may be a stroke: every minute counts.',
		ask: 'What was the cause, and may the face be massaged?'
	},
	{
		...TODAY,
		id: 'sudden-vision',
		name: 'Sudden change of vision',
		question: 'Has your sight changed suddenly: double, a curtain, flashes, a painful red eye?',
		reason: 'A sudden change of vision belongs to an eye doctor the same day.',
		ask: 'What was found, and may the area of the eyes be touched?'
	},
	{
		...TODAY,
		id: 'worst-headache',
		name: 'Sudden severe headache',
		question: 'Have you a sudden, severe headache unlike any before, or with a stiff neck?',
		reason: 'A sudden headache unlike any before is looked at by a doctor first.',
		ask: 'What was the cause of the headache?'
	},
	{
		...TODAY,
		id: 'breathless',
		name: 'Breathless or chest pain',
		question: 'Are you short of breath at rest, or have you pain in the chest?',
		reason: 'Breathlessness or chest pain at rest is for a doctor, at once if it is new.',
		ask: 'What is the cause?'
	},
	{
		...TODAY,
		id: 'allergic-swelling',
		name: 'Swelling of lips, tongue or throat',
		question: 'Are lips, tongue or throat swollen, with hives or trouble swallowing?',
		reason: 'Swelling of lips, tongue or throat can close the airway.',
		ask: 'What set it off?'
	},
	{
		...TODAY,
		id: 'tooth-abscess',
		name: 'Swollen, throbbing tooth',
		question: 'Have you a throbbing tooth with a swollen cheek or gum?',
		wants: ['place'],
		reason: 'An abscess is not worked over: a dentist opens it first.',
		ask: 'Is it treated, and from when may the cheek be massaged?'
	},
	{
		id: 'head-injury',
		name: 'Blow to the head or face',
		asked: 'visit',
		question: 'Have you had a blow to the head or face, a fall or a whiplash in the last two weeks?',
		wants: ['since', 'place'],
		effects: [
			{ does: 'clearance', days: 14 },
			{ does: 'leave-out', where: { area: 'neck' }, days: 14 }
		],
		reason: 'After a blow a fracture, a bleed or an injured neck may show late.',
		sure: 'usual',
		ask: 'Were fracture, concussion and neck injury ruled out?'
	},
	{
		id: 'numb-today',
		name: 'Numb from the dentist or from pain killers',
		asked: 'visit',
		question: 'Is any part numb today, or have you taken strong pain killers?',
		wants: ['place'],
		effects: [{ does: 'level', where: { told: true, else: 'face' }, level: 1 }],
		reason: 'Who does not feel pain cannot say stop.',
		sure: 'usual'
	},
	{
		id: 'dizzy-lying',
		name: 'Dizzy lying down',
		asked: 'visit',
		question: 'Do you feel dizzy or sick lying down or turning the head?',
		effects: [{ does: 'upright' }, { does: 'posture', without: ['turned', 'tilted', 'chin-up'] }],
		reason: 'Head neutral and half sitting; getting up slowly.',
		sure: 'usual',
		ask: 'Has the dizziness been looked into?'
	}
];
