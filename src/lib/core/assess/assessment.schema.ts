import { z } from 'zod';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { MAX_TEXT } from '../step/sizes';
import { isMeasured, observation, OBSERVATION_IDS } from './registry';

const ENTRY_LIMIT = 1000;

const EntryFieldsSchema = z.strictObject({
	observation: z.enum(OBSERVATION_IDS),
	/** Of observations that are taken zone by zone. */
	place: z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]]).optional(),
	side: z.enum(['left', 'right']).optional(),
	/** A grade 0 to 4, a number in the unit of the observation, or words. */
	value: z.union([z.number(), z.string().max(MAX_TEXT)]),
	/** A second or further reading of the same moment, from 2. */
	retake: z.int().min(2).max(20).optional()
});
export type Entry = z.infer<typeof EntryFieldsSchema>;

/** What a JSON Schema cannot say of an entry: the row of its observation says it. */
function checkEntry(entry: Entry, ctx: z.core.$RefinementCtx<Entry>): void {
	const problem = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
	const row = observation(entry.observation);
	const { value } = entry;
	if ((row.place === 'zone') !== (entry.place !== undefined))
		problem(
			'place',
			row.place === 'zone'
				? `${row.label} is taken zone by zone: name the zone`
				: `${row.label} is of the whole face: leave the place out`
		);
	if (row.sides !== (entry.side !== undefined))
		problem(
			'side',
			row.sides ? `${row.label} is taken on each side: name the side` : `${row.label} has no side: leave it out`
		);
	if (row.kind === 'grade' && !(Number.isInteger(value) && Number(value) >= 0 && Number(value) <= 4))
		problem('value', `a whole grade from 0 to 4 is needed: ${value}`);
	if (isMeasured(row)) {
		if (row.sumOf) problem('observation', `${row.label} is taken together from others: enter those`);
		if (!(typeof value === 'number' && value >= row.min && value <= row.max))
			problem('value', `a number from ${row.min} to ${row.max} ${row.unit} is needed: ${value}`);
	}
	if (row.kind === 'choice' && !(typeof value === 'string' && Object.hasOwn(row.options, value)))
		problem('value', `one of ${Object.keys(row.options).join(', ')} is needed: ${value}`);
	if (row.kind === 'text' && typeof value !== 'string') problem('value', 'words are needed');
}
export const EntrySchema = EntryFieldsSchema.superRefine(checkEntry);

/** What was felt, measured and told at one moment. Absent entries were not felt or not measured. */
export const AssessmentSchema = z.strictObject({
	takenAt: z.iso.datetime(),
	entries: z.array(EntrySchema).max(ENTRY_LIMIT)
});
export type Assessment = z.infer<typeof AssessmentSchema>;
