<script lang="ts">
	import { printAt } from '$lib/ui/parts/shell/addresses';
	import Download from '@lucide/svelte/icons/download';
	import Upload from '@lucide/svelte/icons/upload';
	import { fileName } from '$lib/formats/download';
	import { onMount } from 'svelte';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { dayAndHour } from '$lib/ui/parts/dates';
	import { Exchange } from '$lib/state/exchange.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { ExchangeClient } from '$lib/workers/exchangeClient';
	import { useSequences } from '$lib/state/read.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import ImportPreview from '$lib/ui/views/exchange/ImportPreview.svelte';
	import SeaEdge from '$lib/ui/views/exchange/SeaEdge.svelte';
	import { deleteAll } from '$lib/store/openStore';
	import { saveFile } from '$lib/ui/parts/controls/saveFile';

	const app = useApp();
	const sequences = useSequences();
	const counts = liveRows(
		() => null,
		() => app.repo.counts()
	);
	const hereWords = (n: Readonly<Record<'client' | 'sequence' | 'session', number>>) =>
		`In this browser: ${n.client} clients, ${n.sequence} sequences, ${n.session} sessions.`;
	const here = $derived(
		counts.current.state === 'here'
			? hereWords(counts.current.rows)
			: counts.current.state === 'failed'
				? 'What lies in this browser could not be counted.'
				: ''
	);
	const exchange = new Exchange(
		new ExchangeClient(() => ({ name: app.repo.db.name, hold: app.lock.lock.vault.hold })),
		(sentence) => app.tell('exchange', sentence),
		app.lock.keepOpen
	);
	onMount(() => () => exchange.close());
	let wish = $state('');
	/** Only what is asked for; of one title the day and the steps tell them apart. */
	const MOST = 20;
	const askedOf = (all: readonly SequenceRecord[]) =>
		wish.trim() ? all.filter(({ sequence }) => sequence.title.toLowerCase().includes(wish.trim().toLowerCase())).slice(0, MOST) : [];
	let said = $state('');
	let wiping = $state(false);
	let over = $state(false);

	/** What asks, and what writes the smaller files, is fetched by those who want it. */
	const question = () => import('$lib/ui/views/exchange/DeleteAll.svelte');
	async function exportOne(sequence: Sequence) {
		const { writeSequenceFile } = await import('$lib/formats/sequenceFile');
		saveFile(fileName(sequence.title, 'json'), writeSequenceFile(sequence));
	}
	async function exportAll() {
		const written = await exchange.write();
		if (!written) return;
		void app.save({ exportedAt: written.exportedAt });
		saveFile(fileName(`soft-tide-${written.exportedAt.slice(0, 10)}`, 'zip'), written.file, 'application/zip');
	}
	async function exportObservations() {
		const sessions = (await app.run(() => app.repo.sessionsSince(''))) ?? [];
		const name = (id: string) => app.current.byId(id)?.name ?? id;
		const { observationsCsv } = await import('$lib/formats/observationsCsv');
		saveFile(
			fileName(`soft-tide-observations-${new Date().toISOString().slice(0, 10)}`, 'csv'),
			observationsCsv(sessions, name),
			'text/csv'
		);
	}
	function read(file: File | undefined) {
		said = '';
		return exchange.read(file);
	}
	async function wipe() {
		if (await app.run(() => deleteAll(app.repo, app.lock.lock))) return location.reload();
		wiping = false;
		said = 'Everything is gone from this browser.';
	}
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 overflow-y-auto lg:grid-cols-2">
	<section class="px-4 pb-8 lg:pr-16">
		<h1 class="pt-3 pb-1 text-xl font-[520]">Exchange</h1>
		<p class="text-ink2 min-h-5 pb-3" role="status">{exchange.doing || exchange.said || said || here}</p>
		{#if exchange.doing}<button type="button" class="btn mb-3" onclick={exchange.cancel}>Cancel</button>{/if}
		<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">Export</h2>
		<div class="flex items-center gap-4 py-3">
			<div class="flex-1">
				<b class="block text-[13.5px]">Everything</b><span class="text-ink2"
					>Clients, sequences with their history, sessions, settings: one zip of the format soft-tide/backup.</span
				>
			</div>
			<button type="button" class="btn btn-primary" disabled={exchange.doing !== ''} onclick={exportAll}
				><Download size={15} />Export all</button
			>
		</div>
		<div class="border-hair flex items-center gap-4 border-t py-3">
			<div class="flex-1">
				<b class="block text-[13.5px]">Observations</b><span class="text-ink2"
					>All that was graded, measured and told, a line each, for a spreadsheet.</span
				>
			</div>
			<button type="button" class="btn" onclick={exportObservations}><Download size={15} />CSV</button>
		</div>
		<div class="border-hair border-t py-3">
			<label class="block text-[13.5px] font-semibold" for="one">One sequence</label>
			<input
				autocomplete="off"
				id="one"
				type="search"
				class="field mt-1"
				placeholder="Its title, to print it or to export it as a file"
				bind:value={wish}
			/>
		</div>
		<Awaited of={sequences.current} what="Your sequences">
			{#snippet children(all)}
				<ul>
					{#each askedOf(all) as { sequence } (sequence.id)}
						<li class="border-hair flex items-center gap-2 border-t py-1.5">
							<span class="min-w-0 flex-1"
								><span class="block truncate">{sequence.title}</span><span class="text-ink2 block text-[11.5px]"
									>{stepsOf(sequence).length} steps, changed {dayAndHour(sequence.updatedAt)}</span
								></span
							>
							<a class="btn" href={printAt(sequence.id)}>Print</a>
							<button type="button" class="btn" aria-label="Export {sequence.title}" onclick={() => exportOne(sequence)}
								><Download size={14} />File</button
							>
						</li>
					{:else}{#if wish.trim()}<li class="text-ink2 pt-2">No sequence is called so.</li>{/if}{/each}
				</ul>
			{/snippet}
		</Awaited>
	</section>
	<section class="bg-sea relative px-4 pt-11 pb-8 lg:pr-10 lg:pl-14">
		<SeaEdge />
		<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">Import</h2>
		<p class="text-ink2 py-3">A backup or a single sequence. The file is checked whole first; nothing changes until you say so.</p>
		<label
			class="border-edge flex min-h-24 cursor-pointer flex-col items-center justify-center gap-1 rounded-xl border border-dashed p-4 text-center {over
				? 'bg-wash'
				: 'bg-sheet'} focus-within:outline-2"
			ondragover={(e) => (e.preventDefault(), (over = true))}
			ondragleave={() => (over = false)}
			ondrop={(e) => {
				e.preventDefault();
				over = false;
				void read(e.dataTransfer?.files[0]);
			}}
		>
			<Upload size={18} />
			<span><b>Choose a file</b> or drop it here</span>
			<input
				class="sr-only"
				type="file"
				accept="application/zip,application/json,.zip,.json"
				onchange={(e) => {
					const input = e.currentTarget;
					void read(input.files?.[0])?.then(() => (input.value = ''));
				}}
			/>
		</label>
		{#if exchange.problems.length}
			<div class="border-flag mt-3 rounded-xl border p-4" role="alert">
				<h3 class="text-[15px] font-semibold">This file cannot be imported. Nothing here has changed.</h3>
				<ul class="mt-1 space-y-1.5">
					{#each exchange.problems as p (p.path + p.message)}<li>
							{#if p.path}<code class="text-ink3 block text-[11.5px] break-all">{p.path}</code>{/if}{p.message}
							<span class="text-ink2">{p.remedy}</span>
						</li>{/each}
				</ul>
				{#if exchange.mendable}<button type="button" class="btn mt-3" disabled={exchange.doing !== ''} onclick={exchange.mend}
						>Import all but what is wrong …</button
					>{/if}
			</div>
		{/if}
		{#if exchange.preview}<div class="mt-3">
				<ImportPreview
					preview={exchange.preview}
					busy={exchange.doing !== ''}
					onapply={() => exchange.apply()}
					oncancel={() => exchange.leave()}
				/>
			</div>{/if}
		<h2 class="border-hair mt-10 border-b pb-1 text-[15px] font-semibold">Delete all</h2>
		<div class="flex items-center gap-4 py-3">
			<p class="text-ink2 flex-1">Takes every record out of this browser. Export all first.</p>
			<button type="button" class="btn" onclick={() => (wiping = true)}>Delete all …</button>
		</div>
	</section>
</div>
{#if wiping}{#await question() then { default: DeleteAll }}<DeleteAll bind:open={wiping} onwipe={wipe} />{/await}{/if}
