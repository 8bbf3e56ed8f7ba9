/** Length of a key in bits, and of what is drawn at random with each sealing, in bytes. */
const KEY_BITS = 256;
const IV_BYTES = 12;
const SALT_BYTES = 16;
/** Rounds of the derivation: what one guess costs. Ground: the advice for PBKDF2 with SHA-256 of 2023. */
export const ROUNDS = 600_000;

type Bytes = Uint8Array<ArrayBuffer>;
/** Bytes of the key by which names that are made of content are written. */
const NAMES_BYTES = 32;
/** Something sealed, and what was drawn at random for it. */
export interface Sealed {
	readonly iv: Bytes;
	readonly data: Bytes;
}
/** The key that opens the records, itself sealed by what is derived from a passphrase. */
export interface WrappedKey extends Sealed {
	readonly salt: Bytes;
	readonly rounds: number;
}

/** A passphrase that does not open it. */
export class WrongPassphrase extends Error {
	override name = 'WrongPassphrase';
	constructor() {
		super('This passphrase does not open the records.');
	}
}

const utf8 = new TextEncoder();
const random = (bytes: number): Bytes => crypto.getRandomValues(new Uint8Array(bytes));

/** Whether this browser can seal at all: it offers it on secure addresses only. */
export const canSeal = (): boolean => typeof crypto !== 'undefined' && crypto.subtle !== undefined;

/** A new key for records. It can be taken along only to be wrapped. */
export const newKey = (): Promise<CryptoKey> =>
	crypto.subtle.generateKey({ name: 'AES-GCM', length: KEY_BITS }, true, ['encrypt', 'decrypt']);

/** A new key for names that are made of content, sealed. */
export const newNames = async (key: CryptoKey): Promise<Sealed> => sealBytes(key, random(NAMES_BYTES), 'names');
/** @throws {DOMException} if the key is another one */
export const openNames = (key: CryptoKey, names: Sealed): Promise<Bytes> => openBytes(key, names, 'names');

/** A key sealed by another one: who knows either passphrase can go on with what was broken off. */
export const sealKey = async (key: CryptoKey, by: CryptoKey): Promise<Sealed> =>
	sealBytes(by, new Uint8Array(await crypto.subtle.exportKey('raw', key)), 'key');
export const openKey = async (sealed: Sealed, by: CryptoKey): Promise<CryptoKey> =>
	crypto.subtle.importKey('raw', await openBytes(by, sealed, 'key'), 'AES-GCM', false, ['encrypt', 'decrypt']);

/** What a passphrase comes to. Accents typed in one way or another come to the same. */
async function derived(passphrase: string, salt: Bytes, rounds: number): Promise<CryptoKey> {
	const typed = utf8.encode(passphrase.normalize('NFKC'));
	const base = await crypto.subtle.importKey('raw', typed, 'PBKDF2', false, ['deriveKey']);
	const by = { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: rounds };
	return crypto.subtle.deriveKey(by, base, { name: 'AES-GCM', length: KEY_BITS }, false, ['wrapKey', 'unwrapKey']);
}

/** @param rounds fewer in tests only */
export async function wrapKey(key: CryptoKey, passphrase: string, rounds = ROUNDS): Promise<WrappedKey> {
	const [salt, iv] = [random(SALT_BYTES), random(IV_BYTES)];
	const by = await derived(passphrase, salt, rounds);
	const data = new Uint8Array(await crypto.subtle.wrapKey('raw', key, by, { name: 'AES-GCM', iv }));
	return { salt, rounds, iv, data };
}

/**
 * @param toWrap whether it is to be wrapped anew; a key that only opens records cannot be read out of the browser
 * @throws {WrongPassphrase}
 */
export async function unwrapKey(
	{ salt, rounds, iv, data }: WrappedKey,
	passphrase: string,
	toWrap = false
): Promise<CryptoKey> {
	const by = await derived(passphrase, salt, rounds);
	const gcm = { name: 'AES-GCM', iv };
	try {
		return await crypto.subtle.unwrapKey('raw', data, by, gcm, 'AES-GCM', toWrap, ['encrypt', 'decrypt']);
	} catch {
		throw new WrongPassphrase();
	}
}

/** @param of what it is: sealed bytes open only as what they were sealed as, so that two cannot change places */
export async function sealBytes(key: CryptoKey, bytes: Bytes, of: string): Promise<Sealed> {
	const iv = random(IV_BYTES);
	const gcm = { name: 'AES-GCM', iv, additionalData: utf8.encode(of) };
	return { iv, data: new Uint8Array(await crypto.subtle.encrypt(gcm, key, bytes)) };
}

/** @throws {DOMException} if the key is another one, or the bytes are not what was sealed */
export async function openBytes(key: CryptoKey, { iv, data }: Sealed, of: string): Promise<Bytes> {
	const gcm = { name: 'AES-GCM', iv, additionalData: utf8.encode(of) };
	return new Uint8Array(await crypto.subtle.decrypt(gcm, key, data));
}
