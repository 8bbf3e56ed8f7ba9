<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import type { Visits } from '$lib/store/repository';
	import ClientForm from '$lib/ui/parts/shell/ClientForm.svelte';
	import { clientAt } from '$lib/ui/parts/shell/addresses';
	import ClientList from '$lib/ui/views/clients/ClientList.svelte';

	const app = useApp();
	const visits = liveRows(
		() => null,
		() => app.repo.visits(),
		new Map<string, Visits>()
	);
	let redFlags = $state(false);
	async function add(name: string) {
		const { now, newId } = app.repo.stamp();
		const id = newId();
		if (!(await app.run(() => app.repo.saveClient({ id, revision: 0, updatedAt: now, name })))) return;
		app.current.choose(id);
		await goto(clientAt(id));
	}
</script>

<div class="mx-auto flex min-h-0 w-full max-w-[980px] flex-1 flex-col px-5 pb-4">
	<div class="flex flex-wrap items-start justify-between gap-4 pt-3">
		<h1 class="text-xl font-[520]">Clients</h1>
		<button type="button" class="btn" onclick={() => (redFlags = true)}>Red flags</button>
	</div>
	{#key page.url.search}<ClientForm onsave={add} ready={page.url.searchParams.has('new')} />{/key}
	<ClientList
		clients={app.current.all}
		loaded={app.current.loaded}
		visits={visits.current}
		currentId={app.current.id}
		today={app.today.current}
	/>
</div>
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
