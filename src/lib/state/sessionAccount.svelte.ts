import { sessionAccount, type SessionAccount } from '../core/perform/account';
import type { Session } from '../core/records/session';
import type { JudgeInput } from '../core/rules/judge';
import { liveRows, type LiveRows } from '../store/liveRows.svelte';
import type { Repository } from '../store/repository';
import { useApp } from './app.svelte';

/** The account of a stored session, with the plan that it was begun with; null where nothing was performed. */
export async function accountIn(
	repo: Pick<Repository, 'performed' | 'planned'>,
	session: Session,
	context: JudgeInput
): Promise<SessionAccount | null> {
	const performed = await repo.performed(session);
	return performed && sessionAccount(session, (await repo.planned(session)) ?? performed, performed, context);
}

/** What was done in a session, by its own account: null where nothing was performed. Must be called during component initialisation. */
export function useAccount(session: () => Session | null): LiveRows<string | null, SessionAccount | null> {
	const app = useApp();
	return liveRows(
		() => {
			const s = session();
			return s && `${s.id} ${s.revision}`;
		},
		async () => {
			const s = session();
			return s && accountIn(app.repo, s, app.context);
		}
	);
}
