/** Regions of the head, neck and trunk: the headings under which zones are grouped. */
export const REGIONS = {
	forehead: 'Brow and forehead',
	eye: 'Eye',
	middle: 'Middle of the face',
	mouth: 'Mouth and chin',
	jaw: 'Jaw',
	ear: 'Ear',
	neck: 'Neck',
	trunk: 'Chest and shoulder'
} as const;

export type Region = keyof typeof REGIONS;
export const REGION_IDS = Object.keys(REGIONS) as Region[];
