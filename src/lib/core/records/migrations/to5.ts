import { StoredSequenceSchema } from '../../sequence/sequence.schema';
import { isObject, type Raw } from '../record';
import { refTo, snapshotOf } from '../snapshot';
import type { Emit, RecordMigration } from './migration';
import { toPresent } from './sequences';

const listOf = (value: unknown): Raw[] => (Array.isArray(value) ? value.filter(isObject) : []);

/** Grades and distances as entries of one list. What is no list stays, and is named by the schema. */
function assessmentFrom4(assessment: unknown): unknown {
	if (!isObject(assessment) || !Array.isArray(assessment.grades) || !Array.isArray(assessment.distances))
		return assessment;
	const { grades, distances, ...rest } = assessment;
	return {
		...rest,
		entries: [
			...listOf(grades).map(({ kind, zone, side, grade }) => ({ observation: kind, place: zone, side, value: grade })),
			...listOf(distances).map(({ id, side, mm }) => ({ observation: id, side, value: mm }))
		]
	};
}

/** Sleep and salt, and all that was also so, as entries. */
function contextFrom4(context: unknown): unknown {
	if (context === undefined) return [];
	if (!isObject(context)) return context;
	const one = (observation: 'sleep' | 'salt') =>
		context[observation] === undefined ? [] : [{ observation, value: context[observation] }];
	const also = Array.isArray(context.also)
		? context.also.map((value: unknown) => ({ observation: 'also', value }))
		: [];
	return [...one('sleep'), ...one('salt'), ...also];
}

/** The sequence of a session goes into a snapshot; a stage that was not over gets the first line of its log. */
function sessionFrom4(raw: Raw, emit: Emit): Raw {
	const performed = isObject(raw.sequence) ? StoredSequenceSchema.safeParse(toPresent.sequence(raw.sequence)) : null;
	const snapshot = performed?.success ? snapshotOf(performed.data) : null;
	if (snapshot) emit('snapshot', snapshot as unknown as Raw);
	const open = snapshot && (raw.endedAt === null || raw.endedAt === undefined);
	const startedAt = typeof raw.startedAt === 'string' ? raw.startedAt : '';
	if (open && Number.isFinite(Date.parse(startedAt)))
		emit('run-entry', {
			id: `${String(raw.id)}:00000`,
			revision: 1,
			updatedAt: raw.updatedAt,
			sessionId: raw.id,
			n: 0,
			kind: 'begin',
			seconds: 0,
			atMs: Date.parse(startedAt)
		});
	return {
		...raw,
		sequence: snapshot ? refTo(snapshot) : raw.sequence,
		before: assessmentFrom4(raw.before),
		after: assessmentFrom4(raw.after),
		context: contextFrom4(raw.context)
	};
}

/** What the model compares is called an outcome. */
function comparisonFrom4(raw: Raw): Raw {
	const { result } = raw;
	if (!isObject(result) || !isObject(result.verdicts)) return raw;
	const named = (list: unknown) =>
		Array.isArray(list)
			? list.map((v: unknown) => {
					if (!isObject(v) || !('measure' in v)) return v;
					const { measure: outcome, ...rest } = v;
					return { outcome, ...rest };
				})
			: list;
	const verdicts = Object.fromEntries(Object.entries(result.verdicts).map(([id, list]) => [id, named(list)]));
	return { ...raw, result: { ...result, verdicts } };
}

/** In the database the fields stood beside the sequence, in a file the sequence stood alone. */
function sequenceFrom4(raw: Raw): Raw {
	const sequence = isObject(raw.sequence) ? raw.sequence : {};
	return {
		...raw,
		id: raw.id ?? sequence.id,
		revision: sequence.revision,
		updatedAt: raw.updatedAt ?? sequence.updatedAt,
		archived: raw.archived ?? false
	};
}

/**
 * One shape for every record, sessions that refer to their sequence by content, assessments as lists of entries, a log
 * of the stage.
 */
export const to5: RecordMigration = {
	to: 5,
	name: 'records of one shape, sequences by content, assessments as entries',
	records: {
		sequence: sequenceFrom4,
		session: sessionFrom4,
		kept: (raw) => ({ revision: 1, updatedAt: raw.keptAt, ...raw }),
		comparison: comparisonFrom4,
		'second-version': (raw) => ({ revision: 1, updatedAt: raw.savedAt, ...raw })
	}
};
