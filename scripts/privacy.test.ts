import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

const sources = execFileSync('git', ['ls-files', 'src/**/*.svelte', 'src/*.html'], { encoding: 'utf8' })
	.trim()
	.split('\n')
	.map((file) => [file, readFileSync(file, 'utf8')] as const);

/** A tag from its beginning to its end, over expressions in braces. */
function tagAt(text: string, from: number): string {
	let depth = 0;
	for (let i = from; i < text.length; i++) {
		if (text[i] === '{') depth++;
		if (text[i] === '}') depth--;
		if (text[i] === '>' && depth === 0) return text.slice(from, i + 1);
	}
	return text.slice(from);
}
const fieldsOf = (text: string): string[] =>
	[...text.matchAll(/<(input|textarea)\b/g)].map((m) => tagAt(text, m.index));

test('a browser is told to keep nothing of what is typed: not for later forms, not for a session that is restored', () => {
	const open = sources.flatMap(([file, text]) =>
		fieldsOf(text)
			.filter((tag) => !/type="(checkbox|radio|range|file)"/.test(tag))
			// The fields of one part share what holds for all of them.
			.filter((tag) => !/autocomplete/.test(tag) && !(/\{\.\.\.common/.test(tag) && /autocomplete: 'off'/.test(text)))
			.map((tag) => `${file}: ${tag.slice(0, 90)}`)
	);
	expect(open).toEqual([]);
	expect(fieldsOf('<input value={a > b ? 1 : 2} class="x">')).toEqual(['<input value={a > b ? 1 : 2} class="x">']);
	expect(sources.flatMap(([, text]) => fieldsOf(text)).length).toBeGreaterThan(60);
});

test('one title, and nothing that was typed stands in it: histories keep titles', () => {
	const titled = sources.filter(
		([file, text]) => /<title>/.test(text) && file.endsWith('.svelte') && /svelte:head/.test(text)
	);
	expect(titled.map(([file]) => file)).toEqual(['src/routes/+layout.svelte']);
	expect(titled[0]![1]).toContain("<title>{[view?.title, 'Soft Tide'].filter(Boolean).join(' · ')}</title>");
	expect(sources.filter(([, text]) => text.includes('document.title'))).toEqual([]);
});
