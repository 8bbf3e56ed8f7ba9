import type { Problem } from '../formats/problem';
import type { ImportPreview } from '../formats/backup/importPreview';
import { storageTrouble } from '../store/plainWords';
import { pending } from './pendingWork';
import type { ExchangeClient } from '../workers/exchangeClient';
import type { Progress, WrittenBackup } from '../workers/protocol';

const STAGES: Record<Progress['stage'], string> = {
	write: 'written',
	check: 'checked',
	compare: 'compared with what is here',
	bring: 'imported'
};

/** Files on their way in and out. */
export class Exchange {
	/** What is wrong with the file that was read last. */
	problems = $state.raw<readonly Problem[]>([]);
	/** Whether it could be read without what is wrong with it. */
	mendable = $state(false);
	#file: Blob | undefined;
	/** What it would do. */
	preview = $state.raw<ImportPreview | null>(null);
	/** How it goes, as a sentence; empty at rest. */
	doing = $state('');
	/** What came of it, as a sentence. */
	said = $state('');

	constructor(
		private readonly client: Pick<ExchangeClient, 'write' | 'read' | 'apply' | 'forget' | 'close'>,
		private readonly ontrouble: (sentence: string) => void,
		/** A long file is work: meanwhile the records do not lock by themselves. Returns the way to end it. */
		private readonly keepOpen: () => () => void = () => () => {}
	) {}

	#progress = ({ stage, done }: Progress) => (this.doing = `${done.toLocaleString('en')} records ${STAGES[stage]} …`);

	async #run<T>(first: string, work: () => Promise<T>): Promise<T | null> {
		if (this.doing) return null;
		this.doing = first;
		this.said = '';
		const release = this.keepOpen();
		try {
			const result = await pending(work());
			this.ontrouble('');
			return result;
		} catch (error) {
			if (this.#cancelled) this.said = 'Cancelled. Nothing was changed here.';
			else this.ontrouble(storageTrouble(error));
			return null;
		} finally {
			this.#cancelled = false;
			release();
			this.doing = '';
		}
	}

	#cancelled = false;
	/** Ends what is being done: a file that was not written whole is no file, and an import is all or nothing. */
	cancel = (): void => {
		if (!this.doing) return;
		this.#cancelled = true;
		this.client.close();
	};

	/** Everything as a file, with the day on which it was written. */
	async write(): Promise<WrittenBackup | null> {
		const written = await this.#run('Reading the records …', () => this.client.write(this.#progress));
		const count = written?.leftOut.length ?? 0;
		if (count)
			this.said = `Not in the file, since it could not be read again: ${written!.leftOut.map((p) => `${p.path}, ${p.message}`).join('; ')}`;
		return written;
	}

	/** @param mend leaves out what cannot be read */
	async read(file: Blob | undefined, mend = false): Promise<void> {
		this.leave();
		this.#file = file;
		if (!file) return;
		const read = await this.#run('Reading the file …', () => this.client.read(file, mend, this.#progress));
		if (!read) return;
		if (read.ok) this.preview = read.value;
		else {
			this.problems = read.problems;
			this.mendable = read.mendable;
		}
	}

	/** Reads the same file once more, without what is wrong with it. */
	mend = (): Promise<void> => this.read(this.#file, true);

	async apply(): Promise<void> {
		const count = await this.#run('Bringing it in …', () => this.client.apply(this.#progress));
		if (count === null) return;
		if (typeof count !== 'number') {
			this.preview = count;
			this.said =
				'Something was changed here since the file was read, so nothing was imported. This is what would happen now.';
			return;
		}
		this.preview = null;
		this.said = `${count} ${count === 1 ? 'record is' : 'records are'} in.`;
	}

	/** Forgets what was read. */
	leave(): void {
		this.problems = [];
		this.mendable = false;
		this.preview = null;
		this.said = '';
		this.client.forget();
	}

	close(): void {
		this.client.close();
	}
}
