import { SIDES } from '../core/atlas/places';
import { type ZoneId } from '../core/atlas/zones';
import type { Assessment } from '../core/assess/assessment.schema';
import { ENTERED_MEASURED_IDS, HEADLINE_GRADE, measuredRow } from '../core/assess/registry';
import { ClientSchema, type Client } from '../core/records/client';
import { recordOf } from '../core/records/sequenceRecord';
import type { Session } from '../core/records/session';
import { AS_PLANNED } from '../core/records/asPlanned';
import { refTo, snapshotOf, type Snapshot } from '../core/records/snapshot';
import type { Rows } from '../formats/backup/backupSchema';
import { doneCounts } from '../core/perform/position';
import { expand } from '../core/sequence/expand';
import { EMPTY_HISTORY } from '../core/sequence/history';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import { seededRandom } from '../core/random';
import { knownOf } from './people';
import { normal } from './random';
import { demoSequences } from './sequences';

/** A room above a bakery in a canal town: people who start early, blow glass, row and read by lamplight. All invented. */
interface Person {
	readonly id: string;
	readonly name: string;
	readonly note: string;
	readonly cautions: string;
	readonly sequence: string;
	/** Days between sessions, and the usual hour. */
	readonly everyDays: number;
	readonly hour: number;
	/** Puffiness at the start and after eight weeks, by zone; the left a little more than the right. */
	readonly zones: Partial<Record<ZoneId, readonly [start: number, end: number]>>;
	/** The three distances at the start, mm, and how much of them goes over the weeks. */
	readonly mm: readonly [number, number, number];
	readonly lastingMm: number;
	/** What one session takes off, in grades and mm. */
	readonly dropGrades: number;
	readonly dropMm: number;
}

const PEOPLE: readonly Person[] = [
	{
		id: 'demo-odile',
		name: 'Odile K.',
		note: 'Night baker. Swollen lids at the end of a shift, better by noon.',
		cautions: 'No nut oils.',
		sequence: 'demo-bakers-dawn',
		everyDays: 3,
		hour: 7,
		zones: {
			'lower-eyelid': [3.1, 1.6],
			'upper-eyelid': [1.6, 1.1],
			malar: [2.1, 1.4],
			jawline: [1.9, 1.6],
			submental: [1.2, 1]
		},
		mm: [104, 88, 96],
		lastingMm: 3.2,
		dropGrades: 1.5,
		dropMm: 1.9
	},
	{
		id: 'demo-radu',
		name: 'Radu P.',
		note: 'Glassblower. Tight jaw and cheeks after long days at the pipe.',
		cautions: 'Jaw clicks on the right without pain. Ask first.',
		sequence: 'demo-glass-jaw',
		everyDays: 7,
		hour: 18,
		zones: { masseter: [2.4, 1.8], buccal: [2, 1.8], jawline: [1.6, 1.4], 'under-jaw': [1.2, 1.1] },
		mm: [112, 97, 104],
		lastingMm: 0.6,
		dropGrades: 0.8,
		dropMm: 0.7
	},
	{
		id: 'demo-svea',
		name: 'Svea L.',
		note: 'Rows at dawn, wind on the water. Lids and cheeks.',
		cautions: 'Contact lenses out first.',
		sequence: 'demo-rowers-morning',
		everyDays: 5,
		hour: 9,
		zones: {
			'lower-eyelid': [2.2, 1.8],
			'upper-eyelid': [2, 1.4],
			malar: [1.7, 1.5],
			'forehead-medial': [1.1, 1]
		},
		mm: [100, 84, 92],
		lastingMm: 1.4,
		dropGrades: 1.2,
		dropMm: 1.2
	},
	{
		id: 'demo-l14',
		name: 'Lamp 14',
		note: 'Translator, by her own wish under a code. Chin and jaw after bent evenings.',
		cautions: '',
		sequence: 'demo-nape-collarbone',
		everyDays: 9,
		hour: 16,
		zones: { submental: [2.3, 2], chin: [1.4, 1.2], jawline: [1.8, 1.7], nasolabial: [1.2, 1.1] },
		mm: [107, 91, 99],
		lastingMm: 0.3,
		dropGrades: 0.6,
		dropMm: 0.5
	}
];

/** What the tape takes on each side. */
const DISTANCES = ENTERED_MEASURED_IDS.filter((id) => measuredRow(id).sides && !measuredRow(id).more);
const WEEKS = 8;
const DAY_MS = 86_400_000;
const grade = (x: number) => Math.min(4, Math.max(0, Math.round(x))) as 0 | 1 | 2 | 3 | 4;
/** Grades more than usual after a long night. */
const LONG_NIGHT = 1;
const half = (x: number) => Math.round(x * 2) / 2;

interface Moment {
	/** 0 at the start of the eight weeks, 1 today. */
	readonly share: number;
	/** How swollen the day is, in grades. */
	readonly day: number;
	readonly dropGrades: number;
	readonly dropMm: number;
}

function assessmentOf(person: Person, takenAt: Date, m: Moment, random: () => number): Assessment {
	const grades = Object.entries(person.zones).flatMap(([zone, [start, end]]) =>
		SIDES.map((side) => ({
			observation: HEADLINE_GRADE,
			place: zone as ZoneId,
			side,
			value: grade(
				normal(random, start + (end - start) * m.share + m.day - m.dropGrades + (side === 'left' ? 0.25 : -0.1), 0.28)
			)
		}))
	);
	const distances = DISTANCES.flatMap((observation, i) =>
		SIDES.map((side) => {
			const lasting = person.lastingMm * m.share * (side === 'left' ? 1 : 0.6);
			const true_ = person.mm[i]! + (side === 'left' ? 1 : 0) + 0.7 * m.day - lasting - m.dropMm;
			return { observation, side, value: half(normal(random, true_, DEFAULT_WORKING.distanceErrorMm * 0.7)) };
		})
	);
	return { takenAt: takenAt.toISOString(), entries: [...grades, ...distances] };
}

