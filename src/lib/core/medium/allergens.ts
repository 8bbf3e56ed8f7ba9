export const ALLERGENS = ['nuts', 'seeds', 'essential-oils', 'lanolin', 'beeswax'] as const;

/** Allergens as they are said. */
export const ALLERGEN_WORDS: Record<(typeof ALLERGENS)[number], string> = {
	nuts: 'nuts',
	seeds: 'seeds',
	'essential-oils': 'essential oils',
	lanolin: 'wool fat',
	beeswax: 'beeswax'
};
