// What keeps work on a lock from beginning, in words.

/** Fewest signs of a passphrase. Working value: what is guessed is guessed on a copy of the disk, where nothing is slow but the derivation. */
export const MIN_PASSPHRASE = 10;

/** Told before anything is done: what is wrong with a passphrase that is to be set; empty where nothing is. */
export function problemOf(passphrase: string, again: string): string {
	if (passphrase.length < MIN_PASSPHRASE)
		return `The passphrase has ${passphrase.length} signs; use at least ${MIN_PASSPHRASE}. Four or five words are easy to keep in mind.`;
	if (new Set(passphrase).size < 4) return 'The passphrase repeats the same few signs. Use several words.';
	if (passphrase !== again) return 'The two are not the same. Type the second one again.';
	return '';
}

/** It is too early for another try. */
export class TooEarly extends Error {
	override name = 'TooEarly';
	constructor(readonly seconds: number) {
		super(`Wait ${seconds} s before the next try.`);
	}
}
/** The disk has no room for a second copy of the records. */
export class NoRoom extends Error {
	override name = 'NoRoom';
	constructor(needed: number, free: number) {
		const mb = (bytes: number) => `${Math.ceil(bytes / 1_000_000).toLocaleString('en')} MB`;
		super(
			`For a while the records lie here twice: that takes about ${mb(needed)}, and this browser allows ${mb(Math.max(0, free))} more. Make room on the disk, then try again. Nothing was changed.`
		);
	}
}
