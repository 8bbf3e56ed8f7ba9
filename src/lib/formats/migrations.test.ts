import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { applyEdit, revertEdit } from '../core/sequence/edits';
import { SCHOOLS } from '../core/school/schools';
import { stepsOf } from '../core/sequence/walk';
import { readBackupFile, writeBackupFile } from './backupFile';
import { readSequenceFile, writeSequenceFile } from './sequenceFile';

/** Files that the first version of the application wrote. */
const fixture = (name: string) => readFileSync(new URL(`./fixtures/${name}`, import.meta.url), 'utf8');

describe('a sequence file of version 1', () => {
	const read = readSequenceFile(fixture('sequence-1.json'));
	test('is read, with the wider school and nothing of its steps changed', () => {
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		const old = JSON.parse(fixture('sequence-1.json')) as { phases: unknown; title: string; school: { id: string } };
		expect(read.value).toMatchObject({ version: 2, title: old.title, media: [], links: 'hand', mutes: [] });
		expect(JSON.parse(JSON.stringify(read.value.phases))).toEqual(old.phases);
		const shipped = SCHOOLS.find((s) => s.id === old.school.id)!;
		expect(read.value.school).toMatchObject({
			neckFirst: shipped.neckFirst,
			doses: shipped.doses,
			others: shipped.others
		});
	});
	test('and written again as version 2, it reads as the same', () => {
		if (!read.ok) throw new Error('not read');
		expect(readSequenceFile(writeSequenceFile(read.value))).toEqual(read);
	});
});

describe('a backup of version 1', () => {
	const read = readBackupFile(fixture('backup-1.json'));
	test('is read, with room for her own library', () => {
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		expect(read.value).toMatchObject({ techniques: [], schools: [], media: [] });
		expect(read.value.sequences.length).toBeGreaterThan(0);
		expect(readBackupFile(writeBackupFile(read.value)).ok).toBe(true);
	});
	test('its undo history still runs, back and forth, over an exchange of the school', () => {
		if (!read.ok) throw new Error('not read');
		const exchanges = read.value.sequences.flatMap(({ sequence, history }) => {
			let at = sequence;
			return [...history.past].reverse().map((edit) => {
				const before = revertEdit(at, edit);
				const again = applyEdit(before, edit);
				expect(again).toEqual(at);
				at = before;
				return edit.patch.some((p) => p.path[0] === 'school');
			});
		});
		expect(exchanges).toContain(true);
		expect(read.value.sequences.every(({ sequence }) => stepsOf(sequence).length >= 0)).toBe(true);
	});
});

test('a backup of version 2 is read, with nothing archived, kept or in the bin', () => {
	const read = readBackupFile(fixture('backup-2.json'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	expect(read.value.kept).toEqual([]);
	expect(read.value.sequences.length).toBeGreaterThan(0);
	expect(read.value.sequences.every((s) => s.archived === false)).toBe(true);
});

test('a backup of version 3 is read with what was kept, and no comparison', () => {
	const read = readBackupFile(fixture('backup-3.json'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	expect(read.value.kept.map((k) => k.name)).toEqual(['Before the holidays']);
	expect(read.value.comparisons).toEqual([]);
});

test('a school that nobody knows gets the policies of one that clears the neck first', () => {
	const old = JSON.parse(fixture('sequence-1.json')) as { school: Record<string, unknown> };
	const read = readSequenceFile(JSON.stringify({ ...old, school: { ...old.school, id: 'own-school', title: 'Mine' } }));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	expect(read.value.school).toMatchObject({ id: 'own-school', neckFirst: true, doses: {}, others: '' });
});
