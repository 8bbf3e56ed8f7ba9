import type { Region } from './regions';

/** A zone of skin. Zones are bilateral: the side is never part of the id. */
export interface ZoneInfo {
	/** Plain words, sentence case, as a practitioner says it. */
	readonly label: string;
	/** The same in few letters: on a phone it is read from afar. */
	readonly short: string;
	/** Anatomical term. */
	readonly anatomical: string;
	readonly region: Region;
}

const zone = (label: string, short: string, anatomical: string, region: Region): ZoneInfo => ({
	label,
	short,
	anatomical,
	region
});

/** The 34 zones, in anatomical order from the forehead down to the shoulder. */
export const ZONES = {
	'forehead-medial': zone('Middle of the forehead', 'Forehead', 'Regio frontalis, medial part', 'forehead'),
	'forehead-lateral': zone('Side of the forehead', 'Forehead side', 'Regio frontalis, lateral part', 'forehead'),
	hairline: zone('Hairline', 'Hairline', 'Linea pilosa frontalis', 'forehead'),
	glabella: zone('Between the brows', 'Mid brows', 'Glabella', 'forehead'),
	brow: zone('Brow', 'Brow', 'Supercilium', 'forehead'),
	temple: zone('Temple', 'Temple', 'Regio temporalis', 'forehead'),
	'upper-eyelid': zone('Upper eyelid', 'Upper lid', 'Palpebra superior', 'eye'),
	'inner-canthus': zone('Inner eye corner', 'Inner eye', 'Canthus medialis', 'eye'),
	'lower-eyelid': zone('Lower eyelid', 'Lower lid', 'Palpebra inferior', 'eye'),
	'outer-canthus': zone('Outer eye corner', 'Outer eye', 'Canthus lateralis', 'eye'),
	'nose-bridge': zone('Bridge of the nose', 'Nose', 'Dorsum nasi', 'middle'),
	'nose-wing': zone('Wing of the nose', 'Nose wing', 'Ala nasi', 'middle'),
	malar: zone('Apple of the cheek', 'Cheek', 'Regio malaris', 'middle'),
	zygoma: zone('Cheekbone', 'Cheekbone', 'Arcus zygomaticus', 'middle'),
	buccal: zone('Hollow of the cheek', 'Mid cheek', 'Regio buccalis', 'middle'),
	nasolabial: zone('Smile fold', 'Smile fold', 'Sulcus nasolabialis', 'middle'),
	'upper-lip': zone('Upper lip', 'Upper lip', 'Labium superius', 'mouth'),
	'lower-lip': zone('Lower lip', 'Lower lip', 'Labium inferius', 'mouth'),
	marionette: zone('Below the mouth corner', 'Below mouth', 'Sulcus labiomandibularis', 'mouth'),
	chin: zone('Chin', 'Chin', 'Regio mentalis', 'mouth'),
	jawline: zone('Jawline', 'Jawline', 'Margo inferior mandibulae', 'jaw'),
	masseter: zone('Chewing muscle', 'Jaw muscle', 'Regio masseterica', 'jaw'),
	submental: zone('Under the chin', 'Under chin', 'Trigonum submentale', 'jaw'),
	'under-jaw': zone('Under the jaw', 'Under jaw', 'Trigonum submandibulare', 'jaw'),
	preauricular: zone('Front of the ear', 'Ear front', 'Regio preauricularis', 'ear'),
	ear: zone('Ear', 'Ear', 'Auricula', 'ear'),
	postauricular: zone('Behind the ear', 'Behind ear', 'Regio mastoidea', 'ear'),
	throat: zone('Throat', 'Throat', 'Regio cervicalis anterior', 'neck'),
	sternocleidomastoid: zone('Side of the neck', 'Neck side', 'Regio sternocleidomastoidea', 'neck'),
	nape: zone('Nape', 'Nape', 'Regio cervicalis posterior', 'neck'),
	supraclavicular: zone('Above the collarbone', 'Neck base', 'Fossa supraclavicularis', 'neck'),
	decollete: zone('Chest below the collarbone', 'Chest', 'Regio infraclavicularis', 'trunk'),
	shoulder: zone('Shoulder', 'Shoulder', 'Regio deltoidea', 'trunk'),
	axilla: zone('Armpit', 'Armpit', 'Fossa axillaris', 'trunk')
} as const satisfies Record<string, ZoneInfo>;

export type ZoneId = keyof typeof ZONES;

/** Zone ids in anatomical order: the order of arrow keys, lists and tables. */
export const ZONE_IDS = Object.keys(ZONES) as ZoneId[];
