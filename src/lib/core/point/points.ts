import type { Point, View } from '../atlas/geometry';
import type { ZoneId } from '../atlas/zones';
import { POINT_CODES, type PointCode } from './codes';

/** A pressure point: how to find it, on the body and on the figure. What it is said to do is tradition, not evidence. */
export interface PointInfo {
	readonly code: PointCode;
	/** Its standard name. */
	readonly name: string;
	/** Where it is, in a few words: as it is called out. */
	readonly spot: string;
	/** Where it is, as one would show it to somebody. */
	readonly find: string;
	/** What tradition holds it for. */
	readonly tradition: string;
	readonly zone: ZoneId;
	/** Lies on the midline: one point, not a pair. */
	readonly midline: boolean;
	/** Lies over the jaw joint: what is said of a painful jaw holds for it. */
	readonly joint: boolean;
	/** Tradition leaves it out in pregnancy. */
	readonly notInPregnancy: boolean;
	readonly view: View;
	/** On the figure, the client's left side, drawing units (working values). */
	readonly at: Point;
}

type Row = [zone: ZoneId, at: Point, find: string, tradition: string, change?: Partial<PointInfo>];
const MIDLINE = { midline: true };
const PROFILE = { view: 'profile' } as const;
const JOINT = { joint: true, view: 'profile' } as const;

const ROWS: Record<PointCode, Row> = {
	GV24: ['hairline', [400, 104], 'On the midline, half a finger behind the hairline.', 'quiets before sleep', MIDLINE],
	'EX-HN3': ['glabella', [400, 219], 'Midway between the inner ends of the brows.', 'quiets; frown', MIDLINE],
	GB14: ['forehead-lateral', [463, 186], 'A finger above the middle of the brow, above the pupil.', 'forehead lines'],
	BL2: ['brow', [430, 222], 'In the small notch at the inner end of the brow.', 'heavy lids, pressure behind the brow'],
	BL1: [
		'inner-canthus',
		[420, 264],
		'Just inside and above the inner eye corner, against the nose bone.',
		'tired eyes'
	],
	'EX-HN4': ['brow', [464, 214], 'In the middle of the brow, above the pupil.', 'a forehead that is always up'],
	TE23: ['brow', [506, 222], 'In the dip at the outer end of the brow.', 'fine lines beside the eye'],
	'EX-HN5': ['temple', [520, 240], 'In the hollow of the temple, a finger behind brow and eye corner.', 'tight head'],
	GB1: [
		'outer-canthus',
		[504, 264],
		'Half a finger out from the outer eye corner, on the bone.',
		'lines beside the eye'
	],
	ST1: ['lower-eyelid', [461, 290], 'Below the pupil, between eyeball and rim: touched, not pressed.', 'puffy lids'],
	ST2: ['malar', [461, 306], 'Below the pupil, in the dip under the rim of the eye.', 'tired eyes'],
	ST3: ['malar', [461, 342], 'Below the pupil, level with the lower edge of the nose wing.', 'full cheeks'],
	SI18: ['zygoma', [504, 330], 'Below the outer eye corner, under the edge of the cheekbone.', 'cheek and upper teeth'],
	LI20: ['nose-wing', [434, 342], 'In the groove beside the middle of the nose wing.', 'free nose, smile fold'],
	'EX-HN8': ['nose-wing', [424, 316], 'Where the smile fold begins, at the upper end of the nose wing.', 'free nose'],
	GV26: ['upper-lip', [400, 368], 'In the groove under the nose, a third of the way down.', 'wakes', MIDLINE],
	ST4: ['marionette', [457, 396], 'A thumb’s breadth out from the corner of the mouth.', 'corners that hang'],
	CV24: ['lower-lip', [400, 426], 'In the groove between lower lip and chin.', 'chin and jaw', MIDLINE],
	ST5: ['jawline', [489, 430], 'In front of the chewing muscle on the edge of the jaw, where a pulse is felt.', 'jaw'],
	ST6: ['masseter', [508, 402], 'Where the chewing muscle bulges when the teeth are closed.', 'grinding'],
	ST7: [
		'preauricular',
		[528, 318],
		'In the dip before the ear, under the arch of the cheekbone; mouth closed.',
		'jaw',
		{ joint: true }
	],
	SI19: ['preauricular', [404, 306], 'In the dip before the ear that opens with the mouth.', 'ear and jaw', JOINT],
	TE21: ['preauricular', [402, 284], 'A finger above it, in the notch before the ear.', 'ear', JOINT],
	GB2: ['preauricular', [402, 324], 'A finger below it, before the notch over the lobe.', 'ear and jaw', JOINT],
	TE17: [
		'postauricular',
		[442, 352],
		'Behind the lobe, in the hollow between jaw and bone.',
		'ear, jaw and neck',
		PROFILE
	],
	GB20: [
		'nape',
		[498, 382],
		'Under the skull, in the hollow between the two big neck muscles.',
		'head and eyes',
		PROFILE
	],
	GV16: [
		'nape',
		[532, 386],
		'On the midline, in the hollow under the skull.',
		'heavy head',
		{ midline: true, view: 'profile' }
	],
	BL10: [
		'nape',
		[520, 404],
		'Two fingers beside the midline, on the outer edge of the big muscle.',
		'stiff neck',
		PROFILE
	],
	GB21: [
		'shoulder',
		[600, 610],
		'On top of the shoulder, midway from neck to its tip.',
		'shoulders that creep up',
		{ notInPregnancy: true }
	]
};

