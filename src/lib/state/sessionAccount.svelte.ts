import { sessionAccount, type SessionAccount } from '../core/perform/account';
import type { Session } from '../core/records/session';
import { liveRows, type LiveRows } from '../store/liveRows.svelte';
import { useApp } from './app.svelte';

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
			const performed = s && (await app.repo.performed(s));
			if (!s || !performed) return null;
			const planned = (await app.repo.planned(s)) ?? performed;
			return sessionAccount(s, planned, performed, app.context);
		}
	);
}
