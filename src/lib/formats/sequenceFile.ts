import { z } from 'zod';
import { TextSchema } from '../core/step/common.schema';
import { SequenceSchema, type Sequence } from '../core/sequence/sequence.schema';
import { MAX_STEPS, SEQUENCE_VERSION } from '../core/sequence/format';
import { toPresent } from '../core/records/migrations/sequences';
import { CORE_VERSION } from '../core/version';
import { CAUTION_LINE } from './caution';
import { problemsOf, refuse, type Parsed } from './problem';
import { readJson, versionOf } from './readJson';

/** A sequence as a file: the sequence itself, what made it, and the caution line. */
export const SequenceFileSchema = SequenceSchema.safeExtend({
	core: z.string().max(40).optional(),
	caution: TextSchema.optional()
});

export function writeSequenceFile(sequence: Sequence): string {
	return JSON.stringify({ ...sequence, core: CORE_VERSION, caution: CAUTION_LINE }, null, '\t');
}

/** Counts steps before the schema does, so that ten thousand of them are answered with the limit and not with noise. */
function tooManySteps(raw: Record<string, unknown>): number {
	const list = (value: unknown, key: string): unknown[] => {
		const inner = (value as Record<string, unknown> | null)?.[key];
		return Array.isArray(inner) ? inner : [];
	};
	const steps = list(raw, 'phases').flatMap((p) => list(p, 'blocks').flatMap((b) => list(b, 'steps')));
	return steps.length > MAX_STEPS ? steps.length : 0;
}

/** Checks a parsed object as a sequence file; the extra fields of the file are dropped. */
export function checkSequenceObject(raw: Record<string, unknown>): Parsed<Sequence> {
	const version = versionOf(raw, 'soft-tide/sequence', SEQUENCE_VERSION);
	if (!version.ok) return version;
	const current = toPresent.sequence(raw) as Record<string, unknown>;
	const steps = tooManySteps(current);
	if (steps)
		return refuse(
			`The sequence has ${steps} steps; at most ${MAX_STEPS} are allowed.`,
			'Split it into several sequences.',
			'phases'
		);
	const result = SequenceFileSchema.safeParse(current);
	if (!result.success) return { ok: false, problems: problemsOf(result.error) };
	const { core: _core, caution: _caution, ...sequence } = result.data;
	return { ok: true, value: sequence };
}

export function readSequenceFile(text: string): Parsed<Sequence> {
	const raw = readJson(text);
	return raw.ok ? checkSequenceObject(raw.value) : raw;
}
