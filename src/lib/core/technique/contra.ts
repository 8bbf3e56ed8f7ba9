import { zoneOf } from '../atlas/regionOf';
import type { ZoneId } from '../atlas/zones';
import { pointByCode } from '../point/points';
import { aimRow, contactRow, motionRow, toolRow } from '../vocabulary/vocabulary';
import type { Technique } from './technique.schema';

/** Something that a client may have and a move must heed: which moves it is about, and what is said. */
interface ContraFlag {
	readonly applies: (technique: Technique, zones: ReadonlySet<ZoneId>) => boolean;
	readonly text: string;
}
const over =
	(...wanted: ZoneId[]): ContraFlag['applies'] =>
	(_, zones) =>
		wanted.some((zone) => zones.has(zone));

/** What holds for every move of a kind or a place, by id: the usual cautions, before those that a move names itself. */
export const CONTRA_FLAGS = {
	eye: {
		applies: over('upper-eyelid', 'lower-eyelid', 'inner-canthus', 'outer-canthus'),
		text: 'Not after eye surgery or with glaucoma; contact lenses out.'
	},
	carotid: {
		applies: over('throat', 'sternocleidomastoid'),
		text: 'No neck strokes with carotid disease, after a stroke, or where touch there has made faint.'
	},
	thyroid: { applies: over('throat'), text: 'Not with goitre or an overactive thyroid.' },
	jaw: {
		applies: (t, zones) => zones.has('masseter') || (t.point !== undefined && pointByCode(t.point).joint),
		text: 'No deep work on a jaw that locks, clicks with pain or was hurt: see a dentist.'
	},
	inside: {
		applies: (t) => contactRow(t.contact).inside,
		text: 'Not with cold sores, open sores or fresh dental work.'
	},
	latex: {
		applies: (t) => contactRow(t.contact).inside || (t.tool !== undefined && toolRow(t.tool.id).worn),
		text: 'Latex allergy: ask before the gloves.'
	},
	licence: {
		applies: (t) => contactRow(t.contact).inside,
		text: 'May need a licence of its own: follow your local code.'
	},
	adhesive: {
		applies: (t) => t.aim === 'fix',
		text: 'Ask about adhesives and latex; try a small piece first, three hours at most. No tape on skin with strong retinoids.'
	},
	removal: { applies: (t) => t.aim === 'fix', text: 'Off with oil, at a low angle, never dry.' },
	bruises: {
		applies: (t) => t.pressure.max >= 3 || motionRow(t.motion).bruises,
		text: 'Not firmly with blood thinners, low platelets or skin that bruises.'
	},
	cold: {
		applies: (t) => t.tool !== undefined && toolRow(t.tool.id).cold,
		text: 'No cold with cold hives, a rosacea flare or numb skin.'
	},
	nodes: {
		applies: (t) => aimRow(t.aim).throughNodes,
		text: 'Not with fever, infection, a clot or an unexplained lump; after cancer or removed nodes only with medical clearance.'
	},
	skin: { applies: (t) => t.places.length > 0, text: 'Leave out broken, burnt, infected or freshly treated skin.' },
	allergies: {
		applies: (t) => t.aim === 'prepare',
		text: 'Ask about nuts, seeds, scent and wool fat before anything goes on the skin.'
	},
	dizziness: { applies: (t) => t.by === 'client', text: 'Stop on pain or dizziness.' }
} as const satisfies Record<string, ContraFlag>;

/**
 * When to leave a move out, or what to mind: its own notes, then the usual ones for its place and kind. Working values;
 * they defer to local codes and to medical advice.
 */
export function contraOf(technique: Technique): readonly string[] {
	const zones = new Set([...technique.places, ...technique.paths.flat()].map((ref) => zoneOf(ref)));
	const usual = Object.values<ContraFlag>(CONTRA_FLAGS)
		.filter((flag) => flag.applies(technique, zones))
		.map((flag) => flag.text);
	return [...new Set([...technique.contra, ...usual])];
}
