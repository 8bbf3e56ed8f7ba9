import type { PlaceRef } from '../atlas/places';
import type { GoalId } from '../goal/goals';
import { schoolById } from '../school/schools';
import type { SchoolId } from '../school/school.schema';
import { newSequence } from '../sequence/newSequence';
import { SequenceSchema, type Block, type Sequence } from '../sequence/sequence.schema';
import { type Step } from '../step/step.schema';
import { techniqueById } from '../technique/library';
import { makeStep } from '../technique/makeStep';

/** One step: which technique, where (null: its usual way) and what differs from it. */
export type Row = readonly [technique: string, places?: readonly PlaceRef[] | null, change?: Partial<Step>];

export interface SpecPhase {
	readonly title: string;
	readonly rows: readonly Row[];
	/** Its steps are done on the left, then all of them on the right. */
	readonly sides?: Block['sides'];
	readonly exitAfter?: boolean;
}

/** A sequence as it is written down: the school and the techniques fill in the rest. */
export interface TemplateSpec {
	readonly id: string;
	readonly title: string;
	readonly school: SchoolId;
	readonly minutes: number;
	readonly goals: readonly GoalId[];
	readonly notes: string;
	readonly performer?: Sequence['performer'];
	readonly medium?: Sequence['medium'];
	readonly phases: readonly SpecPhase[];
}

/**
 * A sequence made from its spec.
 * @param schema what it must keep to: also the limits, but where going beyond them is to be shown
 * @throws {Error} for a technique that is not in the library
 * @throws {ZodError} for a step or a head that does not fit the schema
 */
export function sequenceFromSpec(
	spec: TemplateSpec,
	{ id, updatedAt }: { id: string; updatedAt: string },
	schema: Pick<typeof SequenceSchema, 'parse'> = SequenceSchema
): Sequence {
	const school = schoolById(spec.school);
	let n = 0;
	const stepOf = ([technique, places, change = {}]: Row, each: boolean): Step => {
		const known = techniqueById(technique);
		if (!known) throw new Error(`unknown technique: ${technique}`);
		const { side, ...overrides } = change;
		return makeStep(known, {
			id: `s${++n}`,
			...(places ? { places } : {}),
			school,
			side: each ? null : side,
			overrides
		});
	};
	const phases = spec.phases.map(({ title, rows, sides = 'asSteps', exitAfter = false }, p) => ({
		id: `p${p + 1}`,
		title,
		exitAfter,
		blocks: [{ id: `p${p + 1}-b1`, title: '', sides, steps: rows.map((row) => stepOf(row, sides !== 'asSteps')) }]
	}));
	const { title, notes, minutes } = spec;
	return schema.parse({
		...newSequence({ id, updatedAt, school, title, budgetSeconds: minutes * 60 }),
		revision: 1,
		notes,
		goals: spec.goals.map((goal) => ({ id: goal, weight: 1 })),
		performer: spec.performer ?? 'client',
		medium: spec.medium === undefined ? { id: 'light-oil', ml: 0.45 } : spec.medium,
		phases
	});
}
