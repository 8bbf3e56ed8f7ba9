import { Photos } from './photos';
import { Reading } from './reading';
import type { Writing } from './writing';

export type { Saved } from './saveRecord';
export type { CustomKind, CustomLibrary, Stamp, VersionPair, Visits } from './reading';

type Works = {
	[K in keyof Writing]: Writing[K] extends (...args: never[]) => Promise<unknown> ? K : never;
}[keyof Writing];

/**
 * Everything the pages ask of the database: what reads is at hand, what writes is fetched at the first write, or by
 * `prepareToWrite`. What a method promises stands at `Reading` and `Writing`.
 */
export class Repository extends Reading {
	readonly photos = new Photos(this.db, () => this.stamp());
	#writing: Promise<Writing> | undefined;

	/** Fetches what writes, so that the first save does not wait for it. Asked again where it could not be fetched. */
	prepareToWrite = (): Promise<Writing> =>
		(this.#writing ??= import('./writing').then(
			(m) => new m.Writing(this.db, this.clock, this.newId),
			(error: unknown) => {
				this.#writing = undefined;
				throw error;
			}
		));
	/** A method of `Writing`, once it is there. Calls keep their order. */
	#write = <K extends Works>(name: K): Writing[K] =>
		(async (...args: never[]) => {
			const writing = await this.prepareToWrite();
			return (writing[name] as (...args: never[]) => Promise<unknown>)(...args);
		}) as Writing[K];

	readonly settle = this.#write('settle');
	readonly saveClient = this.#write('saveClient');
	readonly addClient = this.#write('addClient');
	readonly changeClient = this.#write('changeClient');
	readonly removeClient = this.#write('removeClient');
	readonly saveSequence = this.#write('saveSequence');
	readonly addSequence = this.#write('addSequence');
	readonly archive = this.#write('archive');
	readonly makeFor = this.#write('makeFor');
	readonly saveSession = this.#write('saveSession');
	readonly startSession = this.#write('startSession');
	readonly writeSession = this.#write('writeSession');
	readonly keepPerformed = this.#write('keepPerformed');
	readonly logRun = this.#write('logRun');
	readonly endRun = this.#write('endRun');
	readonly keepCustom = this.#write('keepCustom');
	readonly removeCustom = this.#write('removeCustom');
	readonly putCustomBack = this.#write('putCustomBack');
	readonly removeSequence = this.#write('removeSequence');
	readonly putBack = this.#write('putBack');
	readonly discard = this.#write('discard');
	readonly keepVersion = this.#write('keepVersion');
	readonly saveRound = this.#write('saveRound');
	readonly discardComparison = this.#write('discardComparison');
	readonly saveComparison = this.#write('saveComparison');
	readonly saveSettings = this.#write('saveSettings');
	readonly changeWorking = this.#write('changeWorking');
	readonly wipe = this.#write('wipe');
}
