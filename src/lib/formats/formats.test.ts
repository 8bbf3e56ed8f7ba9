import fc from 'fast-check';
import { sampleComparison } from '../core/flow/fixtures';
import { describe, expect, test } from 'vitest';
import { CONTEXT, sequenceOf, step, anySequence, NOW } from '../core/testing';
import { EMPTY_HISTORY } from '../core/sequence/history';
import type { Client, Session } from '../core/measure/records.schema';
import { emptyLook } from '../core/measure/look';
import { readBackupFile, writeBackupFile } from './backupFile';
import { jsonSchemaOf } from './jsonSchema';
import { pointerText, type Parsed } from './problem';
import { upToDate } from './readJson';
import { readSequenceFile, writeSequenceFile } from './sequenceFile';

const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);
const file = () => JSON.parse(writeSequenceFile(sequence)) as Record<string, never> & Record<string, unknown>;
const first = (parsed: Parsed<unknown>) => {
	if (parsed.ok) throw new Error('was accepted');
	return parsed.problems[0]!;
};
const withStep = (change: object) => {
	const raw = file();
	Object.assign((raw as never as typeof sequence).phases[0]!.blocks[0]!.steps[0]!, change);
	return first(readSequenceFile(JSON.stringify(raw)));
};

describe('sequence files', () => {
	test('round trip on random sequences, with caution and core version inside', () => {
		fc.assert(
			fc.property(anySequence, (any) => {
				const text = writeSequenceFile(any);
				expect(JSON.parse(text).caution).toMatch(/Not medical care/);
				expect(readSequenceFile(text)).toEqual({ ok: true, value: any });
			}),
			{ numRuns: 80 }
		);
	});
	test.each([
		['not JSON', '{"format": ', /not JSON/],
		['a list', '[]', /no object/],
		['another format', '{"format":"other/thing","version":1}', /format "other\/thing"/],
		['no version', '{"format":"soft-tide/sequence"}', /whole number/],
		['a newer version', '{"format":"soft-tide/sequence","version":99}', /up to version 2/]
	])('%s is refused in a sentence with a remedy', (_, text, message) => {
		const problem = first(readSequenceFile(text));
		expect(problem.message).toMatch(message);
		expect(problem.remedy.length).toBeGreaterThan(10);
	});
	test('a wrong field is named by its place', () => {
		expect(withStep({ aim: 'heal' })).toMatchObject({ path: 'phases[0].blocks[0].steps[0].aim' });
		expect(withStep({ places: ['knee'] }).path).toBe('phases[0].blocks[0].steps[0].places[0]');
		expect(withStep({ dose: { kind: 'reps', min: -1, target: 2, max: 3 } }).path).toMatch(/dose\.min$/);
		expect(withStep({ extra: 1 }).remedy).toMatch(/Remove extra/);
	});
	test('ten thousand steps are answered with the limit', () => {
		const raw = file();
		const block = (raw as never as typeof sequence).phases[0]!.blocks[0]! as { steps: unknown[] };
		block.steps = Array.from({ length: 10_000 }, (_, i) => ({ id: i }));
		expect(first(readSequenceFile(JSON.stringify(raw))).message).toMatch(/10000 steps; at most 2000/);
	});
	test('script in a text stays text', () => {
		const title = '<script>alert(1)</script>';
		const read = readSequenceFile(writeSequenceFile({ ...sequence, title }));
		expect(read.ok && read.value.title).toBe(title);
	});
	test('any text and any damaged file is answered, never thrown', () => {
		fc.assert(
			fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
				expect(readSequenceFile(text).ok).toBe(false);
				expect(readBackupFile(text).ok).toBe(false);
			})
		);
		const text = writeSequenceFile(sequence);
		fc.assert(
			fc.property(fc.nat(text.length), fc.nat(60), fc.string({ maxLength: 8 }), (at, length, insert) => {
				const result = readSequenceFile(text.slice(0, at) + insert + text.slice(at + length));
				if (!result.ok) expect(result.problems[0]!.message.length).toBeGreaterThan(5);
			})
		);
	});
	test('wrong values anywhere: each field in turn replaced by nonsense', () => {
		const paths = Object.keys(file()).filter((k) => !['core', 'caution'].includes(k));
		fc.assert(
			fc.property(fc.constantFrom(...paths), fc.constantFrom(null, -5, {}, [[]], 'x'.repeat(3000)), (key, value) => {
				const result = readSequenceFile(JSON.stringify({ ...file(), [key]: value }));
				if (!result.ok) expect(result.problems.some((p) => p.path.startsWith(key))).toBe(true);
			})
		);
	});
});

