import type { ALLERGENS } from './medium.schema';

/** Allergens as they are said. */
export const ALLERGEN_WORDS: Record<(typeof ALLERGENS)[number], string> = {
	nuts: 'nuts',
	seeds: 'seeds',
	'essential-oils': 'essential oils',
	lanolin: 'wool fat',
	beeswax: 'beeswax'
};
