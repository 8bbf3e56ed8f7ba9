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
	const ui = 'src/lib/ui/map/figure.ts';
	expect(await messages(`import '../../core/atlas/zones';\n`, ui)).not.toMatch(/boundaries/);
	expect(await messages(`import '../../store/db';\n`, ui)).toMatch(/boundaries/);
	const page = 'src/routes/pageOnly.ts';
	expect(await messages(`import '$lib/store/db';\nimport '$lib/core/atlas/zones';\n`, page)).not.toMatch(/boundaries/);
});
