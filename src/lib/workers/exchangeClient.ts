import type { ImportPreview } from '../formats/backup/importPreview';
import script from './exchange.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { ExchangeWorker, Progress, ReadFile, StoreAt } from './protocol';

const open = () => openWorker(script);

/** Brings files in and out in a worker that opens the database itself. */
export class ExchangeClient {
	readonly #line: Lifeline<ExchangeWorker>;

	/** @param at the database, and how it is held when a question is asked */
	constructor(
		private readonly at: () => StoreAt,
		make: () => Worker = open
	) {
		this.#line = new Lifeline(make);
	}

	/** @throws {WorkerDied} if the worker ends before it answers; whatever the database throws */
	write = (progress: (p: Progress) => void) =>
		this.#line.ask((w, whileAsked) => w.write(this.at(), whileAsked(progress)));
	/** @param mend leaves out what cannot be read, and says so */
	read = async (file: Blob, mend: boolean, progress: (p: Progress) => void): Promise<ReadFile> =>
		this.#line.ask<ReadFile>(
			async (w, whileAsked) => (await w.read(this.at(), file, mend, whileAsked(progress))) as ReadFile
		);
	/** How many records came in, or what it would do now: then something was changed here since the file was read. */
	apply = async (progress: (p: Progress) => void): Promise<number | ImportPreview> =>
		this.#line.ask<number | ImportPreview>(
			async (w, whileAsked) => (await w.apply(this.at(), whileAsked(progress))) as number | ImportPreview
		);
	forget = () => void this.#line.ask((w) => w.forget()).catch(() => {});
	close(): void {
		this.#line.close();
	}
}
