/** A sign at which one stops, and what to do first. Usual first-aid teaching, in plain words; local emergency numbers go first. */
export interface RedFlag {
	readonly id: string;
	readonly sign: string;
	readonly what: string;
	readonly first: string;
	/** How quickly a doctor is needed. */
	readonly how: 'call' | 'today' | 'soon';
}
export const HOW_QUICKLY = {
	call: 'Call the emergency number now',
	today: 'A doctor today',
	soon: 'A doctor within days'
} as const;

export const RED_FLAGS: readonly RedFlag[] = [
	{
		id: 'droop',
		sign: 'One side of the face droops, speech slurs, an arm is weak',
		what: 'It may be a stroke. Note the time at which it began.',
		first: 'Hands off. Lay her half sitting, nothing to eat or drink, stay with her.',
		how: 'call'
	},
	{
		id: 'airway',
		sign: 'Lips, tongue or throat swell, hives, trouble breathing or swallowing',
		what: 'It may be a severe allergy.',
		first: 'Take the oil off. Sit her up. If she carries an adrenaline pen, help her to use it.',
		how: 'call'
	},
	{
		id: 'breathless',
		sign: 'Breathless at rest, pain in the chest, blue lips',
		what: 'Heart or lungs.',
		first: 'Stop. Sit her up, loosen what is tight at neck and chest, open a window.',
		how: 'call'
	},
	{
		id: 'faint',
		sign: 'Faint, grey, cold sweat, slow pulse during work on the neck',
		what: 'The neck was pressed where the pulse is regulated, or she is unwell.',
		first: 'Hands off the neck. Lay her flat, legs up. If she does not come round within a minute, call.',
		how: 'call'
	},
	{
		id: 'vision',
		sign: 'Sight changes suddenly: double, a curtain, flashes; a painful red eye',
		what: 'The eye itself may be in danger.',
		first: 'Stop. No pressing, no rinsing unless something got in. Keep her still.',
		how: 'today'
	},
	{
		id: 'headache',
		sign: 'A sudden headache unlike any before, or with a stiff neck and fever',
		what: 'It must be looked into at once.',
		first: 'Stop. Keep her still and the room dark.',
		how: 'call'
	},
	{
		id: 'one-sided',
		sign: 'Swelling on one side only, sudden, hot, red or painful',
		what: 'An infection, a blocked gland or a clot. It is no puffiness.',
		first: 'Stop. No massage, no heat. Look for fever.',
		how: 'today'
	},
	{
		id: 'hot-fever',
		sign: 'Swelling with fever or shivers, or redness that spreads',
		what: 'An infection that spreads; round an eye it is urgent.',
		first: 'Stop. Mark the edge of the redness with a pen and note the hour.',
		how: 'today'
	},
	{
		id: 'tooth',
		sign: 'A swollen cheek with a throbbing tooth, the mouth hardly opens',
		what: 'An abscess.',
		first: 'Stop. Nothing warm on it. A dentist today; with trouble swallowing, call.',
		how: 'today'
	},
	{
		id: 'neck-arm',
		sign: 'Swelling of neck, face or arm that is worse in the morning or lying, with full veins',
		what: 'A vein may be blocked.',
		first: 'Stop. Sit her up.',
		how: 'today'
	},
	{
		id: 'lump',
		sign: 'A lump or node that is hard, fixed or growing, or there for over three weeks',
		what: 'It wants a doctor’s eye before anything moves over it.',
		first: 'Do not work on it or towards it. Note place and size.',
		how: 'soon'
	},
	{
		id: 'whole-body',
		sign: 'Legs, belly or the whole body swell as well',
		what: 'Heart, kidneys or liver, not the face.',
		first: 'No drainage today.',
		how: 'soon'
	},
	{
		id: 'numb',
		sign: 'New numbness or pins and needles of face, arm or leg',
		what: 'A nerve is pressed, or worse.',
		first: 'Stop, head neutral. If it does not pass in minutes, or weakness comes with it, call.',
		how: 'today'
	}
];
