import { expect, test } from 'vitest';
import { emptyAssessment } from '../assess/assessment';
import { SessionSchema, type Session } from '../records/session';
import { refTo, snapshotOf } from '../records/snapshot';
import { CONTEXT, NOW, sequenceOf, step } from '../testing';
import { plannedCounts } from './account';
import { practiceOf } from './practice';

const sequence = {
	...sequenceOf([step('a', ['malar', 'zygoma']), step('z', ['supraclavicular'], { aim: 'close' })]),
	id: 'q'
};
const planned = plannedCounts(sequence, CONTEXT).map((d) => ({ ...d, skipped: false }));
const session = (id: string, change: Partial<Session> = {}): Session => ({
	...SessionSchema.parse({
		id,
		revision: 1,
		updatedAt: NOW,
		clientId: 'c',
		startedAt: NOW,
		endedAt: NOW,
		sequence: refTo(snapshotOf(sequence)),
		before: emptyAssessment(NOW),
		done: planned,
		workedSeconds: 300
	}),
	...change
});
const rows = (...sessions: Session[]) => practiceOf(sessions, () => sequence, CONTEXT);

test('sessions, clients, minutes and reactions are counted by sequence', () => {
	const [row] = rows(session('1'), session('2', { clientId: 'd', workedSeconds: 420, sideEffects: 'Redness' }));
	expect(row).toEqual({
		id: 'q',
		title: sequence.title,
		sessions: 2,
		clients: 2,
		minutes: 6,
		even: { n: 2, of: 2 },
		closed: { n: 2, of: 2 },
		reactions: 1
	});
});
test('a side that was left out is not even; a closing drain that was skipped was not done', () => {
	const oneSided = planned.map((d) => ({ ...d, rightReps: 0 }));
	const skipped = planned.map((d) =>
		d.stepId === 'z' ? { ...d, leftReps: 0, rightReps: 0, seconds: 0, skipped: true } : d
	);
	const [row] = rows(session('1', { done: oneSided }), session('2', { done: skipped }));
	expect(row!.even.n).toBeLessThan(2);
	expect(row!.closed).toEqual({ n: 1, of: 2 });
});
test('what is still open, or was only looked at, is not counted', () => {
	expect(rows(session('1', { endedAt: null }), session('2', { sequence: null }))).toEqual([]);
});
