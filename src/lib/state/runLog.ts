type Work = () => Promise<unknown>;

/** The log of a stage on its way to the store: line after line, and what could not be written is tried again with the next one. */
export class RunLog {
	readonly #waiting: Work[] = [];
	#writing: Promise<void> = Promise.resolve();

	/** @param attempt does it, says what went wrong, and returns whether it went well */
	constructor(private readonly attempt: (work: Work) => Promise<boolean>) {}

	add(work: Work): void {
		this.#waiting.push(work);
		void this.flush();
	}

	/** Writes what waits. Resolves when all of it is written, or nothing more can be. */
	flush(): Promise<void> {
		this.#writing = this.#writing.then(async () => {
			while (this.#waiting[0] && (await this.attempt(this.#waiting[0]))) this.#waiting.shift();
		});
		return this.#writing;
	}
}
