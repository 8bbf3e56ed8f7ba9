import { ESLint } from 'eslint';
import { expect, test } from 'vitest';

const messages = async (code: string, filePath: string) => {
	const [result] = await new ESLint().lintText(code, { filePath });
	return result!.messages.map((m) => `${m.ruleId}: ${m.message}`).join('\n');
};

test('the core may not import the interface, the store or a framework; a violation fails', async () => {
	const file = 'src/lib/core/rules/rule.ts';
	expect(await messages(`import '$lib/store/db';\n`, file)).toMatch(/boundaries/);
	expect(await messages(`import '../../store/db';\n`, file)).toMatch(/boundaries/);
	expect(await messages(`import 'svelte';\n`, file)).toMatch(/no-restricted-imports/);
	expect(await messages(`export const t = Date.now();\n`, file)).toMatch(/no-restricted-properties/);
	expect(await messages(`export const d = new Date();\n`, file)).toMatch(/no-restricted-syntax/);
	expect(await messages(`export const w = window.name;\n`, file)).toMatch(/no-restricted-globals/);
});

test('the interface may use the core but not the store, and a page may use both', async () => {
	const ui = 'src/lib/ui/parts/map/figure.ts';
	expect(await messages(`import '../../../core/atlas/zones';\n`, ui)).not.toMatch(/boundaries/);
	expect(await messages(`import '../../../store/db';\n`, ui)).toMatch(/boundaries/);
	const page = 'src/routes/pageOnly.ts';
	expect(await messages(`import '$lib/store/db';\nimport '$lib/core/atlas/zones';\n`, page)).not.toMatch(/boundaries/);
});

test('the floors of the core: what lies below may not import what stands above; a violation fails', async () => {
	const floor = /stands below what it imports/;
	expect(await messages(`import '../rules/judge';\n`, 'src/lib/core/sequence/edits.ts')).toMatch(floor);
	expect(await messages(`import '../technique/library';\n`, 'src/lib/core/step/dose.ts')).toMatch(floor);
	expect(await messages(`import '../../records/kinds';\n`, 'src/lib/core/rules/dose/doseRange.ts')).toMatch(floor);
	expect(await messages(`import '../step/dose';\n`, 'src/lib/core/sequence/edits.ts')).not.toMatch(floor);
	expect(await messages(`import 'svelte';\n`, 'src/lib/core/sequence/edits.ts')).toMatch(/runs anywhere/);
});

test('a part of the interface knows no view, and a view no other view', async () => {
	const part = 'src/lib/ui/parts/map/figure.ts';
	expect(await messages(`import '../../views/session/sideWords';\n`, part)).toMatch(/knows no view/);
	const view = 'src/lib/ui/views/progress/figure.ts';
	expect(await messages(`import '../session/Stage.svelte';\n`, view)).toMatch(/knows parts and itself/);
	expect(await messages(`import '../../parts/map/finger';\n`, view)).not.toMatch(/restricted/);
});

test('what a save returned cannot be dropped, and rows are read in one way only; a violation fails', async () => {
	const state = 'src/lib/state/someEditing.ts';
	const dropped = /What a save returned must be handled/;
	const save = (code: string) => messages(`export async function f(app: any) {\n\t${code}\n}\n`, state);
	expect(await save('await app.repo.saveClient({});')).toMatch(dropped);
	expect(await save('void app.repo.changeClient("c", {});')).toMatch(dropped);
	expect(await save('await app.run(() => app.repo.saveSession({}));')).toMatch(dropped);
	expect(await save('void app.run(() => app.repo.keepCustom("medium", {}, 1));')).toMatch(dropped);
	expect(await save('return app.repo.saveSequence({});')).not.toMatch(dropped);
	expect(await messages(`import { liveQuery } from 'dexie';\nliveQuery;\n`, state)).toMatch(/read by liveRows/);
});
