import type { Working } from '../working/working.schema';
import type { Medium } from './medium.schema';

/** The media as they ship, all working values. */
export const MEDIA: readonly Medium[] = [
	{
		id: 'light-oil',
		title: 'Light oil',
		halfLifeSeconds: 720,
		allergens: [],
		note: 'Liquid wax such as jojoba; no nut in it.'
	},
	{ id: 'almond-oil', title: 'Almond oil', halfLifeSeconds: 720, allergens: ['nuts'], note: 'Not with a nut allergy.' },
	{ id: 'sunflower-oil', title: 'Sunflower oil', halfLifeSeconds: 720, allergens: ['seeds'], note: 'Cheap and bland.' },
	{
		id: 'scented-oil',
		title: 'Scented oil',
		halfLifeSeconds: 720,
		allergens: ['essential-oils', 'seeds'],
		note: 'Ask first; not near the eyes.'
	},
	{
		id: 'balm',
		title: 'Balm',
		halfLifeSeconds: 900,
		allergens: ['beeswax', 'lanolin'],
		note: 'Slow, for small areas.'
	},
	{
		id: 'cleansing-oil',
		title: 'Cleansing oil',
		halfLifeSeconds: 600,
		allergens: ['seeds'],
		note: 'The evening wash and the massage in one.'
	},
	{ id: 'cream', title: 'Cream', halfLifeSeconds: 360, allergens: [], note: 'Soon gone: for the last strokes.' },
	{ id: 'serum', title: 'Serum', halfLifeSeconds: 240, allergens: [], note: 'Gone within minutes.' }
];

/** A medium by id, the user's own first; one that is not known is taken as a light oil. */
export const mediumById = (id: string, own: readonly Medium[] = []): Medium =>
	own.find((m) => m.id === id) ?? MEDIA.find((m) => m.id === id) ?? MEDIA[0]!;

/** How much to take, in words: drops below a millilitre's tenth of pumps, else pumps. */
export function amountText(ml: number, { dropMl, pumpMl }: Pick<Working, 'dropMl' | 'pumpMl'>): string {
	if (ml <= 1) {
		const drops = Math.max(1, Math.round(ml / dropMl));
		return `${drops} ${drops === 1 ? 'drop' : 'drops'}`;
	}
	const pumps = Math.max(1, Math.round(ml / pumpMl));
	return `${Number(ml.toFixed(1))} ml (${pumps} ${pumps === 1 ? 'pump' : 'pumps'})`;
}
