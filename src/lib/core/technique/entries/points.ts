import type { PointCode } from '../../point/codes';
import { dose, family, levels, ways, type Entry } from './entry';

const point = family({
	aim: 'point',
	motion: 'press-hold',
	shape: 'spot',
	pressure: levels(1, 2, 2),
	dose: dose('breaths', 1, 2, 3),
	paceSeconds: 10,
	sides: ['both', 'each'],
	glide: 'none',
	breath: 'out-while-pressing'
});
const hold = (
	code: PointCode,
	id: string,
	title: string,
	place: string,
	why: string,
	change: Partial<Entry> = {}
): Entry => point(id, title, 'pads-2', ways(place), `Tradition: ${why}`, { point: code, ...change });
const MID: Partial<Entry> = { sides: ['midline', 'both'] };

/** Pressure points by their standard codes; what they are said to do is tradition. All values are working values. */
export const POINTS_HELD: readonly Entry[] = [
	hold('LI20', 'point-li20', 'Beside the wing of the nose', 'nose-wing', 'for a free nose and a softer fold.'),
	hold('ST2', 'point-st2', 'Below the pupil, on the bone', 'malar', 'for tired eyes; in the small dip under the rim.', {
		pressure: levels(1, 1, 2)
	}),
	hold('ST3', 'point-st3', 'Under the cheekbone, below the pupil', 'malar', 'for cheeks that feel full.'),
	hold('BL2', 'point-bl2', 'Inner end of the brow', 'brow', 'for pressure behind the brows and heavy lids.'),
	hold('BL1', 'point-bl1', 'Beside the inner eye corner', 'inner-canthus', 'for eyes after a long day at the screen.', {
		contact: 'ring-finger',
		pressure: levels(0, 1, 1),
		contra: ['Against the bone of the nose, never on the eyeball.']
	}),
	hold('EX-HN3', 'point-ex-hn3', 'Between the brows', 'glabella', 'quiets; held before sleep.', MID),
	hold('EX-HN4', 'point-ex-hn4', 'Middle of the brow', 'brow', 'for a forehead that is always up.'),
	hold('EX-HN5', 'point-ex-hn5', 'Hollow of the temple', 'temple', 'for a tight head; less is more here.', {
		pressure: levels(1, 1, 2)
	}),
	hold('GB14', 'point-gb14', 'Above the middle of the brow', 'forehead-lateral', 'for lines across the forehead.'),
	hold('TE23', 'point-te23', 'Outer end of the brow', 'brow', 'for the fine lines beside the eye.', {
		pressure: levels(1, 1, 2)
	}),
	hold('SI18', 'point-si18', 'Below the outer eye corner, under the bone', 'zygoma', 'for cheeks and upper teeth.'),
	hold('ST4', 'point-st4', 'Beside the mouth corner', 'marionette', 'for corners that hang.', {
		pressure: levels(1, 1, 2)
	}),
	hold('ST6', 'point-st6', 'Highest point of the chewing muscle', 'masseter', 'for a jaw that grinds.', {
		mouth: 'parted',
		pressure: levels(1, 2, 3)
	}),
	hold(
		'ST7',
		'point-st7',
		'In the dip before the ear',
		'preauricular',
		'for a jaw that clicks; open the mouth and it moves away.',
		{ mouth: 'parted' }
	),
	hold(
		'CV24',
		'point-cv24',
		'In the groove below the lower lip',
		'lower-lip',
		'for the chin and the floor of the mouth.',
		MID
	),
	hold('GV26', 'point-gv26', 'Under the nose', 'upper-lip', 'wakes; in the upper third of the groove.', {
		...MID,
		pressure: levels(1, 1, 2)
	}),
	hold('TE17', 'point-te17', 'Behind the ear lobe', 'postauricular', 'for ears, jaw and the way down the neck.'),
	hold(
		'GB20',
		'point-gb20',
		'Under the skull, beside the big neck muscles',
		'nape',
		'for head and eyes; the head leans into it.',
		{ contact: 'thumbs', posture: 'leaning' }
	),
	hold('GB21', 'point-gb21', 'Top of the shoulder', 'shoulder', 'for shoulders that creep up.', {
		contact: 'thumbs',
		contra: ['By tradition left out in pregnancy.']
	})
];
