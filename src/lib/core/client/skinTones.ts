/** Skin of the figure on the maps. */
export const SKIN_TONES = ['sand', 'almond', 'honey', 'amber', 'chestnut', 'umber'] as const;
export type SkinTone = (typeof SKIN_TONES)[number];
