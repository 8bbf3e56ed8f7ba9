import { readdirSync, readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { routineOf, sequenceOfText } from '../src/lib/core/corpus/corpus';
import { plannedCounts } from '../src/lib/core/perform/account';
import { CELLS } from '../src/lib/core/perform/instruction/cells';
import { instructionAt } from '../src/lib/core/perform/instruction/instruction';
import { planOf } from '../src/lib/core/perform/instruction/moment';
import { placeTexts } from '../src/lib/core/perform/instruction/placeTexts';
import { shownAt } from '../src/lib/core/perform/shown';
import { suppliesOf } from '../src/lib/core/perform/supplies';
import { signSecondsOf } from '../src/lib/core/perform/untilSign';
import { positionAt } from '../src/lib/core/perform/position';
import { ClientSchema } from '../src/lib/core/records/client';
import { recordOf } from '../src/lib/core/records/sequenceRecord';
import { WorkingRecordSchema } from '../src/lib/core/records/workingValues';
import { judge } from '../src/lib/core/rules/judge';
import type { Sequence } from '../src/lib/core/sequence/sequence.schema';
import { stepsOf } from '../src/lib/core/sequence/walk';
import { CONTEXT, NOW } from '../src/lib/core/testing';
import { DEFAULT_WORKING } from '../src/lib/core/working/defaultWorking';
import { backupOf } from '../src/lib/formats/backup/writeBackup';
import { begin, recordsIn } from './support';

/** What of the vocabulary a sequence uses: each word, and each field that is not as usual. */
function elementsOf(sequence: Sequence): Set<string> {
	return new Set(
		stepsOf(sequence).flatMap(({ step }) => {
			const { aim, contact, motion, parts = [], tool, side, dose, breath, posture, mouth, end } = step;
			const words = { aim, contact, tool: tool?.id, dose: dose.kind, breath, posture, mouth, end: end.kind };
			const fields = ['laneWays', 'beside', 'onlyIf', 'choice', 'stations', 'until', 'risesTo', 'poseSeconds'] as const;
			return [
				...Object.entries(words).map(([field, word]) => `${field} ${word}`),
				...[motion, ...parts.map((p) => p.motion)].map((word) => `motion ${word}`),
				`side ${typeof side === 'object' ? Object.keys(side)[0] : side}`,
				...fields.filter((field) => step[field])
			];
		})
	);
}

const directory = new URL('../src/lib/core/corpus/routines/', import.meta.url);
const ROUTINES = readdirSync(directory).map((file) => {
	const id = file.replace('.txt', '');
	const sequence = sequenceOfText(routineOf(id, readFileSync(new URL(file, directory), 'utf8')).text, id);
	return { id, sequence, elements: elementsOf(sequence) };
});
/** Routines that have every element between them, the richest first. */
function covering() {
	const missing = new Set(ROUTINES.flatMap((r) => [...r.elements]));
	const chosen = [];
	while (missing.size) {
		const news = (r: (typeof ROUTINES)[number]) => [...r.elements].filter((e) => missing.has(e)).length;
		const best = ROUTINES.toSorted((a, b) => news(b) - news(a))[0]!;
		best.elements.forEach((e) => missing.delete(e));
		chosen.push(best);
	}
	return chosen;
}
const CHOSEN = covering();

/** A fast clock looks so often: a page that stands still for longer is a halt, by a working value of this practice. */
const LOOK_MS = 9_000;

async function bringIn(page: Page): Promise<void> {
	await begin(page, '/exchange');
	const client = ClientSchema.parse({ id: 'vera', revision: 0, updatedAt: NOW, name: 'Vera' });
	const sequence = CHOSEN.map((r) => recordOf(r.sequence, { past: [], future: [] }));
	const values = { ...DEFAULT_WORKING, gapSeconds: LOOK_MS / 1000 + 1 };
	const working = [WorkingRecordSchema.parse({ id: 'working', revision: 0, updatedAt: NOW, values })];
	const buffer = Buffer.from(await backupOf(NOW, { client: [client], sequence, working }));
	await page.locator('input[type=file]').setInputFiles({ name: 'practice.zip', mimeType: 'application/zip', buffer });
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText(/records? (is|are) in\./)).toBeVisible();
	await page.goto('/session');
	await page.getByRole('combobox', { name: /^Client/ }).click();
	await page.getByRole('option', { name: 'Vera' }).click();
	await expect(page.getByRole('button', { name: /^Start, / })).toBeEnabled();
}

