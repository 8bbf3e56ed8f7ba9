<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import ClientChooser from '$lib/ui/parts/shell/ClientChooser.svelte';
	import { progressOf, weeksOf } from '$lib/ui/parts/shell/addresses';
	import NobodyYet from '$lib/ui/views/progress/NobodyYet.svelte';
	import OverTheWeeks from '$lib/ui/views/progress/OverTheWeeks.svelte';

	const app = useApp();
	const clientId = $derived(app.current.asked(page.url));
	const client = $derived(app.current.byId(clientId));
	const found = liveRows(
		() => clientId,
		async (id) => {
			const sessions = id ? await app.repo.sessionsOf(id) : [];
			return { sessions, performed: await app.repo.performedIn(sessions) };
		}
	);
	const read = $derived(together({ clients: app.current.read, found: found.current }));
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="border-hair flex flex-wrap items-center gap-x-3 gap-y-2 border-b py-2.5">
		<h1 class="flex-1 text-xl leading-7 font-[520]">{client ? `${client.name} over the weeks` : 'Over the weeks'}</h1>
		{#if client}<a class="dotted text-[13px]" href={progressOf(client.id)}>One session</a>{/if}
		<ClientChooser {clientId} addressOf={weeksOf} />
	</div>
	<Awaited of={read} what="The sessions of {client?.name ?? 'the client'}">
		{#snippet children({ found: { sessions, performed } })}
			{#if client && sessions.length}{#key client.id}<OverTheWeeks {sessions} {performed} />{/key}
			{:else}<NobodyYet {client} words="No session yet: there are no weeks to look at." />{/if}
		{/snippet}
	</Awaited>
</div>
