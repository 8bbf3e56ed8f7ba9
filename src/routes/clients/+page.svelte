<script lang="ts">
	import Question from '$lib/ui/parts/shell/Question.svelte';
	import { progressOf } from '$lib/ui/parts/shell/addresses';
	import { dayOfYear, onWall } from '$lib/ui/parts/dates';
	import { AlertDialog } from 'bits-ui';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { inTurns, ROWS_AT_ONCE } from '$lib/state/inTurns.svelte';
	import type { Visits } from '$lib/store/repository';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { MAX_TEXT, MAX_TITLE } from '$lib/core/step/common.schema';
	import { ClientEdits } from '$lib/state/clientEdits.svelte';
	import KeptField from '$lib/ui/parts/controls/KeptField.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import ClientForm from '$lib/ui/parts/shell/ClientForm.svelte';

	const app = useApp();
	const visits = liveRows(
		() => null,
		() => app.repo.visits(),
		new Map<string, Visits>()
	);
	let wished = $state<string | null>(null);
	let removing = $state(false);
	const clients = $derived(app.current.all);
	const drawn = inTurns(() => clients.length, ROWS_AT_ONCE);
	const chosen = $derived(app.current.byId(wished) ?? app.current.orFirst);
	const sessions = liveRows(
		() => chosen?.id ?? null,
		async (id) => (id ? (await app.repo.sessionsOf(id)).reverse() : []),
		[]
	);
	async function add(name: string) {
		const { now, newId } = app.repo.stamp();
		const id = newId();
		if (await app.run(() => app.repo.saveClient({ id, revision: 0, updatedAt: now, name }))) choose(id);
	}
	function choose(id: string) {
		wished = id;
		app.current.choose(id);
	}
	/** Fields are stored one after the other, each on top of what is stored by then. */
	const edits = new ClientEdits(app);
	async function remove() {
		if (!chosen) return;
		const { id } = chosen;
		removing = false;
		wished = null;
		await app.run(() => app.repo.removeClient(id));
	}
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[420px_minmax(0,1fr)]">
	<section class="border-hair min-h-0 overflow-y-auto px-4 pb-6 lg:border-r">
		<h1 class="pt-3 text-xl font-[520]">Clients</h1>
		{#key page.url.search}<ClientForm onsave={add} ready={page.url.searchParams.has('new')} />{/key}
		<ul class="border-hair mt-3 border-t">
			{#each clients.slice(0, drawn.current) as c (c.id)}
				{@const seen = visits.current.get(c.id)}
				<li class="border-hair border-b">
					<button
						type="button"
						class="w-full rounded-md px-2 py-2 text-left {chosen?.id === c.id ? 'bg-wash' : 'hover:bg-wash/50'}"
						aria-current={chosen?.id === c.id ? 'true' : undefined}
						onclick={() => choose(c.id)}
					>
						<span class="flex justify-between gap-3"
							><b class="text-[13.5px] font-[560]">{c.name}</b><span class="text-ink2 text-xs"
								>{seen?.count ?? 0}
								{seen?.count === 1 ? 'session' : 'sessions'}{seen ? `, last ${dayOfYear(seen.lastAt)}` : ''}</span
							></span
						>
						<span class="text-ink2 block truncate text-xs">{c.note || 'no note'}</span>
					</button>
				</li>
			{:else}
				{#if app.current.loaded}<li class="text-ink2 py-4 text-[13.5px] leading-5">
						Nobody yet. A code or a name is enough; records never leave this browser unless you export them.
					</li>{/if}
			{/each}
		</ul>
	</section>
	{#if chosen}
		<section class="min-h-0 overflow-y-auto px-6 pb-6" aria-label={chosen.name}>
			{#key chosen.id}
				<h2 class="pt-3 text-[22px] leading-8 font-[520]">{chosen.name}</h2>
				<SecondVersions kind="client" id={chosen.id} />
				<div class="flex flex-wrap gap-2 py-3">
					<button
						type="button"
						class="btn btn-primary"
						onclick={() => {
							choose(chosen.id);
							void goto('/session');
						}}>Begin a session</button
					>
					<a class="btn" href={progressOf(chosen.id)}>Progress</a>
				</div>
				<div class="max-w-[560px] space-y-3">
					<KeptField
						label="Name or code"
						maxlength={MAX_TITLE}
						value={chosen.name}
						of={chosen.id}
						onkeep={(text, id) => {
							const name = text.trim();
							if (!name) return 'A code or a name is needed; the old one stays.';
							void edits.change(id, { name });
						}}
					/>
					<KeptField
						label="Client alert"
						rows={2}
						maxlength={MAX_TEXT}
						placeholder="Allergies, clearance, places to leave out"
						value={chosen.cautions}
						of={chosen.id}
						onkeep={(cautions, id) => void edits.change(id, { cautions })}
					/>
					<KeptField
						label="Note"
						rows={3}
						maxlength={MAX_TEXT}
						value={chosen.note}
						of={chosen.id}
						onkeep={(note, id) => void edits.change(id, { note })}
					/>
					<p class="text-ink3 min-h-4 text-[11.5px]" role="status">{edits.said}</p>
				</div>
				<h3 class="pt-3 text-[13.5px] font-semibold">Sessions</h3>
				<ul class="max-w-[560px]">
					{#each sessions.current.slice(0, 12) as s (s.id)}
						<li class="border-hair border-b">
							<a class="hover:bg-wash/50 flex justify-between gap-3 rounded px-1 py-1.5" href={progressOf(chosen.id, s.id)}
								><span>{dayOfYear(onWall(s.startedAt, s))}</span><span class="text-ink2 truncate"
									>{s.sequence?.title ?? 'findings only'}</span
								></a
							>
						</li>
					{:else}<li class="text-ink2 py-2">None yet.</li>{/each}
				</ul>
				<button type="button" class="btn mt-6" onclick={() => (removing = true)}>Remove this client …</button>
			{/key}
		</section>
	{/if}
</div>
{#if edits.gone}<GoneDialog {...edits.gone} onkeep={edits.keepAsNew} ondrop={edits.drop} />{/if}
<Question
	bind:open={removing}
	title="Remove {chosen?.name} and all her sessions?"
	words="This cannot be taken back. Export a backup first if you may need the records."
>
	{#snippet answers()}
		<AlertDialog.Cancel class="btn">Keep</AlertDialog.Cancel>
		<AlertDialog.Action class="btn btn-primary" onclick={remove}>Remove for good</AlertDialog.Action>
	{/snippet}
</Question>
