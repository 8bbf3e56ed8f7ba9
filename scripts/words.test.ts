import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { expect, test } from 'vitest';

/** Places of a template whose plain text somebody reads or hears. */
const READ_ALOUD = ['label', 'title', 'placeholder', 'aria-label', 'tip', 'text', 'words', 'name'];
/** Texts of sequences as they are written down speak of ids; the atlas knows anatomical names. */
const SPEAKS_OF_IDS = /core\/corpus\/|core\/atlas\/(zones|nodes)\.ts|rules\/examples?(Parts)?\.ts|\/fixtures\//;

/** A text for people has a space, or begins with a capital. */
const isForPeople = (text: string): boolean => /\p{L}{2}/u.test(text) && (/\s/.test(text) || /^\p{Lu}/u.test(text));

const filesOf = (dir: string): string[] =>
	(readdirSync(dir, { recursive: true }) as string[])
		.map((name) => `${dir}/${name}`)
		.filter((name) => /\.(svelte|ts|json)$/.test(name) && !/\.test\.ts$/.test(name) && !SPEAKS_OF_IDS.test(name));

/** Every text of a file of data. */
const ofData = (value: unknown): string[] =>
	typeof value === 'string' ? [value] : value && typeof value === 'object' ? Object.values(value).flatMap(ofData) : [];

/** String literals of a script that somebody may read. */
function ofScript(code: string): string[] {
	const found: string[] = [];
	const walk = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
		if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
		else if (ts.isTemplateExpression(node))
			found.push([node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join(' … '));
		ts.forEachChild(node, walk);
	};
	walk(ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true));
	return found.filter(isForPeople);
}

type Node = Record<string, unknown> & { type?: string };
/** Texts of a template: between the tags, in what is read aloud, and in its expressions. */
function ofTemplate(code: string): string[] {
	const found: string[] = [];
	const walk = (node: unknown, attribute: string | null): void => {
		if (Array.isArray(node)) return node.forEach((n) => walk(n, attribute));
		if (!node || typeof node !== 'object') return;
		const n = node as Node;
		if (n.type === 'Text') {
			const text = String(n.data).replace(/\s+/g, ' ').trim();
			if (attribute === null || READ_ALOUD.includes(attribute)) found.push(text);
			return;
		}
		if (n.type === 'Literal' && typeof n.value === 'string' && attribute !== 'class' && isForPeople(n.value))
			found.push(n.value);
		const inside = n.type === 'Attribute' ? String(n.name) : attribute;
		for (const [key, value] of Object.entries(n))
			if (!['start', 'end', 'loc', 'css', 'instance', 'module'].includes(key)) walk(value, inside);
	};
	walk((parse(code, { modern: true }) as unknown as Node).fragment, null);
	return [...found, ...[...code.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].flatMap((m) => ofScript(m[1]!))];
}

const OLD_WORDS = readFileSync('docs/style-words.md', 'utf8')
	.split('\n')
	.filter((line) => line.startsWith('| ') && !line.startsWith('| we say') && !line.startsWith('| ---'))
	.flatMap((line) =>
		line
			.split('|')[2]!
			.split(',')
			.map((word) => word.trim())
	)
	.map((word) => ({
		word,
		pattern: word.startsWith('/')
			? new RegExp(`^${word.slice(1, -1)}$`, 'i')
			: new RegExp(`(^|[^\\p{L}:-])${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}($|[^\\p{L}-])`, 'iu')
	}));
const TEXTS = filesOf('src').map((file) => {
	const code = readFileSync(file, 'utf8');
	if (file.endsWith('.json')) return { file, texts: ofData(JSON.parse(code)).filter(isForPeople) };
	return { file, texts: file.endsWith('.svelte') ? ofTemplate(code) : ofScript(code) };
});

test('the interface has texts, and the table has words', () => {
	expect(TEXTS.flatMap((t) => t.texts).length).toBeGreaterThan(2000);
	expect(OLD_WORDS.length).toBeGreaterThan(30);
	expect(TEXTS.flatMap((t) => t.texts)).toEqual(
		expect.arrayContaining(['Mark the rest 0', 'Client alert', 'Stationary circles'])
	);
});

test.each(OLD_WORDS)('nobody reads “$word” any more', ({ pattern }) => {
	expect(TEXTS.flatMap(({ file, texts }) => texts.filter((t) => pattern.test(t)).map((t) => `${file}: ${t}`))).toEqual(
		[]
	);
});

test('places are called by their labels: no text has the id of a node group', () => {
	const tells = TEXTS.filter(({ file }) => !file.endsWith('notationDoc.ts'));
	expect(
		tells.flatMap(({ file, texts }) =>
			texts.filter((t) => /(^|[^\p{L}])n:\p{L}/u.test(t) && /\s/.test(t)).map((t) => `${file}: ${t}`)
		)
	).toEqual([]);
});
