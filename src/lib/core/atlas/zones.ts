import type { Region } from './regions';

/** A zone of skin. Zones are bilateral: the side is never part of the id. */
export interface ZoneInfo {
	/** Plain words, sentence case, as a practitioner says it. */
	readonly label: string;
	/** Anatomical term. */
	readonly anatomical: string;
	readonly region: Region;
}

const zone = (label: string, anatomical: string, region: Region): ZoneInfo => ({ label, anatomical, region });

/** The 34 zones, in anatomical order from the forehead down to the shoulder. */
export const ZONES = {
	'forehead-medial': zone('Middle of the forehead', 'Regio frontalis, medial part', 'forehead'),
	'forehead-lateral': zone('Side of the forehead', 'Regio frontalis, lateral part', 'forehead'),
	hairline: zone('Hairline', 'Linea pilosa frontalis', 'forehead'),
	glabella: zone('Between the brows', 'Glabella', 'forehead'),
	brow: zone('Brow', 'Supercilium', 'forehead'),
	temple: zone('Temple', 'Regio temporalis', 'forehead'),
	'upper-eyelid': zone('Upper eyelid', 'Palpebra superior', 'eye'),
	'inner-canthus': zone('Inner eye corner', 'Canthus medialis', 'eye'),
	'lower-eyelid': zone('Lower eyelid', 'Palpebra inferior', 'eye'),
	'outer-canthus': zone('Outer eye corner', 'Canthus lateralis', 'eye'),
	'nose-bridge': zone('Bridge of the nose', 'Dorsum nasi', 'middle'),
	'nose-wing': zone('Wing of the nose', 'Ala nasi', 'middle'),
	malar: zone('Apple of the cheek', 'Regio malaris', 'middle'),
	zygoma: zone('Cheekbone', 'Arcus zygomaticus', 'middle'),
	buccal: zone('Hollow of the cheek', 'Regio buccalis', 'middle'),
	nasolabial: zone('Smile fold', 'Sulcus nasolabialis', 'middle'),
	'upper-lip': zone('Upper lip', 'Labium superius', 'mouth'),
	'lower-lip': zone('Lower lip', 'Labium inferius', 'mouth'),
	marionette: zone('Below the mouth corner', 'Sulcus labiomandibularis', 'mouth'),
	chin: zone('Chin', 'Regio mentalis', 'mouth'),
	jawline: zone('Jawline', 'Margo inferior mandibulae', 'jaw'),
	masseter: zone('Chewing muscle', 'Regio masseterica', 'jaw'),
	submental: zone('Under the chin', 'Trigonum submentale', 'jaw'),
	'under-jaw': zone('Under the jaw', 'Trigonum submandibulare', 'jaw'),
	preauricular: zone('Front of the ear', 'Regio preauricularis', 'ear'),
	ear: zone('Ear', 'Auricula', 'ear'),
	postauricular: zone('Behind the ear', 'Regio mastoidea', 'ear'),
	throat: zone('Throat', 'Regio cervicalis anterior', 'neck'),
	sternocleidomastoid: zone('Side of the neck', 'Regio sternocleidomastoidea', 'neck'),
	nape: zone('Nape', 'Regio cervicalis posterior', 'neck'),
	supraclavicular: zone('Above the collarbone', 'Fossa supraclavicularis', 'neck'),
	decollete: zone('Chest below the collarbone', 'Regio infraclavicularis', 'trunk'),
	shoulder: zone('Shoulder', 'Regio deltoidea', 'trunk'),
	axilla: zone('Armpit', 'Fossa axillaris', 'trunk')
} as const satisfies Record<string, ZoneInfo>;

export type ZoneId = keyof typeof ZONES;

/** Zone ids in anatomical order: the order of arrow keys, lists and tables. */
export const ZONE_IDS = Object.keys(ZONES) as ZoneId[];
