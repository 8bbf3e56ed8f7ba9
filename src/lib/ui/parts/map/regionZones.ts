import type { ZoneId } from '$lib/core/atlas/zones';

/** The zones that fill the frame of a closer look. */
export const REGION_ZONES: Record<'eye' | 'mouth' | 'neck', readonly ZoneId[]> = {
	eye: ['brow', 'upper-eyelid', 'inner-canthus', 'lower-eyelid', 'outer-canthus', 'malar', 'temple', 'glabella'],
	mouth: [
		'nose-wing',
		'nasolabial',
		'upper-lip',
		'lower-lip',
		'marionette',
		'chin',
		'jawline',
		'submental',
		'masseter'
	],
	neck: ['under-jaw', 'submental', 'throat', 'sternocleidomastoid', 'supraclavicular', 'postauricular']
};
