import fc from 'fast-check';
import { ZONE_IDS } from '../atlas/zones';
import type { Entry } from '../assess/assessment.schema';
import { isGrade, isMeasured, observation, OBSERVATION_IDS } from '../assess/registry';
import { planOfSequence } from '../flow/compile';
import type { ComparisonInput } from '../flow/comparison.schema';
import { PairedRun } from '../flow/paired';
import { gradesOfStart } from '../flow/starts';
import { resultOf } from '../flow/verdict';
import type { ExpandContext } from '../sequence/expand';
import { CORE_VERSION } from '../version';
import { AS_PLANNED } from './asPlanned';
import type { Comparison } from './comparison';
import { MEDIA } from '../medium/media';
import { SCHOOLS } from '../school/schools';
import { setHead } from '../sequence/edits';
import { commit, EMPTY_HISTORY } from '../sequence/history';
import type { Sequence } from '../sequence/sequence.schema';
import { TECHNIQUES } from '../technique/library';
import { anySequence, CONTEXT, NOW } from '../testing';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { z } from 'zod';
import { PersonFields } from '../client/person.schema';
import type { KindId, RecordOf } from './kinds';
import type { Session } from './session';
import { refTo, snapshotOf } from './snapshot';
import { hashOfBytes } from './hash';

/** As it is where nobody was asked. */
const PERSON = z.object(PersonFields).parse({});

/** A session that has just begun, with nothing noted yet. */
export const begunSession = (id: string, clientId: string): Omit<Session, 'sequence' | 'order'> => ({
	...AS_PLANNED,
	id,
	revision: 0,
	updatedAt: NOW,
	clientId,
	startedAt: NOW,
	endedAt: null,
	zoneOffsetMinutes: 0,
	before: { takenAt: NOW, entries: [] },
	after: null,
	context: [],
	done: [],
	workedSeconds: 0,
	haltedSeconds: 0,
	screened: null,
	sideEffects: '',
	note: ''
});

/** Random full stores, for tests only: records of every kind that point to one another as they should. */
type Rows = { readonly [K in KindId]: RecordOf<K>[] };

const at = (n: number) => new Date(Date.parse(NOW) + n * 60_000).toISOString();
const fields = (id: string, revision: number) => ({ id, revision, updatedAt: at(revision) });
const text = fc.string({ maxLength: 12 });

/** A valid entry of any observation. */
export const anyEntry: fc.Arbitrary<Entry> = fc
	.record({
		id: fc.constantFrom(...OBSERVATION_IDS.filter((id) => !('sumOf' in observation(id) && observation(id)))),
		place: fc.constantFrom(...ZONE_IDS),
		side: fc.constantFrom<'left' | 'right'>('left', 'right'),
		share: fc.double({ min: 0, max: 1, noNaN: true }),
		words: text
	})
	.map(({ id, place, side, share, words }): Entry => {
		const row = observation(id);
		const spot = { ...(row.place === 'zone' ? { place } : {}), ...(row.sides ? { side } : {}) };
		if (isGrade(row)) return { observation: id, ...spot, value: Math.round(4 * share) };
		if (isMeasured(row)) return { observation: id, ...spot, value: row.min + Math.round((row.max - row.min) * share) };
		const options = row.kind === 'choice' ? Object.keys(row.options) : [];
		return { observation: id, ...spot, value: options[Math.floor(share * (options.length - 1))] ?? words };
	});
const assessment = fc.array(anyEntry, { maxLength: 6 }).map((entries) => ({ takenAt: NOW, entries }));

const sequences = fc
	.uniqueArray(fc.tuple(anySequence, fc.integer({ min: 0, max: 9 })), {
		minLength: 2,
		maxLength: 3,
		selector: ([, n]) => n
	})
	.map((list) => list.map(([s, n]): Sequence => ({ ...s, id: `sequence-${n}`, revision: n, title: `Sequence ${n}` })));

