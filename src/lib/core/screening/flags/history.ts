import type { Flag } from '../flag';

const CLEARED = { asked: 'intake', sure: 'agreed' } as const;

/** Illness and operations: only with a doctor’s clearance, and gently then. */
export const HISTORY_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		...CLEARED,
		id: 'cancer',
		name: 'Cancer',
		question: 'Have you cancer now, or have you had it in the face, head or neck?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'clearance' },
			{ does: 'level', where: 'everywhere', level: 1 },
			{ does: 'leave-out', where: { told: true, else: 'neck' }, which: { tool: 'any' } }
		],
		reason: 'Only with the treating doctor’s word, light, and without tools over the place.',
		ask: 'May face and neck be massaged lightly, which side and which places must be left out, and until when does this hold?'
	},
	{
		...CLEARED,
		id: 'nodes-removed',
		name: 'Lymph nodes removed',
		question: 'Have lymph nodes been taken out of your neck, armpit or chest?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'clearance' },
			{ does: 'leave-out', where: { told: true, else: 'neck' }, which: { throughNodes: true } },
			{ does: 'level', where: { told: true, else: 'neck' }, level: 1 }
		],
		reason: 'Where nodes are gone, fluid must not be sent; another way is a lymph therapist’s decision.',
		ask: 'Which nodes are gone, and to which side may fluid be led?'
	},
	{
		...CLEARED,
		id: 'irradiated',
		name: 'Irradiated skin or nodes',
		question: 'Has your face, neck or chest been irradiated?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'clearance' },
			{ does: 'leave-out', where: { told: true, else: 'neck' }, which: { motion: 'bruises' } },
			{ does: 'leave-out', where: { told: true, else: 'neck' }, which: { tool: 'any' } },
			{ does: 'level', where: { told: true, else: 'neck' }, level: 1 }
		],
		reason: 'Irradiated skin is thin and its vessels few, for years.',
		ask: 'May the irradiated skin be touched and stretched?'
	},
	{
		...CLEARED,
		id: 'heart-failure',
		name: 'Heart failure',
		question: 'Have you heart failure, or water in legs or lungs because of the heart?',
		effects: [{ does: 'clearance' }, { does: 'upright' }, { does: 'minutes', minutes: 20 }],
		reason: 'What is drained returns to the heart. Severe failure is not treated at all.',
		ask: 'Is the heart failure stable, and is 20 minutes of light drainage of face and neck allowed, half sitting?'
	},
	{
		...CLEARED,
		id: 'heart-disease',
		name: 'Heart disease',
		question: 'Have you heart disease, a rhythm disorder, or high blood pressure that is not settled?',
		effects: [{ does: 'clearance' }, { does: 'level', where: { area: 'front-of-neck' }, level: 1 }],
		reason: 'Pressure at the side of the neck acts on pulse and blood pressure.',
		ask: 'Is light massage of face and neck allowed?'
	},
	{
		...CLEARED,
		id: 'pacemaker',
		name: 'Pacemaker or port',
		question: 'Have you a pacemaker, a port or a line under the skin of chest or neck?',
		wants: ['place'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'chest' } }],
		reason: 'The device and its leads are not moved or pressed.',
		ask: 'How far round the device is massage allowed?'
	},
	{
		...CLEARED,
		id: 'kidney-failure',
		name: 'Kidney failure',
		question: 'Have you kidney failure, or are you on dialysis?',
		effects: [{ does: 'clearance' }, { does: 'minutes', minutes: 20 }],
		reason: 'Swelling of the kidneys comes from within: massage does not answer it and adds load.',
		ask: 'Is short, light drainage of the face allowed?'
	},
	{
		...CLEARED,
		id: 'liver-failure',
		name: 'Liver failure',
		question: 'Have you liver failure or cirrhosis?',
		effects: [
			{ does: 'clearance' },
			{ does: 'level', where: 'everywhere', level: 1 },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } }
		],
		reason: 'Swelling from within, and blood that clots badly.',
		ask: 'Is light massage allowed, and is clotting normal?'
	},
	{
		...CLEARED,
		id: 'past-clot',
		name: 'Clot in the last half year',
		question: 'Have you had a blood clot within the last six months?',
		wants: ['since'],
		effects: [{ does: 'clearance', days: 182 }],
		reason: 'Massage waits until the treating doctor allows it.',
		ask: 'Is light massage of face and neck allowed?'
	},
	{
		...CLEARED,
		id: 'face-neck-surgery',
		name: 'Operation on face or neck',
		question: 'Have you had an operation on face or neck in the last three months?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'clearance', days: 42 },
			{ does: 'leave-out', where: { told: true, else: 'face', around: true }, days: 42 },
			{ does: 'level', where: { told: true, else: 'face' }, level: 1, days: 90 }
		],
		reason: 'Scars, vessels and nerves take weeks to close; swelling after surgery belongs to the surgeon’s plan.',
		sure: 'waiting',
		ask: 'From when, how and how deep may the area be massaged?'
	},
	{
		...CLEARED,
		id: 'fracture',
		name: 'Fracture of face or jaw',
		question: 'Have you broken a bone of face, jaw or nose in the last three months?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'clearance', days: 42 },
			{ does: 'leave-out', where: { told: true, else: 'face', around: true }, days: 84 }
		],
		reason: 'A bone that grows together is not pressed or rocked.',
		sure: 'waiting',
		ask: 'Is the bone firm, and may the skin over it be worked?'
	},
	{
		...CLEARED,
		id: 'epilepsy',
		name: 'Epilepsy',
		question: 'Have you epilepsy, or have you had fits?',
		effects: [
			{ does: 'clearance' },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'taps' } },
			{ does: 'media', without: ['essential-oils'] }
		],
		reason: 'Rhythm and strong scents are left out by custom; one should know what to do in a fit.',
		sure: 'usual',
		ask: 'Are fits under control, and what sets them off?'
	},
	{
		...CLEARED,
		id: 'diabetes',
		name: 'Diabetes with numb skin',
		question: 'Have you diabetes with numb skin, or skin that closes slowly?',
		effects: [
			{ does: 'level', where: 'everywhere', level: 2 },
			{ does: 'leave-out', where: 'everywhere', which: { tool: 'cold' } }
		],
		reason: 'Numb skin does not warn of pressure or cold, and closes slowly.',
		sure: 'usual',
		ask: 'Is there numbness or a wound on face or neck?'
	},
	{
		...CLEARED,
		id: 'weak-immunity',
		name: 'Weak immune system',
		question: 'Is your immune system weak, from an illness or a medicine?',
		effects: [
			{ does: 'leave-out', where: 'everywhere', which: { contact: 'inside' } },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'bruises' } }
		],
		reason: 'Small breaks of skin or lining are a door.',
		sure: 'usual',
		ask: 'Is massage by hand in a practice allowed at present?'
	},
	{
		...CLEARED,
		id: 'facial-palsy',
		name: 'Facial palsy, earlier',
		question: 'Have you had a paralysis of one side of the face?',
		wants: ['place', 'since'],
		effects: [{ does: 'level', where: { told: true, else: 'face' }, level: 1 }],
		reason: 'A recovering side is kept light; stretching or tapping it hard is for a therapist.',
		sure: 'usual',
		ask: 'Is massage of the side part of the recovery plan?'
	},
	{
		...CLEARED,
		id: 'trigeminal',
		name: 'Trigeminal pain',
		question: 'Have you shooting, electric pain in the face (trigeminal neuralgia)?',
		wants: ['place'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'face' } }],
		reason: 'A light touch can set off an attack.',
		sure: 'usual',
		ask: 'Which places set it off?'
	},
	{
		...CLEARED,
		id: 'shunt',
		name: 'Shunt in the neck',
		question: 'Have you a shunt that runs under the skin of head and neck?',
		wants: ['place'],
		effects: [{ does: 'clearance' }, { does: 'leave-out', where: { told: true, else: 'neck', around: true } }],
		reason: 'The tube must not be pressed or moved.',
		ask: 'Where does it run, and what must be left out?'
	},
	{
		...CLEARED,
		id: 'implants',
		name: 'Implant in face or chin',
		question: 'Have you an implant in cheek, chin, jaw or nose?',
		wants: ['place', 'since'],
		effects: [
			{ does: 'level', where: { told: true, else: 'face' }, level: 1 },
			{ does: 'leave-out', where: { told: true, else: 'face' }, which: { tool: 'any' } }
		],
		reason: 'An implant can shift; no tool, no pressing on it.',
		sure: 'usual',
		ask: 'Is it grown in, and how deep may one work beside it?'
	}
];
