<script lang="ts">
	import { photosOf, progressOf, reportOn, weeksOf } from '$lib/ui/parts/shell/addresses';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { useSessionsOf } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import ClientChooser from '$lib/ui/parts/shell/ClientChooser.svelte';
	import NobodyYet from '$lib/ui/views/progress/NobodyYet.svelte';
	import OneSession from '$lib/ui/views/progress/OneSession.svelte';

	const app = useApp();
	const clientId = $derived(app.current.asked(page.url));
	const client = $derived(app.current.byId(clientId));
	const sessions = useSessionsOf(() => clientId);
	const read = $derived(together({ clients: app.current.read, sessions: sessions.current }));
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="flex flex-wrap items-center gap-x-3 gap-y-2 py-2.5">
		<h1 class="text-xl leading-7 font-[520]">{client?.name ?? 'Progress'}</h1>
		{#if client}<p class="text-ink2 order-last basis-full sm:order-none sm:flex-1 sm:basis-0">
				{client.note}{client.note ? ' ' : ''}{#if read.state === 'here'}{read.rows.sessions.length}
					{read.rows.sessions.length === 1 ? 'session' : 'sessions'}{/if}
			</p>{/if}
		{#if client}<a class="dotted text-[13px]" href={weeksOf(client.id)}>Over the weeks</a>
			<a class="dotted text-[13px]" href={photosOf(client.id)}>Photographs</a>
			<a class="dotted text-[13px]" href={reportOn(client.id)}>Report</a>{/if}
		<a class="dotted text-[13px]" href="/progress/practice">The practice</a>
		<ClientChooser {clientId} addressOf={progressOf} />
	</div>
	<Awaited of={read} what="The sessions of {client?.name ?? 'the client'}">
		{#snippet children({ sessions: rows })}
			{#if client && rows.length}{#key client.id}<OneSession {client} sessions={rows} asked={page.url.searchParams.get('session')} />{/key}
			{:else}<NobodyYet
					{client}
					words="No session yet. After the first one, this page shows what changed: zone by zone, and against measuring error."
				/>{/if}
		{/snippet}
	</Awaited>
</div>