/** Performs a sequence by a fast clock: each step is looked at while it runs, and what is stored is what was planned. */
async function perform(page: Page, { id, sequence }: (typeof ROUTINES)[number]): Promise<void> {
	await page.goto(`/session?sequence=${id}`);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	const { events, context } = judge(sequence, CONTEXT);
	await page.clock.pauseAt((await page.evaluate(() => Date.now())) + 1000);
	await page.keyboard.press('Space');
	let at = 0;
	const to = async (seconds: number) => {
		// A page that stands still for seconds halts: it is looked often enough.
		for (let left = Math.max(0, Math.round(1000 * (seconds - at))) + 20; left > 0; left -= LOOK_MS + 20) {
			await page.clock.fastForward(Math.min(LOOK_MS, left));
			await page.clock.runFor(20);
		}
		at = Math.max(at, seconds) + 0.04;
	};
	const signs = signSecondsOf(events, context.byId);
	const plan = planOf(events, context.byId, CONTEXT.working, sequence);
	for (const [i, event] of events.entries()) {
		// A step that goes on until a sign waits for it past its plan.
		if (signs[i - 1]) {
			await to(event.startSeconds + 1);
			await expect.soft(page.getByRole('button', { name: /^It is so/ })).toBeVisible();
			await page.keyboard.press('Space');
			at = event.startSeconds;
		}
		if (event.stepId === events[i - 1]?.stepId || event.kind !== 'work') continue;
		await to(event.startSeconds + 0.1);
		const { step, number } = context.byId.get(event.stepId)!;
		const position = positionAt(events, at);
		const shown = shownAt(position, step, step, suppliesOf(sequence, CONTEXT.working));
		const stage = page.getByRole('region', { name: 'This step' });
		await expect.soft(stage.getByText(new RegExp(`(^|· )${number} of \\d+$`)), `${id} ${number}`).toBeVisible();
		await expect.soft(stage.getByRole('heading')).toHaveAccessibleName(placeTexts(plan, position.index)[0]!);
		// Whatever is told of the moment stands there, in full; a pressure that stays is large.
		for (const { slot, words } of instructionAt(plan, position.index))
			if (slot !== 'level' && CELLS.flat().includes(slot)) await expect.soft(stage).toContainText(words);
		await expect.soft(stage.locator('.count')).toHaveText(shown.numeral);
	}
	await to(events.at(-1)!.endSeconds + 1);
	await page.clock.resume();
	await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible();
	const done = async () =>
		(await recordsIn(page, 'soft-tide', 'sessions')).find((s) => s['id'] === page.url().split('/').at(-1))?.['done'];
	// What went on until a sign took some seconds more.
	const untilSign = new Set([...context.byId.values()].flatMap(({ step }) => (step.until ? [step.id] : [])));
	const even = (list: unknown) =>
		(list as { stepId: string }[] | undefined)?.map((d) => (untilSign.has(d.stepId) ? { ...d, seconds: 0 } : d));
	await expect.poll(async () => even(await done())).toEqual(even(plannedCounts(sequence, CONTEXT)));
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page).toHaveURL(/progress/);
}

for (const [half, list] of [CHOSEN.filter((_, i) => i % 2), CHOSEN.filter((_, i) => i % 2 === 0)].entries())
	test(`every element of the vocabulary is performed by a fast clock, part ${half + 1}`, async ({ page }) => {
		await page.clock.install();
		await bringIn(page);
		for (const routine of list) await test.step(routine.id, () => perform(page, routine));
	});
