import * as Comlink from 'comlink';
import type { ImportPreview } from '../formats/backup/importPreview';
import type { Parsed } from '../formats/problem';
import script from './exchange.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { ExchangeWorker, Progress } from './protocol';

const open = () => openWorker(script);

/** Brings files in and out in a worker that opens the database itself. */
export class ExchangeClient {
	readonly #line: Lifeline<ExchangeWorker>;

	/** @param name of the database */
	constructor(
		private readonly name: string,
		make: () => Worker = open
	) {
		this.#line = new Lifeline(make);
	}

	/** @throws {WorkerDied} if the worker ends before it answers; whatever the database throws */
	write = (progress: (p: Progress) => void) => this.#line.ask((w) => w.write(this.name, Comlink.proxy(progress)));
	read = async (file: Blob, progress: (p: Progress) => void): Promise<Parsed<ImportPreview>> =>
		this.#line.ask<Parsed<ImportPreview>>(
			async (w) => (await w.read(this.name, file, Comlink.proxy(progress))) as Parsed<ImportPreview>
		);
	apply = (progress: (p: Progress) => void) => this.#line.ask((w) => w.apply(this.name, Comlink.proxy(progress)));
	forget = () => void this.#line.ask((w) => w.forget()).catch(() => {});
	close(): void {
		this.#line.close();
	}
}
