import { expect, test } from 'vitest';
import type { Answer } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import { factsOf } from '../screening/clientFacts';
import { CONTEXT, pump, sequenceOf } from '../testing';
import { checkAnswer } from './answer';
import { judge } from './judge';
import { muteFinding } from './mutes';

const TODAY = '2026-03-01';
const sequence = sequenceOf([pump('o', 'terminus'), pump('n', 'deep-cervical')]);
const answer = (flag: string): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		day: TODAY,
		at: `${TODAY}T08:00:00Z`
	});
const clientWith = (...flags: string[]) =>
	factsOf({ cautions: '', answers: flags.map(answer), marks: [], clearances: [] }, TODAY);
const ofClient = (given: Parameters<typeof judge>[1], judged = sequence) =>
	judge(judged, given).findings.filter((f) => f.kind === 'client');

test('a finding of the client is there only with her, and is of its own kind', () => {
	expect(ofClient(CONTEXT)).toEqual([]);
	expect(ofClient({ ...CONTEXT, client: clientWith() })).toEqual([]);
	const client = clientWith('carotid');
	expect(ofClient({ ...CONTEXT, client })).toMatchObject([
		{ ruleId: 'client-clearance', severity: 'stop', stepIds: [] },
		{ ruleId: 'client-left-out', severity: 'stop', stepIds: ['n'], params: { names: 'Carotid disease' } }
	]);
	expect(checkAnswer(sequence, { ...CONTEXT, client }).findings.some((f) => f.kind === 'client')).toBe(true);
});

test('it is never set aside in the sequence, not by hand and not by a file that says so, and no school hides it', () => {
	const given = { ...CONTEXT, client: clientWith('contact-lenses', 'low-blood-pressure', 'carotid') };
	for (const finding of ofClient(given)) {
		expect(() => muteFinding(sequence, finding, 'Filler', 'known')).toThrow();
		const forged = { ...sequence, mutes: [{ key: finding.key, reason: 'known' }] };
		expect(ofClient(given, forged).map((f) => f.key)).toContain(finding.key);
	}
	const lax = {
		...sequence.school,
		severities: { 'client-left-out': 'advice', 'client-clearance': 'advice' } as const
	};
	expect(ofClient(given, { ...sequence, school: lax }).filter((f) => f.severity === 'stop')).toHaveLength(2);
});
