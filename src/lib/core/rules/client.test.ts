import { expect, test, vi } from 'vitest';
import { CONTEXT, pump, sequenceOf } from '../testing';
import { checkAnswer } from './answer';
import { judge } from './judge';
import { muteFinding } from './mutes';

/** A rule about the person in the chair, as screening will bring them. */
vi.mock('./index', async (original) => {
	const { RULES } = await original<typeof import('./index')>();
	const rule = {
		id: 'client-mind',
		kind: 'client',
		severity: 'caution',
		floor: 'caution',
		ceiling: 'caution',
		check: ({ client }: { client: { cautions: string } | null }) =>
			client?.cautions ? [{ stepIds: [], params: { cautions: client.cautions } }] : []
	};
	const rules = [...RULES, rule];
	return { RULES: rules, ruleById: (id: string) => rules.find((r) => r.id === id) };
});
vi.mock('./wording', () => ({ sentenceOf: () => ({ head: 'Mind.', body: '' }), fixLabel: () => '' }));

const sequence = sequenceOf([pump('o', 'terminus')]);
const client = { cautions: 'No nut oils.', limits: [] };
const ofClient = (given: Parameters<typeof judge>[1], judged = sequence) =>
	judge(judged, given).findings.filter((f) => f.kind === 'client');

test('a finding of the client is there only with her, and is of its own kind', () => {
	expect(ofClient(CONTEXT)).toEqual([]);
	expect(ofClient({ ...CONTEXT, client: { cautions: '', limits: [] } })).toEqual([]);
	expect(ofClient({ ...CONTEXT, client })).toMatchObject([
		{ ruleId: 'client-mind', params: { cautions: client.cautions }, severity: 'caution' }
	]);
	expect(checkAnswer(sequence, { ...CONTEXT, client }).findings.some((f) => f.kind === 'client')).toBe(true);
});

test('it is never set aside in the sequence, not by hand and not by a file that says so', () => {
	const [finding] = ofClient({ ...CONTEXT, client });
	expect(() => muteFinding(sequence, finding!, 'known')).toThrow(/comes from the client/);
	const forged = { ...sequence, mutes: [{ key: finding!.key, reason: 'known' }] };
	expect(ofClient({ ...CONTEXT, client }, forged)).toHaveLength(1);
});
