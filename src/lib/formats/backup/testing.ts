import { strToU8 } from 'fflate';
import { DATA_VERSION } from '../../core/records/dataVersion';
import { allKinds } from '../../core/records/kinds';
import { NOW } from '../../core/testing';
import { BACKUP_FORMAT, rowsOf, type SomeRows } from './backupSchema';

/** A backup as somebody else may have written it: as it is, unchecked. Binary files are left out. */
export const uncheckedBackup = (rows: SomeRows): Uint8Array =>
	strToU8(
		JSON.stringify({
			format: BACKUP_FORMAT,
			version: DATA_VERSION,
			core: 'other',
			exportedAt: NOW,
			...Object.fromEntries(allKinds().map((kind) => [kind.table, kind.bytes ? [] : rowsOf(rows, kind)]))
		})
	);
