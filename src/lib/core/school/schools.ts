import type { NodeId } from '../atlas/nodes';
import type { School } from './school.schema';

const ROUTE: NodeId[] = [
	'axillary',
	'terminus',
	'deep-cervical',
	'tonsillar',
	'submandibular',
	'submental',
	'preauricular'
];

const base: Omit<School, 'id' | 'title' | 'reason' | 'others'> = {
	opening: { required: true, nodes: ROUTE, before: 'everything' },
	order: 'exit-first',
	neckFirst: true,
	mayEndAfterNeck: false,
	doses: {},
	neckDirection: 'down',
	drainPolicy: 'end',
	layering: 'mixed',
	caps: { fluid: 1, muscle: 3 },
	cheekRoute: 'either',
	underChin: 'outward',
	mouthFinish: 'free',
	glide: 'oil',
	tape: 'hours',
	severities: {}
};

/** The six schools as they ship. Policies are working values: copy one and change it. */
export const SCHOOLS: readonly School[] = [
	{
		...base,
		id: 'outlet-first',
		title: 'Outlet first',
		reason:
			'Open from the collarbone outwards, clear the neck, then work from the area nearest the exit to the farthest, lightly throughout.',
		others:
			'Others stroke a little firmer and find it fuller, and drop the opening when minutes are few. The model finds its advantage small and unsure.',
		cheekRoute: 'outward',
		mayEndAfterNeck: true
	},
	{
		...base,
		id: 'drain-every-move',
		title: 'Drain every move',
		reason: 'Open as outlet first does, and end each move on the face with a drain link, so that nothing waits.',
		others: 'Others drain once, at the end: a link after every move takes time, and breaks the rhythm of the face.',
		mayEndAfterNeck: true,
		drainPolicy: 'every-move',
		caps: { fluid: 1, muscle: 2 }
	},
	{
		...base,
		id: 'rise-and-drain',
		title: 'Rise and drain',
		reason:
			'From the chest up to the forehead with lifting strokes, also up the neck, in fixed counts; one long drain at the end.',
		others:
			'Those who drain say that strokes up the neck run against the vessels, and that the outlet should be opened before anything is sent to it.',
		opening: { required: false, nodes: ['terminus'], before: 'everything' },
		order: 'chest-up',
		neckFirst: false,
		doses: { lift: 8, drain: 8, release: 8, close: 8 },
		neckDirection: 'up',
		caps: { fluid: 2, muscle: 2 },
		mouthFinish: 'up',
		severities: {}
	},
	{
		...base,
		id: 'crown-down',
		title: 'Crown down',
		reason: 'From the forehead to the jaw to the neck, everything pushed towards the exits, light sweeps to finish.',
		others:
			'Others work from the exit backwards, so that there is room for what comes; and lead the throat sideways, as its vessels run.',
		opening: { required: false, nodes: ['terminus'], before: 'everything' },
		order: 'crown-down',
		neckFirst: false,
		drainPolicy: 'every-region',
		caps: { fluid: 2, muscle: 2 },
		underChin: 'straight-down',
		severities: {}
	},
	{
		...base,
		id: 'release-then-drain',
		title: 'Release, then drain',
		reason:
			'Muscles first, deep and pinned, zone after zone, with the breath; then a separate light drain over everything.',
		others:
			'Others mix the two, area by area, less deep, and use oil from the start: less pull on the skin, less to remember.',
		opening: { required: false, nodes: ['terminus'], before: 'face' },
		neckFirst: false,
		order: 'muscle-first',
		layering: 'separate',
		caps: { fluid: 1, muscle: 4 },
		glide: 'dry',
		tape: 'overnight',
		severities: { 'no-glide': 'advice' }
	},
	{
		...base,
		id: 'nape-first',
		title: 'Nape first',
		reason:
			'For chin and jaw: free the back of the neck, then under the chin, then along the bone to the ear, then down behind the ear.',
		others:
			'Others leave the nape for the end, or out: most fluid of chin and jaw takes the nodes under the jaw, not the back of the neck.',
		opening: { required: false, nodes: ['terminus'], before: 'face' },
		neckFirst: false,
		order: 'nape-first',
		drainPolicy: 'every-region'
	}
];

/** A shipped school by id, or the first (outlet first) where the id is unknown. */
export const schoolById = (id: string): School => SCHOOLS.find((s) => s.id === id) ?? SCHOOLS[0]!;
