import { zoneOf } from '../atlas/regionOf';
import type { ZoneId } from '../atlas/zones';
import { aimRow, motionRow, toolRow } from '../vocabulary/vocabulary';
import type { Technique } from './technique.schema';

interface Note {
	readonly applies: (technique: Technique, zones: ReadonlySet<ZoneId>) => boolean;
	readonly text: string;
}
const over =
	(...wanted: ZoneId[]): Note['applies'] =>
	(_, zones) =>
		wanted.some((zone) => zones.has(zone));

/** What holds for every move of a kind or a place: the usual cautions, before those that a move names itself. */
const NOTES: readonly Note[] = [
	{
		applies: over('upper-eyelid', 'lower-eyelid', 'inner-canthus', 'outer-canthus'),
		text: 'Not after eye surgery or with glaucoma; contact lenses out.'
	},
	{
		applies: over('throat', 'sternocleidomastoid'),
		text: 'No neck strokes with carotid disease, after a stroke, or where touch there has made faint.'
	},
	{ applies: over('throat'), text: 'Not with goitre or an overactive thyroid.' },
	{ applies: over('masseter'), text: 'No deep work on a jaw that locks, clicks with pain or was hurt: see a dentist.' },
	{
		applies: (t) => t.pressure.max >= 3 || motionRow(t.motion).bruises,
		text: 'Not firmly with blood thinners, low platelets or skin that bruises.'
	},
	{
		applies: (t) => t.tool !== undefined && toolRow(t.tool.id).cold,
		text: 'No cold with cold hives, a rosacea flare or numb skin.'
	},
	{
		applies: (t) => aimRow(t.aim).throughNodes,
		text: 'Not with fever, infection, a clot or an unexplained lump; after cancer or removed nodes only with medical clearance.'
	},
	{ applies: (t) => t.places.length > 0, text: 'Leave out broken, burnt, infected or freshly treated skin.' },
	{
		applies: (t) => t.aim === 'prepare',
		text: 'Ask about nuts, seeds, scent and wool fat before anything goes on the skin.'
	},
	{ applies: (t) => t.by === 'client', text: 'Stop on pain or dizziness.' }
];

/**
 * When to leave a move out, or what to mind: its own notes, then the usual ones for its place and kind. Working values;
 * they defer to local codes and to medical advice.
 */
export function contraOf(technique: Technique): readonly string[] {
	const zones = new Set([...technique.places, ...technique.paths.flat()].map((ref) => zoneOf(ref)));
	const usual = NOTES.filter((note) => note.applies(technique, zones)).map((note) => note.text);
	return [...new Set([...technique.contra, ...usual])];
}
