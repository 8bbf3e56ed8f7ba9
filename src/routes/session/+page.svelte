<script lang="ts">
	import { page } from '$app/state';
	import { lastPerformed, learntFrom } from '$lib/core/visit/learnt';
	import { useApp } from '$lib/state/app.svelte';
	import { ifHere, together } from '$lib/state/rows';
	import { useAccount } from '$lib/state/sessionAccount.svelte';
	import { useSequences, useSessionsOf } from '$lib/state/read.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import BeforeRoom from '$lib/ui/views/session/BeforeRoom.svelte';

	const app = useApp();
	const asked = $derived(page.url.searchParams);
	const clientId = $derived(asked.get('client') ?? app.current.id);
	const client = $derived(app.current.byId(clientId));
	const records = useSequences();
	const sessions = useSessionsOf(() => clientId);
	const stages = liveRows(
		() => null,
		() => app.repo.openSessions()
	);
	const last = $derived(lastPerformed(ifHere(sessions.current) ?? []));
	const account = useAccount(() => last);
	/** All of it at once: nothing is pushed down by what comes a moment later, and nothing begins without rows of this client. */
	const read = $derived(
		together({
			clients: app.current.read,
			records: records.current,
			sessions: sessions.current,
			stages: stages.current,
			account: account.current
		})
	);
</script>

<Awaited of={read} what="The record of {client?.name ?? 'the client'}">
	{#snippet children(rows)}
		{#key client?.id}<BeforeRoom
				{client}
				sessions={rows.sessions}
				records={rows.records}
				going={rows.stages.find((s) => s.clientId === client?.id) ?? null}
				learnt={last ? learntFrom(last, rows.account) : []}
				asked={asked.get('sequence')}
			/>{/key}
	{/snippet}
</Awaited>