/** Standard names of the points, as they are taught beside the codes. */
const NAMES: Record<PointCode, string> = {
	GV24: 'Shenting',
	'EX-HN3': 'Yintang',
	GB14: 'Yangbai',
	BL2: 'Cuanzhu',
	BL1: 'Jingming',
	'EX-HN4': 'Yuyao',
	TE23: 'Sizhukong',
	'EX-HN5': 'Taiyang',
	GB1: 'Tongziliao',
	ST1: 'Chengqi',
	ST2: 'Sibai',
	ST3: 'Juliao',
	SI18: 'Quanliao',
	LI20: 'Yingxiang',
	'EX-HN8': 'Shangyingxiang',
	GV26: 'Shuigou',
	ST4: 'Dicang',
	CV24: 'Chengjiang',
	ST5: 'Daying',
	ST6: 'Jiache',
	ST7: 'Xiaguan',
	SI19: 'Tinggong',
	TE21: 'Ermen',
	GB2: 'Tinghui',
	TE17: 'Yifeng',
	GB20: 'Fengchi',
	GV16: 'Fengfu',
	BL10: 'Tianzhu',
	GB21: 'Jianjing'
};

/** Where each lies, in a few words: two that are pressed one after the other are told apart by it. */
const SPOTS: Record<PointCode, string> = {
	GV24: 'middle of the hairline',
	'EX-HN3': 'between the brows',
	GB14: 'above the middle of the brow',
	BL2: 'inner end of the brow',
	BL1: 'inner corner of the eye',
	'EX-HN4': 'middle of the brow',
	TE23: 'outer end of the brow',
	'EX-HN5': 'hollow of the temple',
	GB1: 'beside the outer eye corner',
	ST1: 'rim of the eye, below the pupil',
	ST2: 'below the rim of the eye',
	ST3: 'below the pupil, level with the nose wing',
	SI18: 'under the cheekbone',
	LI20: 'beside the nose wing',
	'EX-HN8': 'upper end of the smile fold',
	GV26: 'groove under the nose',
	ST4: 'beside the corner of the mouth',
	CV24: 'groove above the chin',
	ST5: 'jaw edge, before the chewing muscle',
	ST6: 'bulge of the chewing muscle',
	ST7: 'under the cheekbone arch',
	SI19: 'dip before the ear',
	TE21: 'upper notch before the ear',
	GB2: 'lower notch before the ear',
	TE17: 'behind the ear lobe',
	GB20: 'hollow under the skull',
	GV16: 'middle of the neck, under the skull',
	BL10: 'outer edge of the neck muscle',
	GB21: 'top of the shoulder'
};

/** All points, from the forehead down. */
export const POINTS: readonly PointInfo[] = POINT_CODES.map((code) => {
	const [zone, at, find, tradition, change = {}] = ROWS[code];
	const usual = { midline: false, joint: false, notInPregnancy: false, view: 'front' } as const;
	return { code, name: NAMES[code], spot: SPOTS[code], find, tradition, zone, ...usual, at, ...change };
});

const byCode = new Map(POINTS.map((p) => [p.code, p]));
export const pointByCode = (code: PointCode): PointInfo => byCode.get(code)!;
