/** A point on a photograph, px: x to the viewer’s right, y down. */
export type Pixel = readonly [x: number, y: number];

interface LandmarkRow {
	/** The field’s term. */
	readonly label: string;
	/** In plain words: where to place it. */
	readonly where: string;
	/** How far apart placements of the same point lie, mm across and along the eye frame. Working values. */
	readonly sdMm: Pixel;
}
const row = (label: string, where: string, sdMm: Pixel): LandmarkRow => ({ label, where, sdMm });

/** Points of the face, by the field’s abbreviations. To add one is one row, and its name in a list of views. */
export const LANDMARKS = {
	tr: row('Trichion', 'hairline, in the midline', [1.5, 1.5]),
	g: row('Glabella', 'most forward point between the brows', [0.4, 1.2]),
	se: row('Sellion', 'deepest point of the nose root', [0.6, 1]),
	prn: row('Pronasale', 'tip of the nose', [0.6, 0.8]),
	sn: row('Subnasale', 'where nose and upper lip meet', [0.45, 0.5]),
	ls: row('Labiale superius', 'upper border of the upper lip, in the midline', [0.5, 0.35]),
	sto: row('Stomion', 'where the lips meet, in the midline', [0.6, 0.3]),
	li: row('Labiale inferius', 'lower border of the lower lip, in the midline', [0.6, 0.5]),
	sl: row('Sublabiale', 'deepest point between lip and chin', [0.35, 0.6]),
	pg: row('Pogonion', 'most forward point of the chin', [0.35, 1.2]),
	me: row('Menton', 'lowest point of the chin', [2, 0.5]),
	c: row('Cervical point', 'where under-chin and neck meet', [1.2, 1]),
	nk: row('Neck point', 'on the outline of the neck, 45 mm below the cervical point', [0.5, 1.5]),
	en: row('Endocanthion', 'inner corner of the eye', [0.35, 0.3]),
	ex: row('Exocanthion', 'outer corner of the eye', [0.45, 0.35]),
	ps: row('Palpebrale superius', 'edge of the upper lid, above the pupil', [0.4, 0.25]),
	pi: row('Palpebrale inferius', 'edge of the lower lid, below the pupil', [0.4, 0.28]),
	p: row('Pupil', 'centre of the pupil', [0.25, 0.25]),
	br: row('Lower brow border', 'lower border of the brow, above the pupil', [0.5, 0.55]),
	al: row('Alare', 'outermost point of the nose wing', [0.35, 0.6]),
	ch: row('Cheilion', 'corner of the mouth', [0.5, 0.4]),
	cph: row('Crista philtri', 'peak of the upper lip', [0.45, 0.4]),
	zy: row('Zygion', 'outermost point of the cheek outline', [0.5, 3]),
	t: row('Tragion', 'notch above the tragus of the ear', [0.8, 0.9]),
	go: row('Gonion', 'corner of the jaw on the outline', [1.2, 2.2]),
	jaw: row('Jaw contour', 'on the outline of the jaw, from below the ear to the chin', [0.5, 0.5]),
	chin: row('Under-chin contour', 'on the outline below the chin, from the pogonion to the neck point', [0.5, 0.5])
} as const satisfies Record<string, LandmarkRow>;
export type LandmarkId = keyof typeof LANDMARKS;
const MIDLINE = ['tr', 'se', 'prn', 'sn', 'ls', 'sto', 'li', 'me'] as const;
const PAIRED = ['en', 'ex', 'ps', 'pi', 'p', 'br', 'al', 'ch', 'cph', 'zy', 'go'] as const;
/** A landmark on a front photograph: L and R are always the client’s. */
export type FrontPoint = (typeof MIDLINE)[number] | `${(typeof PAIRED)[number]}${'L' | 'R'}`;
export const PROFILE_POINTS = [
	'g',
	'se',
	'prn',
	'sn',
	'ls',
	'li',
	'sl',
	'pg',
	'me',
	'c',
	'nk',
	'ex',
	't',
	'go'
] as const;
export type ProfilePoint = (typeof PROFILE_POINTS)[number];
/** In the order in which they are placed: the eyes first, which tell how the face lies; the outline last. */
export const FRONT_POINTS: readonly FrontPoint[] = [
	...(['exR', 'enR', 'enL', 'exL', 'pR', 'pL', 'psR', 'piR', 'psL', 'piL', 'brR', 'brL'] as const),
	...(['se', 'prn', 'sn', 'alR', 'alL', 'cphR', 'ls', 'cphL', 'chR', 'sto', 'chL', 'li', 'me'] as const),
	...(['tr', 'zyR', 'zyL', 'goR', 'goL'] as const)
];
const STEPS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11] as const;
/** A point of the jaw’s contour on a front photograph: 1 below the ear, 11 at the chin. */
export type JawPoint = `jaw${(typeof STEPS)[number]}${'L' | 'R'}`;
export const JAW_POINTS: readonly JawPoint[] = (['R', 'L'] as const).flatMap((side) =>
	STEPS.map((step): JawPoint => `jaw${step}${side}`)
);
/** A point of the contour under the chin on a profile: 1 below the pogonion, 11 above the neck point. */
export type ChinPoint = `chin${(typeof STEPS)[number]}`;
export const CHIN_POINTS: readonly ChinPoint[] = STEPS.map((step): ChinPoint => `chin${step}`);
export type AnyPoint = FrontPoint | ProfilePoint | JawPoint | ChinPoint;
/** From which side a photograph that is measured was taken: both profiles are measured alike. */
export const MEASURED_VIEWS = ['front', 'profile'] as const;
export type MeasuredView = (typeof MEASURED_VIEWS)[number];
/** All points of a view, in the order in which they are placed. */
export const POINTS_OF_VIEW: Readonly<Record<MeasuredView, readonly AnyPoint[]>> = {
	front: [...FRONT_POINTS, ...JAW_POINTS],
	profile: [...PROFILE_POINTS, ...CHIN_POINTS]
};
/** Points of a photograph that were placed. One that is missing leaves out what needs it, and nothing else. */
export type Points<P extends AnyPoint = AnyPoint> = Readonly<Partial<Record<P, Pixel>>>;

/** The row of a point, whichever side. */
export function landmarkOf(point: AnyPoint): LandmarkRow {
	const id = point in LANDMARKS ? point : point.slice(0, -1).replace(/\d+$/, '');
	return LANDMARKS[id as LandmarkId];
}
/** Standard deviation of a placement, px: what the point means, and what the pointer adds at a zoom. */
export function placementSdPx(point: AnyPoint, pxPerMm: number, zoom = 4): Pixel {
	const pointer = POINTER_SCREEN_PX / zoom;
	const [x, y] = landmarkOf(point).sdMm;
	return [Math.hypot(x * pxPerMm, pointer), Math.hypot(y * pxPerMm, pointer)];
}
/** How far beside its aim a pointer comes to rest, px of the screen. Working value. */
const POINTER_SCREEN_PX = 1.2;

/** Whether a list holds every point of the front once: a row that is added must be placed somewhere. */
export const ALL_FRONT: readonly string[] = [...MIDLINE, ...PAIRED.flatMap((id) => [`${id}L`, `${id}R`])];