describe('backups', () => {
	const client: Client = {
		id: 'c1',
		revision: 1,
		updatedAt: NOW,
		name: 'Bo',
		cautions: '',
		note: '',
		archived: false
	};
	const session = {
		id: 'x1',
		revision: 1,
		updatedAt: NOW,
		clientId: 'c1',
		startedAt: NOW,
		before: emptyLook(NOW)
	};
	const full = {
		endedAt: null,
		zoneOffsetMinutes: 60,
		sequence: null,
		after: null,
		context: { also: [] },
		done: [],
		workedSeconds: 0,
		haltedSeconds: 0,
		sideEffects: '',
		note: ''
	};
	const sessions = [{ ...session, ...full }] as Session[];
	const content = {
		exportedAt: NOW,
		clients: [client],
		sequences: [{ sequence, history: EMPTY_HISTORY, archived: true }],
		kept: [
			{
				id: 'k',
				kind: 'version' as const,
				sequenceId: sequence.id,
				keptAt: NOW,
				name: 'Before',
				sequence,
				history: EMPTY_HISTORY
			}
		],
		comparisons: [sampleComparison([sequence, { ...sequence, id: 'other' }], CONTEXT)],
		sessions,
		techniques: [],
		schools: [],
		media: [],
		settings: null
	};
	test('round trip', () => {
		const read = readBackupFile(writeBackupFile(content));
		expect(read.ok && read.value).toMatchObject(content);
	});
	test('a session without its client and an id that stands twice are named', () => {
		expect(first(readBackupFile(writeBackupFile({ ...content, clients: [] }))).path).toBe('sessions[0].clientId');
		expect(first(readBackupFile(writeBackupFile({ ...content, clients: [client, client] }))).path).toBe(
			'clients[1].id'
		);
	});
	test('a sequence file is no backup, and says so', () => {
		expect(first(readBackupFile(writeSequenceFile(sequence))).message).toMatch(/one sequence/);
	});
});

test('migrations run in order, each from its version to the next; a gap is named', () => {
	const steps = [
		{ name: 'AddA', from: 1, migrate: (raw: Record<string, unknown>) => ({ ...raw, trail: 'a' }) },
		{ name: 'AddB', from: 2, migrate: (raw: Record<string, unknown>) => ({ ...raw, trail: `${raw.trail}b` }) }
	];
	const old = { format: 'f', version: 1 };
	expect(upToDate(old, 'f', 3, steps)).toEqual({ ok: true, value: { format: 'f', version: 3, trail: 'ab' } });
	expect(first(upToDate(old, 'f', 3, steps.slice(1))).message).toMatch(/No way leads from version 1/);
});

test('the JSON Schema is made from the Zod schema: it knows the ids and the limits', () => {
	const text = JSON.stringify(jsonSchemaOf('sequence'));
	for (const word of ['n:submandibular', 'cold-globes', 'soft-tide/sequence', '"additionalProperties":false'])
		expect(text).toContain(word);
	expect(JSON.stringify(jsonSchemaOf('backup'))).toContain('tragus-mouth-corner');
	expect(pointerText(['a/b', 0])).toBe('/a~1b/0');
});
