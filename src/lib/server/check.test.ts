import { expect, test } from 'vitest';
import { checkAnswer } from '../core/rules/answer';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { CORE_VERSION } from '../core/version';
import { writeSequenceFile } from '../formats/sequenceFile';
import { answerCheck } from './check';

const sequence = sequenceOf([step('a', ['jawline', 'chin'])]);
const post = (body: string) => answerCheck(new Request('http://x/api/v1/check', { method: 'POST', body }));
const problem = async (body: string) => {
	const answer = await post(body);
	if (!(answer instanceof Response)) throw new Error('was accepted');
	expect(answer.headers.get('content-type')).toBe('application/problem+json');
	return {
		status: answer.status,
		...((await answer.json()) as { detail: string; errors?: { path: string }[] })
	};
};

test('the answer is that of the core, to the letter, and names its version', async () => {
	const answer = await post(writeSequenceFile(sequence));
	expect(answer).toEqual(checkAnswer(sequence, CONTEXT));
	expect(answer).toMatchObject({ core: CORE_VERSION, timing: { expectedSeconds: 10 } });
});

test('other working values change the answer', async () => {
	const working = { evenShare: 0.2, toolPickUpSeconds: 12 };
	const tool = sequenceOf([step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'spoon' } })]);
	expect(await post(JSON.stringify({ sequence: tool, working }))).toMatchObject({
		timing: { expectedSeconds: 22 }
	});
});

test('problems name the field', async () => {
	expect(await problem('{')).toMatchObject({ status: 400 });
	const bad = JSON.stringify({ ...sequence, budgetSeconds: -1 });
	expect((await problem(bad)).errors![0]!.path).toBe('budgetSeconds');
	expect((await problem(`{"sequence":${bad}}`)).errors![0]!.path).toBe('sequence.budgetSeconds');
	const working = JSON.stringify({ sequence, working: { neckFirmLevel: 4 } });
	expect((await problem(working)).errors![0]!.path).toBe('working.neckFirmLevel');
});

test('a body over 4 MiB is refused with the limit', async () => {
	expect(await problem(' '.repeat(4 * 1024 * 1024 + 1))).toMatchObject({
		status: 413,
		detail: expect.stringContaining('4194304')
	});
});