/** All tables with a few records each; second versions and interrupted stages among them. */
export const anyStore: fc.Arbitrary<Rows> = fc
	.record({
		sequences,
		names: fc.uniqueArray(fc.string({ minLength: 1, maxLength: 12 }), { minLength: 1, maxLength: 3 }),
		visits: fc.array(
			fc.record({
				client: fc.nat(2),
				sequence: fc.option(fc.nat(2)),
				before: assessment,
				after: fc.option(assessment),
				over: fc.boolean(),
				note: text
			}),
			{ maxLength: 5 }
		),
		archived: fc.boolean(),
		bytes: fc.uint8Array({ minLength: 1, maxLength: 40 })
	})
	.map(({ sequences: list, names, visits, archived, bytes }) => {
		const client = names.map((name, n) => ({
			...fields(`client-${n}`, n),
			name,
			cautions: `mind ${name}`,
			note: '',
			archived: false,
			...PERSON,
			answers: [
				{
					flag: 'filler',
					says: 'yes' as const,
					places: ['chin:left' as const],
					since: '2026-02-20',
					until: null,
					note: name,
					day: '2026-03-01',
					at: NOW
				}
			],
			marks: [
				{
					id: `mark-${n}`,
					kind: 'mole' as const,
					zone: 'malar' as const,
					side: 'left' as const,
					sizeMm: 4,
					since: null,
					note: ''
				}
			]
		}));
		const drafts = list.map((sequence) =>
			commit({ sequence, history: EMPTY_HISTORY }, setHead(sequence, { notes: 'Edited' }, 'Note'))
		);
		const sequence = drafts.map((d) => ({
			...fields(d.sequence.id, d.sequence.revision),
			updatedAt: d.sequence.updatedAt,
			archived,
			...d
		}));
		const session = visits.map((v, n) => {
			const performed = v.sequence === null ? null : list[v.sequence % list.length]!;
			return {
				...fields(`session-${n}`, n + 1),
				clientId: client[v.client % client.length]!.id,
				startedAt: at(n),
				order: Date.parse(at(n)),
				endedAt: v.over ? at(n + 20) : null,
				zoneOffsetMinutes: 60,
				sequence: performed && refTo(snapshotOf(performed)),
				planned: null,
				told: 'Slept badly.',
				blind: v.over,
				endedBecause: v.over ? ('pain' as const) : null,
				earlier: v.over
					? [{ at: at(n + 30), before: v.before, after: null, sideEffects: 'Redness', workedSeconds: n }]
					: [],
				guided: v.over,
				happened: [{ mark: 'tender' as const, side: 'left' as const, place: 'malar' as const, seconds: n }],
				corrections: [
					{
						stepId: 's',
						leftReps: n,
						rightReps: 2,
						...(v.over ? { seconds: 12.5 } : {}),
						reason: 'Miscounted',
						at: at(n)
					}
				],
				before: v.before,
				after: v.after,
				context: [{ observation: 'sleep' as const, value: 'over-7' }],
				done: [],
				workedSeconds: n,
				haltedSeconds: 0,
				screened: { held: ['Waits: chin, left'], despite: [], fitted: v.over },
				sideEffects: '',
				note: v.note
			};
		});
		const performed = new Set(session.flatMap((s) => (s.sequence ? [s.sequence.snapshot] : [])));
		const snapshot = list.map(snapshotOf).filter((s) => performed.has(s.id));
		const open = session.filter((s) => s.sequence && !s.endedAt);
		const second = <T extends { id: string }>(kind: string, record: T) => ({
			...fields(`second-${kind}-${record.id}`, 1),
			kind,
			recordId: record.id,
			savedAt: NOW,
			record
		});
		return {
			client,
			sequence,
			snapshot,
			session,
			'run-entry': open.flatMap((s) =>
				(['begin', 'go', 'mark'] as const).map((kind, n) => ({
					...fields(`${s.id}:0000${n}`, 1),
					sessionId: s.id,
					n,
					kind,
					...(kind === 'mark' ? { mark: 'more' as const, stepId: 's', side: 'left' as const } : {}),
					seconds: n,
					atMs: n
				}))
			),
			technique: [{ ...fields('mine', 1), item: { ...TECHNIQUES[5]!, id: 'mine' } }],
			school: [{ ...fields('my-school', 1), item: { ...SCHOOLS[2]!, id: 'my-school' } }],
			medium: [{ ...fields('my-oil', 1), item: { ...MEDIA[0]!, id: 'my-oil' } }],
			kept: drafts.map((d, n) => ({
				...fields(`kept-${n}`, 1),
				kind: n ? ('version' as const) : ('removed' as const),
				sequenceId: d.sequence.id,
				keptAt: NOW,
				archived,
				name: n ? 'Before' : '',
				...d
			})),
			comparison: [sampleComparison(list.slice(0, 2), CONTEXT)],
			binary: [{ ...fields(hashOfBytes(bytes), 1), clientId: 'client-0', type: 'image/jpeg', bytes }],
			photo: [
				{
					...fields('photo-1', 1),
					clientId: 'client-0',
					sessionId: archived ? (visits.length ? 'session-0' : null) : null,
					when: 'before' as const,
					view: 'front' as const,
					takenAt: at(2),
					source: 'simulated' as const,
					widthPx: 600,
					heightPx: 800,
					fileId: hashOfBytes(bytes),
					thumbId: hashOfBytes(bytes),
					points: { exL: [401.5, 300] as [number, number], exR: [201, 301] as [number, number] },
					suggested: { prn: [4, 5] as [number, number] },
					truth: null,
					scale: { kind: 'none' as const },
					distanceMm: 900,
					note: ''
				}
			],
			'drill-round': [
				{
					...fields('round-1', 1),
					drill: 'pace' as const,
					at: at(3),
					value: 41.5,
					count: 12,
					what: 'Pump, 1 s',
					simulated: archived
				}
			],
			working: [{ ...fields('working', 1), id: 'working' as const, values: { ...DEFAULT_WORKING, linkPumps: 7 } }],
			settings: [
				{
					...fields('settings', 2),
					id: 'settings' as const,
					theme: 'auto' as const,
					skinTone: 'sand' as const,
					units: 'mm' as const,
					tone: true,
					voice: 'changes' as const,
					voiceRate: 1.2,
					volume: 0.7,
					stageDistanceM: 2,
					waits: 'always' as const,
					gradesBlind: true,
					findsFaces: true,
					place: { latitude: 54, longitude: 10 },
					listens: false,
					licence: [{ id: 'inside' as const, covers: 'no' as const, on: '2025-11-03', note: '' }],
					exportedAt: null,
					cautionSeenAt: null,
					keepAskedAt: null,
					currentClientId: 'client-0'
				}
			],
			'second-version': [
				...sequence.slice(0, 1).map((s) => second('sequence', { ...s, archived: !archived })),
				...client.map((c) => second('client', { ...c, name: `${c.name}!` })),
				...session.map((s) => second('session', { ...s, note: `${s.note}!` }))
			]
		} as unknown as Rows;
	});

/** A small comparison as it is saved: two sequences, a few draws. */
export function sampleComparison(sequences: Comparison['input']['sequences'], context: ExpandContext): Comparison {
	const input: ComparisonInput = {
		sequences,
		working: context.working,
		grades: [...gradesOfStart('morning')],
		zones: ['jawline'],
		draws: 4,
		seed: 3
	};
	const run = new PairedRun({ ...input, programmes: sequences.map((s) => planOfSequence(s, context).programme) });
	run.advance(input.draws);
	return {
		id: 'c1',
		revision: 1,
		updatedAt: sequences[0]!.updatedAt,
		title: 'Two ways',
		core: CORE_VERSION,
		start: 'A puffy morning face',
		input,
		result: resultOf(run.figures)
	};
}
