import { onMount } from 'svelte';
import { ownTapeErrors, repeatedOnly, type OwnTapeErrors } from '../core/assess/repeats';
import type { Assessment } from '../core/assess/assessment.schema';
import type { Working } from '../core/working/working.schema';
import type { Repository } from '../store/repository';
import type { AppState } from './app.svelte';

/** So many of the latest sessions tell how exactly a practitioner measures, whoever the client was. */
const MOST = 120;
/** Read at once: more would hold the page up. */
const PAGE = 40;

/** How exactly the practitioner measures by tape, from readings that were taken again, of all clients. */
export class TapeErrors {
	/** Moments at which something was measured twice, the earliest first. */
	repeated = $state.raw<readonly Pick<Assessment, 'entries'>[]>([]);
	own = $state.raw<OwnTapeErrors>({});
	/** All were read. */
	ready = $state(false);
	#stopped = false;

	constructor(
		private readonly repo: Pick<Repository, 'latestSessions'>,
		private readonly working: () => Working
	) {}

	/** Reads them a few at a time, after what the page shows first. */
	async read(): Promise<void> {
		try {
			const found = await this.#found();
			if (this.#stopped) return;
			this.repeated = found.toReversed();
			this.own = ownTapeErrors(this.repeated, this.working());
		} finally {
			// Without them working values do.
			this.ready = true;
		}
	}
	async #found(): Promise<Pick<Assessment, 'entries'>[]> {
		const found: Pick<Assessment, 'entries'>[] = [];
		for (let at = 0; at < MOST && !this.#stopped; at += PAGE) {
			if (at) await new Promise((resolve) => setTimeout(resolve, 0));
			const sessions = await this.repo.latestSessions(PAGE, at);
			for (const { before, after } of sessions)
				for (const assessment of after ? [after, before] : [before]) found.push(...repeatedOnly(assessment));
			if (sessions.length < PAGE) break;
		}
		return found;
	}
	stop = (): void => void (this.#stopped = true);
}

/** Read while a page is open: called where it begins. */
export function followTapeErrors(app: Pick<AppState, 'repo' | 'working' | 'run'>): TapeErrors {
	const tape = new TapeErrors(app.repo, () => app.working);
	onMount(() => {
		void app.run(() => tape.read());
		return tape.stop;
	});
	return tape;
}
