import type { Flag } from '../flag';

const EYES = { area: 'eyes' } as const;

/** Eyes: nothing presses on the ball. */
export const EYE_FLAGS: readonly Omit<Flag, 'chapter'>[] = [
	{
		id: 'eye-surgery',
		name: 'Eye operation',
		asked: 'intake',
		question: 'Have you had an operation or an injection of an eye in the last half year?',
		wants: ['place', 'since'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'eyes' }, days: 90 }],
		reason: 'Nothing presses or rubs near the eye until the surgeon agrees.',
		sure: 'waiting',
		ask: 'From which day may lids and corners be touched?'
	},
	{
		id: 'glaucoma',
		name: 'Glaucoma',
		asked: 'intake',
		question: 'Have you glaucoma, or raised pressure in an eye?',
		effects: [{ does: 'leave-out', where: EYES }, { does: 'upright' }],
		reason: 'No pressure on or beside the eye, no head hanging.',
		sure: 'agreed',
		ask: 'May the rim of the eye be touched?'
	},
	{
		id: 'retina',
		name: 'Detached retina',
		asked: 'intake',
		question: 'Have you had a detached or torn retina?',
		wants: ['since'],
		effects: [
			{ does: 'leave-out', where: EYES },
			{ does: 'leave-out', where: 'everywhere', which: { motion: 'taps' } }
		],
		reason: 'No pressure on the eye, no tapping of the face.',
		sure: 'agreed',
		ask: 'Is it settled, and may the face be tapped?'
	},
	{
		id: 'eye-infection',
		name: 'Stye or pink eye',
		asked: 'visit',
		question: 'Have you a stye, or an eye that is red, sticky or weeping?',
		wants: ['place'],
		effects: [{ does: 'leave-out', where: { told: true, else: 'eyes' } }],
		reason: 'It is carried to the other eye by the fingers.',
		sure: 'agreed'
	},
	{
		id: 'contact-lenses',
		name: 'Contact lenses',
		asked: 'visit',
		question: 'Are you wearing contact lenses?',
		effects: [{ does: 'mind', where: EYES, say: 'Contact lenses out first.' }],
		reason: 'Oil and pressure do not go with a lens.',
		sure: 'agreed'
	},
	{
		id: 'dry-eyes',
		name: 'Eyes that weep or burn',
		asked: 'intake',
		question: 'Do your eyes burn or weep easily?',
		effects: [{ does: 'media', without: ['essential-oils'] }],
		reason: 'Scents creep into the eyes.',
		sure: 'usual'
	}
];
