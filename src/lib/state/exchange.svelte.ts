import type { Problem } from '../formats/problem';
import type { ImportPreview } from '../formats/backup/importPreview';
import { storageTrouble } from '../store/plainWords';
import type { ExchangeClient } from '../workers/exchangeClient';
import type { Progress } from '../workers/protocol';

const STAGES: Record<Progress['stage'], string> = {
	write: 'written',
	check: 'checked',
	compare: 'compared with what is here',
	bring: 'brought in'
};

/** Files on their way in and out. */
export class Exchange {
	/** What is wrong with the file that was read last. */
	problems = $state.raw<readonly Problem[]>([]);
	/** What it would do. */
	preview = $state.raw<ImportPreview | null>(null);
	/** How it goes, as a sentence; empty at rest. */
	doing = $state('');
	/** What came of it, as a sentence. */
	said = $state('');

	constructor(
		private readonly client: Pick<ExchangeClient, 'write' | 'read' | 'apply' | 'forget' | 'close'>,
		private readonly ontrouble: (sentence: string) => void
	) {}

	#progress = ({ stage, done }: Progress) => (this.doing = `${done.toLocaleString('en')} records ${STAGES[stage]} …`);

	async #run<T>(first: string, work: () => Promise<T>): Promise<T | null> {
		if (this.doing) return null;
		this.doing = first;
		this.said = '';
		try {
			return await work();
		} catch (error) {
			this.ontrouble(storageTrouble(error));
			return null;
		} finally {
			this.doing = '';
		}
	}

	/** Everything as a file, with the day on which it was written. */
	write = () => this.#run('Reading the records …', () => this.client.write(this.#progress));

	async read(file: Blob | undefined): Promise<void> {
		this.leave();
		if (!file) return;
		const parsed = await this.#run('Reading the file …', () => this.client.read(file, this.#progress));
		if (!parsed) return;
		if (parsed.ok) this.preview = parsed.value;
		else this.problems = parsed.problems;
	}

	async apply(): Promise<void> {
		const count = await this.#run('Bringing it in …', () => this.client.apply(this.#progress));
		if (count === null) return;
		this.preview = null;
		this.said = `${count} ${count === 1 ? 'record is' : 'records are'} in.`;
	}

	/** Forgets what was read. */
	leave(): void {
		this.problems = [];
		this.preview = null;
		this.said = '';
		this.client.forget();
	}

	close(): void {
		this.client.close();
	}
}
