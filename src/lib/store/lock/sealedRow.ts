import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import stringify from 'safe-stable-stringify';
import { isObject, type Raw, type StoredRecord } from '../../core/records/record';
import { KIND_IDS, tableRow, type TableRow } from '../../core/records/tables';
import { openBytes, sealBytes, type Sealed } from './sealing';

/** What lies in a table in place of a record: the keys by which it is found, and the rest sealed. Rows of an earlier form say no form. */
export type SealedRow = Raw & { readonly id: string; readonly sealed: Sealed & { readonly form?: 2 } };

export const isSealed = (row: unknown): row is SealedRow =>
	isObject(row) && isObject(row.sealed) && row.sealed.iv instanceof Uint8Array;

/** What opens rows, and the bytes by which names that are made of content are written. */
export interface RowKeys {
	readonly key: CryptoKey;
	/** Null: rows of an earlier form, whose names are as they were. */
	readonly names: Uint8Array | null;
}

/** Begins a name that is made of content as it lies in a sealed table: it is never written so twice. */
const BLIND = '~';
/** A name that is made of content: whoever has the same picture cannot see that it is here. */
export const blind = (names: Uint8Array, id: string): string =>
	id === '' || id.startsWith(BLIND) ? id : BLIND + bytesToHex(hmac(sha256, names, utf8.to.encode(id)));

/** The fields by which a table finds its rows. */
function clearPaths({ indexes }: TableRow): string[][] {
	const latest = Math.max(...Object.keys(indexes).map(Number));
	return [...new Set(indexes[latest]!.split(/[,+[\]\s]+/).filter(Boolean))].map((field) => field.split('.'));
}
const ROWS = KIND_IDS.map(tableRow);
const CLEAR = new Map(ROWS.map((row) => [row.table, clearPaths(row)]));
const BYTES = new Map(ROWS.map((row) => [row.table, row.bytes]));
const HASHES = new Map(ROWS.map((row) => [row.table, new Set(row.hashKeys ?? [])]));
/** Whether a key of a table is made of content. */
export const isHashKey = (table: string, field: string): boolean => HASHES.get(table)?.has(field) ?? false;

/** What stays readable of a row: its keys, and which revision it is. */
export function clearPart(table: string, row: Raw, names: Uint8Array | null = null): Raw {
	const clear: Raw = {};
	for (const path of [...(CLEAR.get(table) ?? [['id']]), ...(row.revision === undefined ? [] : [['revision']])]) {
		let [from, to]: [unknown, Raw] = [row, clear];
		for (const [i, field] of path.entries()) {
			from = isObject(from) ? from[field] : undefined;
			if (from === undefined || from === null) break;
			if (i === path.length - 1)
				to[field] = names && typeof from === 'string' && isHashKey(table, path.join('.')) ? blind(names, from) : from;
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

/** What a row is sealed as: table, id, owner, revision and every other key that is readable. It opens as nothing else. */
function nameOf(table: string, row: Raw): string {
	const { sealed: _sealed, ...clear } = row;
	return stringify([2, table, clear])!;
}

export async function sealRow({ key, names }: RowKeys, table: string, row: Raw): Promise<SealedRow> {
	const clear: Raw & { id: string } = { ...clearPart(table, row, names), id: namedAs(table, String(row.id), names) };
	const sealed = await sealBytes(key, packed(table, row), nameOf(table, clear));
	return { ...clear, sealed: { ...sealed, form: 2 } };
}
const namedAs = (table: string, id: string, names: Uint8Array | null): string =>
	names && isHashKey(table, 'id') ? blind(names, id) : id;

/** @throws {DOMException} if the key is another one, or the row was tampered with */
export const openRow = async (key: CryptoKey, table: string, row: SealedRow): Promise<StoredRecord> =>
	unpacked(table, await openBytes(key, row.sealed, row.sealed.form === 2 ? nameOf(table, row) : `${table} ${row.id}`));
