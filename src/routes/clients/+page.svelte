<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { ifHere } from '$lib/state/rows';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import ClientForm from '$lib/ui/parts/shell/ClientForm.svelte';
	import { clientAt } from '$lib/ui/parts/shell/addresses';
	import ClientList from '$lib/ui/views/clients/ClientList.svelte';

	const app = useApp();
	const visits = liveRows(
		() => null,
		() => app.repo.visits()
	);
	let redFlags = $state(false);
	async function add(name: string) {
		const id = app.repo.stamp().newId();
		if (!(await app.run(() => app.repo.addClient({ id, name })))) return;
		await app.current.choose(id);
		await goto(clientAt(id));
	}
</script>

<div class="mx-auto flex min-h-0 w-full max-w-[980px] flex-1 flex-col px-5 pb-4">
	<div class="flex flex-wrap items-start justify-between gap-4 pt-3">
		<h1 class="text-xl font-[520]">Clients</h1>
		<button type="button" class="btn" onclick={() => (redFlags = true)}>Red flags</button>
	</div>
	{#key page.url.search}<ClientForm onsave={add} ready={page.url.searchParams.has('new')} />{/key}
	<Awaited of={app.current.read} what="The clients">
		{#snippet children(clients)}
			<!-- Names are there before it is known how often they were here: that stands beside them once it is. -->
			<ClientList {clients} visits={ifHere(visits.current)} currentId={app.current.id} today={app.today.current} />
		{/snippet}
	</Awaited>
	{#if visits.current.state === 'failed'}<Awaited of={visits.current} what="How often they were here" />{/if}
</div>
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
