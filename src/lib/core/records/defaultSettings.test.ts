import { expect, test } from 'vitest';
import { NOW } from '../testing';
import { DEFAULT_SETTINGS } from './defaultSettings';
import { RECORD_KINDS } from './kindTable';
import { SettingsSchema } from './settings';
import { KIND_IDS, tableRow } from './tables';

test('settings that were never set are what the schema fills in', () => {
	const bare = { id: 'settings', revision: 0, updatedAt: NOW };
	expect(SettingsSchema.parse(bare)).toEqual({ ...bare, ...DEFAULT_SETTINGS });
});

test('every kind lies in the table of its own name, and every table has a kind', () => {
	expect(Object.keys(RECORD_KINDS)).toEqual(KIND_IDS);
	expect(new Set(KIND_IDS.map((id) => tableRow(id).table)).size).toBe(KIND_IDS.length);
	for (const id of KIND_IDS) expect(RECORD_KINDS[id]).toMatchObject({ id, ...tableRow(id) });
});
