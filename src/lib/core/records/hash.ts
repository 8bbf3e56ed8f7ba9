import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import stringify from 'safe-stable-stringify';

/** SHA-256 of the canonical JSON (keys in order) of a value, in hex: the same content has the same one. */
export const hashOf = (value: unknown): string => bytesToHex(sha256(utf8ToBytes(stringify(value) ?? '')));

/** SHA-256 of bytes, in hex. */
export const hashOfBytes = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
