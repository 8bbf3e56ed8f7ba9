// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import { valueAt, withValue, emptyAssessment } from '$lib/core/assess/assessment';
import { AssessmentSchema } from '$lib/core/assess/assessment.schema';
import { changesOf } from '$lib/core/assess/change';
import { observationsDoc } from '$lib/core/assess/observationsDoc';
import type { ObservationId } from '$lib/core/assess/registry';
import { changeSentence } from '$lib/core/assess/wording';
import { CONTEXT, NOW } from '$lib/core/testing';
import { observationsCsv } from '$lib/formats/observationsCsv';
import type { Session } from '$lib/core/records/session';
import { all, show } from './testing';
import GradeBoard from './views/session/GradeBoard.svelte';
import MeasureTable from './views/session/MeasureTable.svelte';
import MeasuredChanges from './views/progress/MeasuredChanges.svelte';

/** Two observations that nobody has thought of yet: a row each, and everything knows them. */
vi.mock('$lib/core/assess/observations', async (original) => {
	const { OBSERVATIONS } = await original<typeof import('$lib/core/assess/observations')>();
	const { make } = await import('$lib/core/assess/observation');
	const coldness = make.grade('Coldness', ['none', 'cool', 'cold', 'very cold', 'numb'], 'the coldness of');
	const chin = make.length('Chin to nose', 20, 90, { sides: false, said: 'the lower face' });
	return { OBSERVATIONS: { ...OBSERVATIONS, coldness, 'chin-nose': chin } };
});
const COLD = 'coldness' as ObservationId;
const CHIN = 'chin-nose' as ObservationId;
const at = { place: 'malar', side: 'left' } as const;
const before = withValue(withValue(emptyAssessment(NOW), COLD, at, 4), CHIN, {}, 66);
const after = withValue(withValue(emptyAssessment(NOW), COLD, at, 1), CHIN, {}, 60);

test('is stored, checked, compared and said in its own words', () => {
	expect(AssessmentSchema.safeParse(before).success).toBe(true);
	expect(AssessmentSchema.safeParse(withValue(before, CHIN, {}, 200)).success).toBe(false);
	expect(valueAt(before, COLD, at)).toBe(4);
	const changes = [COLD, CHIN].flatMap((id) => changesOf(id, before, after, CONTEXT.working));
	expect(changeSentence(changes)).toMatchObject({
		real: 'Changed: the lower face measures 6.0 mm less.',
		rest: expect.stringContaining('Graded: the coldness of the left apple of the cheek from numb to cool;') as string
	});
});

test('stands on the boards before and after, in Progress, in the CSV and in docs', () => {
	const board = show(GradeBoard, {
		assessment: before,
		ghost: null,
		asked: ['malar'],
		orientation: 'facing',
		title: 'Now',
		onchange: () => {}
	});
	expect(board.textContent).toContain('Puffiness');
	expect(all(board, '[aria-label^="What else is graded"]')).toHaveLength(1);
	const table = show(MeasureTable, { assessment: before, ghost: null, unit: 'mm', onchange: () => {} });
	expect(table.querySelector<HTMLInputElement>('[aria-label="Chin to nose, mm"]')!.value).toBe('66.0');
	const { working } = CONTEXT;
	expect(show(MeasuredChanges, { before, after, working, comparable: true, unit: 'mm' }).textContent).toContain(
		'66.0 to 60.0'
	);
	const csv = observationsCsv(
		[{ id: 's', clientId: 'c', startedAt: NOW, context: [], before, after } as unknown as Session],
		() => 'Bo'
	);
	expect(csv).toContain('coldness,malar,left,4');
	expect(observationsDoc()).toContain('Coldness');
});
