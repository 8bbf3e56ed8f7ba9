import { formatISO } from 'date-fns';
import type { Client } from '../core/records/client';
import type { RunEvent } from '../core/records/runEntry';
import type { Session } from '../core/records/session';
import { factsOf } from '../core/screening/clientFacts';
import { refusals } from '../core/screening/start';
import type { Sequence } from '../core/sequence/sequence.schema';
import { lastPerformed, learntFrom, type Learnt } from '../core/visit/learnt';
import type { AppState } from './app.svelte';
import { accountIn } from './sessionAccount.svelte';
import { SessionDraft } from './sessionDraft.svelte';
import { StageHold } from './stageHold.svelte';

/** All that a stage needs of one session, read together: none of it is shown before all of it is here. */
export interface Opened {
	readonly draft: SessionDraft;
	readonly client: Client;
	/** As it was performed so far, and as it was planned; null where it was only looked at. */
	readonly sequence: Sequence | null;
	readonly planned: Sequence | null;
	/** The log of a stage that is not over; null before and after. */
	readonly log: readonly RunEvent[] | null;
	/** Plans that were in force before a change, by their snapshots. */
	readonly plans: ReadonlyMap<string, Sequence>;
	/** What the visit before taught. */
	readonly learnt: readonly Learnt[];
	/** It was ended and is not closed yet: one can go on with it. */
	readonly resumable: boolean;
	/** What ends the day before it has begun. */
	readonly refused: ReturnType<typeof refusals>;
}

/** A session that is opened by its id: read, held in one window at a time, ended, taken up again and closed. */
export class OpenSession {
	current = $state.raw<Opened | null>(null);
	/** It is not there. */
	missing = $state(false);
	/** Why it could not be read: then nothing is shown of it, and nothing begins. */
	failed = $state.raw<{ readonly cause: unknown } | null>(null);
	readonly hold: StageHold;
	#wanted = '';

	/** @param onlost it was taken over by another window: what runs here stops */
	constructor(
		private readonly app: Pick<AppState, 'repo' | 'context' | 'today'>,
		locks: Pick<LockManager, 'request'> | undefined,
		onlost: () => void
	) {
		this.hold = new StageHold(locks, onlost);
	}

	/** @param held the session is this window's already */
	async load(id: string, held = false): Promise<void> {
		this.#wanted = id;
		this.current = null;
		this.missing = false;
		this.failed = null;
		try {
			const found = await this.#read(id, held);
			if (this.#wanted !== id) return;
			this.missing = found === null;
			this.current = found;
		} catch (cause) {
			if (this.#wanted === id) this.failed = { cause };
		}
	}
	again = (): Promise<void> => this.load(this.#wanted);

	async #read(id: string, held: boolean): Promise<Opened | null> {
		const { repo } = this.app;
		const session = await repo.session(id);
		if (!session) return null;
		const client = await repo.client(session.clientId);
		if (!client) throw new Error('the client of this session is not here');
		const [sequence, planned, lines] = [await repo.performed(session), await repo.planned(session), await repo.run(id)];
		const begun = lines.some((line) => line.kind === 'go');
		const open = session.endedAt === null && sequence !== null;
		// What ends the day ends it by every way: a session from a file or an old address is not begun either.
		const started = lines.some((line) => line.kind !== 'begin');
		const limits = factsOf(client, this.app.today.current || formatISO(new Date(), { representation: 'date' }))!.limits;
		const refused = open && !started ? refusals(limits) : [];
		if (open && !held) await this.hold.ask(id);
		return {
			draft: new SessionDraft(session, repo),
			client,
			sequence,
			planned,
			log: open && !refused.length ? lines : null,
			plans: await this.#plansOf(lines),
			learnt: await this.#learnt(session),
			resumable: !open && begun,
			refused
		};
	}
	async #plansOf(lines: readonly RunEvent[]): Promise<ReadonlyMap<string, Sequence>> {
		const ids = [...new Set(lines.flatMap((line) => line.snapshot ?? []))];
		const found = await Promise.all(ids.map((snapshot) => this.app.repo.snapshot(snapshot)));
		return new Map(ids.flatMap((snapshot, i) => (found[i] ? [[snapshot, found[i]] as const] : [])));
	}
	async #learnt({ id, clientId }: Session): Promise<readonly Learnt[]> {
		const { repo, context } = this.app;
		const last = lastPerformed(await repo.sessionsOf(clientId), id);
		return last ? learntFrom(last, await accountIn(repo, last, context)) : [];
	}

	/** Performed in this window, and nothing stands against it. */
	onStage = $derived.by(
		() => this.current?.log !== null && this.current?.draft.current.endedAt === null && this.hold.state === 'mine'
	);

	/** The stage is over: what was performed, as After shows it. */
	ended(performed: Sequence): void {
		const was = this.current;
		if (!was) return;
		const planned = performed === was.sequence ? was.planned : (was.planned ?? was.sequence);
		this.current = { ...was, sequence: performed, planned, log: null, resumable: true };
	}
	/** Back on the stage: the log is replayed. */
	async resume(): Promise<void> {
		const draft = this.current?.draft;
		if (!draft) return;
		const nothing = { done: [], happened: [], workedSeconds: 0, haltedSeconds: 0, endedBecause: null };
		await draft.change({ endedAt: null, ...nothing });
		if (draft.saving.state === 'saved') await this.load(draft.current.id);
	}
	async takeOver(): Promise<void> {
		const id = this.current?.draft.current.id;
		if (!id) return;
		await this.hold.takeOver(id);
		await this.load(id, true);
	}
	/** Closes it. Returns whether it is stored; after a failure all that was written stays. */
	async close(fields: Partial<Session>): Promise<boolean> {
		const draft = this.current?.draft;
		if (!draft) return false;
		await draft.change(fields);
		if (draft.saving.state !== 'saved') return false;
		await this.app.repo.endRun(draft.current.id);
		return true;
	}
}
