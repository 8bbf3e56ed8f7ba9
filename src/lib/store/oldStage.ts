import { z } from 'zod';
import type { RunEvent } from '../core/records/runEntry';
import type { Repository } from './repository';

/** What an earlier version noted of a stage, outside of the database. */
const OldStageSchema = z.object({
	seconds: z.number().min(0),
	haltedSeconds: z.number().min(0).default(0),
	played: z.array(z.object({ from: z.number().min(0), to: z.number().min(0) })).default([])
});

/** The log that says of an old stage what was noted of it. */
function logOf({ seconds, played, haltedSeconds }: z.infer<typeof OldStageSchema>, atMs: number): RunEvent[] {
	const events = played.flatMap(({ from, to }, i): RunEvent[] => [
		{ kind: 'jump', seconds: from, from: i ? played[i - 1]!.to : 0, atMs },
		// All of its halt lies before the last stretch: only the sum was known.
		{ kind: 'go', seconds: from, atMs: atMs + (i && i === played.length - 1 ? 1000 * haltedSeconds : 0) },
		{ kind: 'pause', seconds: to, atMs }
	]);
	return [...events, { kind: 'jump', seconds, from: played.at(-1)?.to ?? 0, atMs }];
}

/** Takes what was noted of one stage into the database, and out of the browser's other store. */
export async function takeOverStage(repo: Repository, key: string, sessionId: string): Promise<void> {
	const old = OldStageSchema.safeParse(parsed(localStorage.getItem(key)));
	const session = await repo.session(sessionId);
	if (old.success && session && session.endedAt === null)
		for (const event of logOf(old.data, Date.parse(session.updatedAt))) await repo.logRun(sessionId, event);
	localStorage.removeItem(key);
}

function parsed(text: string | null): unknown {
	try {
		return JSON.parse(text ?? '');
	} catch {
		return null;
	}
}
