import { isObject, type Raw, type StoredRecord } from '../../core/records/record';
import { KIND_IDS, tableRow, type TableRow } from '../../core/records/tables';
import { openBytes, sealBytes, type Sealed } from './sealing';

/** What lies in a table in place of a record: the keys by which it is found, and the rest sealed. */
export type SealedRow = Raw & { readonly id: string; readonly sealed: Sealed };

export const isSealed = (row: unknown): row is SealedRow =>
	isObject(row) && isObject(row.sealed) && row.sealed.iv instanceof Uint8Array;

/** The fields by which a table finds its rows, without those that say something of a person. */
function clearPaths({ indexes, sealedKeys = [] }: TableRow): string[][] {
	const latest = Math.max(...Object.keys(indexes).map(Number));
	const fields = [...new Set(indexes[latest]!.split(/[,+[\]\s]+/).filter(Boolean))];
	return fields.filter((field) => !sealedKeys.includes(field)).map((field) => field.split('.'));
}
const ROWS = KIND_IDS.map(tableRow);
const CLEAR = new Map(ROWS.map((row) => [row.table, clearPaths(row)]));
const BYTES = new Map(ROWS.map((row) => [row.table, row.bytes]));

/** What stays readable of a row: its keys. */
export function clearPart(table: string, row: Raw): Raw {
	const clear: Raw = {};
	for (const path of CLEAR.get(table) ?? [['id']]) {
		let [from, to]: [unknown, Raw] = [row, clear];
		for (const [i, field] of path.entries()) {
			from = isObject(from) ? from[field] : undefined;
			if (from === undefined || from === null) break;
			if (i === path.length - 1) to[field] = from;
			else to = (to[field] ??= {}) as Raw;
		}
	}
	return clear;
}

const utf8 = { to: new TextEncoder(), from: new TextDecoder() };
/** Bytes in which the length of the text is written. */
const LENGTH_BYTES = 4;

/** A record as bytes: the length of its text, its text, and the field that is bytes already. */
function packed(table: string, row: Raw): Uint8Array<ArrayBuffer> {
	const field = BYTES.get(table);
	const { [field ?? '']: held, ...rest } = row;
	const text = utf8.to.encode(JSON.stringify(rest));
	const raw = held instanceof Uint8Array ? held : new Uint8Array();
	const bytes = new Uint8Array(LENGTH_BYTES + text.length + raw.length);
	new DataView(bytes.buffer).setUint32(0, text.length);
	bytes.set(text, LENGTH_BYTES);
	bytes.set(raw, LENGTH_BYTES + text.length);
	return bytes;
}

function unpacked(table: string, bytes: Uint8Array<ArrayBuffer>): StoredRecord {
	const end = LENGTH_BYTES + new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
	const rest = JSON.parse(utf8.from.decode(bytes.subarray(LENGTH_BYTES, end))) as StoredRecord;
	const field = BYTES.get(table);
	return field ? { ...rest, [field]: bytes.slice(end) } : rest;
}

const nameOf = (table: string, id: string): string => `${table} ${id}`;

export async function sealRow(key: CryptoKey, table: string, row: Raw): Promise<SealedRow> {
	const id = String(row.id);
	return { ...clearPart(table, row), id, sealed: await sealBytes(key, packed(table, row), nameOf(table, id)) };
}

/** @throws {DOMException} if the key is another one, or the row was tampered with */
export const openRow = async (key: CryptoKey, table: string, row: SealedRow): Promise<StoredRecord> =>
	unpacked(table, await openBytes(key, row.sealed, nameOf(table, row.id)));