/** Now and then the tape is lifted and laid again: two readings about the one that is there. */
function measuredTwice(assessment: Assessment, random: () => number): Assessment {
	const spread = (DEFAULT_WORKING.distanceErrorMm * 0.7) / Math.SQRT2;
	const entries = assessment.entries.flatMap((entry) => {
		if (entry.observation === HEADLINE_GRADE || typeof entry.value !== 'number') return [entry];
		const apart = half(normal(random, 0, spread));
		return [
			{ ...entry, value: entry.value - apart },
			{ ...entry, value: entry.value + apart, retake: 2 }
		];
	});
	return { ...assessment, entries };
}
/** Every so many sessions the distances are taken twice, and grades are given blind. */
const [TWICE_EVERY, BLIND_EVERY] = [3, 4];

function sessionOf(
	person: Person,
	snapshot: Snapshot,
	start: Date,
	share: number,
	n: number,
	random: () => number,
	offset: number
): Session {
	/** For what came to the demo later: what was there before stays as it was. */
	const aside = seededRandom(1000 + n * 17 + person.id.length);
	const usual = normal(random, 0, 0.35);
	// Whoever comes today comes from a long night: there is something to see.
	const day = share === 1 ? LONG_NIGHT : usual;
	const { sequence } = snapshot;
	const events = expand(sequence, { working: DEFAULT_WORKING });
	const plannedSeconds = events.at(-1)?.endSeconds ?? 0;
	const cut = random() < 0.15 ? plannedSeconds * (0.55 + 0.2 * random()) : plannedSeconds;
	const halted = random() < 0.25 ? Math.round(20 + 50 * random()) : 0;
	const begun = new Date(start.getTime() + 4 * 60_000);
	const end = new Date(begun.getTime() + (cut + halted) * 1000);
	const moment = { share, day, dropGrades: 0, dropMm: 0 };
	const drop = { ...moment, dropGrades: person.dropGrades, dropMm: person.dropMm };
	const before = assessmentOf(person, start, moment, random);
	const after = assessmentOf(person, end, drop, random);
	/** Sleep and salt often come together, and not always. */
	const otherwise = share !== 1 && aside() < 0.25;
	return {
		id: `${person.id}-${n}`,
		revision: 1,
		updatedAt: end.toISOString(),
		clientId: person.id,
		startedAt: start.toISOString(),
		order: start.getTime(),
		endedAt: end.toISOString(),
		zoneOffsetMinutes: offset,
		sequence: refTo(snapshot),
		...AS_PLANNED,
		blind: n % BLIND_EVERY === 0,
		before: n % TWICE_EVERY === 0 ? measuredTwice(before, aside) : before,
		after,
		context: [
			{ observation: 'sleep', value: day > 0.3 ? 'under-5' : '5-to-7' },
			{ observation: 'salt', value: day > 0.2 !== otherwise ? 'much' : 'usual' }
		],
		done: doneCounts(events, [{ from: 0, to: cut }]),
		workedSeconds: Math.round(cut),
		haltedSeconds: halted,
		screened: null,
		sideEffects: random() < 0.1 ? 'Slight redness of the cheeks, gone after ten minutes.' : '',
		note: ''
	};
}

/**
 * The demo practice: four clients, six sequences, eight weeks of sessions that end on the given day.
 * @param now the day on which it is made; its zone offset gives the hours on the wall
 */
export function makeDemo(now: Date): Pick<Rows, 'client' | 'sequence' | 'snapshot' | 'session'> {
	const random = seededRandom(20260301);
	const offset = 0 - now.getTimezoneOffset();
	const today = Math.floor((now.getTime() + offset * 60_000) / DAY_MS) * DAY_MS - offset * 60_000;
	const begin = new Date(today - WEEKS * 7 * DAY_MS).toISOString();
	const sequences = demoSequences(begin);
	const snapshots = sequences.map(snapshotOf);
	const day = (ms: number) => new Date(ms + offset * 60_000).toISOString().slice(0, 10);
	const clients: Client[] = PEOPLE.map(({ id, name, note, cautions }) => ({
		...ClientSchema.parse({ id, revision: 1, updatedAt: begin, name, note, cautions }),
		...knownOf(id, day(today - WEEKS * 7 * DAY_MS), day(today))
	}));
	const sessions = PEOPLE.flatMap((person, p) => {
		const snapshot = snapshots.find((s) => s.sequence.id === person.sequence)!;
		// The first client was here today, the others on days before.
		const lastDay = [0, 2, 1, 4][p]!;
		const days: number[] = [];
		for (let d = lastDay; d <= WEEKS * 7; d += person.everyDays) days.unshift(d);
		return days.map((daysAgo, n) => {
			const minutes = person.hour * 60 + Math.round(normal(random, 5, 12));
			const usual = today - daysAgo * DAY_MS + minutes * 60_000;
			// Today's session is over by now, however early the demo is made.
			const start = new Date(daysAgo ? usual : Math.max(today, Math.min(usual, now.getTime() - 25 * 60_000)));
			return sessionOf(person, snapshot, start, 1 - daysAgo / (WEEKS * 7), n + 1, random, offset);
		});
	});
	const past = sessions.filter((s) => Date.parse(s.startedAt) <= now.getTime());
	const performed = new Set(past.map((s) => s.sequence!.snapshot));
	return {
		client: clients,
		sequence: sequences.map((sequence) => recordOf(sequence, EMPTY_HISTORY)),
		snapshot: snapshots.filter((s) => performed.has(s.id)),
		session: past
	};
}
