<script lang="ts">
	import { AlertDialog } from 'bits-ui';
	import Download from '@lucide/svelte/icons/download';
	import Upload from '@lucide/svelte/icons/upload';
	import { readBackupFile, writeBackupFile } from '$lib/formats/backupFile';
	import { fileName } from '$lib/formats/download';
	import type { Parsed, Problem } from '$lib/formats/problem';
	import { MAX_BACKUP_BYTES, readJson } from '$lib/formats/readJson';
	import { readSequenceFile, writeSequenceFile } from '$lib/formats/sequenceFile';
	import { useApp } from '$lib/state/app.svelte';
	import { applyImport, planImport, planOfSequence, type ImportPlan } from '$lib/store/importPlan';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import ImportPreview from '$lib/ui/views/exchange/ImportPreview.svelte';
	import SeaEdge from '$lib/ui/views/exchange/SeaEdge.svelte';
	import { saveFile } from '$lib/ui/parts/controls/saveFile';

	const app = useApp();
	const sequences = liveRows(
		() => null,
		() => app.repo.sequences(),
		[]
	);
	const counts = liveRows(
		() => null,
		async () => [(await app.repo.clients()).length, (await app.repo.allSessions()).length],
		[0, 0]
	);
	const here = $derived(
		`In this browser: ${counts.current[0]} clients, ${sequences.current.length} sequences, ${counts.current[1]} sessions.`
	);
	let problems = $state.raw<readonly Problem[]>([]);
	let plan = $state.raw<ImportPlan | null>(null);
	let said = $state('');
	let wiping = $state(false);
	let over = $state(false);

	async function exportAll() {
		const content = await app.run(() => app.repo.everything());
		if (content) saveFile(fileName(`soft-tide-${content.exportedAt.slice(0, 10)}`, 'json'), writeBackupFile(content));
	}
	async function read(file: File | undefined) {
		problems = [];
		plan = null;
		said = '';
		if (!file) return;
		if (file.size > MAX_BACKUP_BYTES) {
			problems = [
				{
					path: '',
					message: `The file has ${Math.round(file.size / 1024 / 1024)} MB; at most ${MAX_BACKUP_BYTES / 1024 / 1024} MB are read.`,
					remedy: 'Choose a smaller file.'
				}
			];
			return;
		}
		const text = await file.text();
		const raw = readJson(text);
		const single = raw.ok && raw.value.format === 'soft-tide/sequence';
		if (single) await take(readSequenceFile(text), (s) => planOfSequence(app.repo.db, s));
		else await take(readBackupFile(text), (b) => planImport(app.repo.db, b));
	}
	async function take<T>(parsed: Parsed<T>, makePlan: (value: T) => Promise<ImportPlan>) {
		if (!parsed.ok) problems = parsed.problems;
		else plan = await app.run(() => makePlan(parsed.value));
	}
	async function apply() {
		const taken = plan;
		if (!taken) return;
		const done = await app.run(async () => {
			await applyImport(app.repo.db, taken, app.repo.stamp());
			return true;
		});
		if (!done) return;
		const n = taken.records.filter((r) => r.effect !== 'skipped').length;
		said = `${n} ${n === 1 ? 'record is' : 'records are'} in.`;
		plan = null;
	}
	async function wipe() {
		await app.run(() => app.repo.wipe());
		wiping = false;
		said = 'Everything is gone from this browser.';
	}
</script>

<svelte:head><title>Exchange · Soft Tide</title></svelte:head>
<div class="grid min-h-0 flex-1 grid-cols-1 overflow-y-auto lg:grid-cols-2">
	<section class="px-4 pb-8 lg:pr-16">
		<h1 class="pt-3 pb-1 text-xl font-[520]">Exchange</h1>
		<p class="text-ink2 min-h-5 pb-3" role="status">{said || here}</p>
		<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">From here, out</h2>
		<div class="flex items-center gap-4 py-3">
			<div class="flex-1">
				<b class="block text-[13.5px]">Everything</b><span class="text-ink2"
					>Clients, sequences with their history, sessions, settings: one file of the format soft-tide/backup.</span
				>
			</div>
			<button type="button" class="btn btn-primary" onclick={exportAll}><Download size={15} />Export all</button>
		</div>
		<ul class="border-hair border-t">
			{#each sequences.current as { sequence } (sequence.id)}
				<li class="border-hair flex items-center gap-2 border-b py-1.5">
					<span class="min-w-0 flex-1 truncate">{sequence.title}</span>
					<a class="btn" href="/print/{sequence.id}">Print</a>
					<button
						type="button"
						class="btn"
						aria-label="Export {sequence.title}"
						onclick={() => saveFile(fileName(sequence.title, 'json'), writeSequenceFile(sequence))}><Download size={14} />File</button
					>
				</li>
			{/each}
		</ul>
	</section>
	<section class="bg-sea relative px-4 pt-11 pb-8 lg:pr-10 lg:pl-14">
		<SeaEdge />
		<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">From a file, in</h2>
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
				accept="application/json,.json"
				onchange={(e) => {
					const input = e.currentTarget;
					void read(input.files?.[0]).then(() => (input.value = ''));
				}}
			/>
		</label>
		{#if problems.length}
			<div class="border-flag mt-3 rounded-xl border p-4" role="alert">
				<h3 class="text-[15px] font-semibold">This file cannot be brought in. Nothing here has changed.</h3>
				<ul class="mt-1 space-y-1.5">
					{#each problems as p (p.path + p.message)}<li>
							{#if p.path}<code class="text-ink3 block text-[11.5px] break-all">{p.path}</code>{/if}{p.message}
							<span class="text-ink2">{p.remedy}</span>
						</li>{/each}
				</ul>
			</div>
		{/if}
		{#if plan}<div class="mt-3">
				<ImportPreview
					records={plan.records}
					kept={plan.kept.length}
					comparisons={plan.comparisons.length}
					onapply={apply}
					oncancel={() => (plan = null)}
				/>
			</div>{/if}
		<h2 class="border-hair mt-10 border-b pb-1 text-[15px] font-semibold">All away</h2>
		<div class="flex items-center gap-4 py-3">
			<p class="text-ink2 flex-1">Takes every record out of this browser. Export all first.</p>
			<button type="button" class="btn" onclick={() => (wiping = true)}>Wipe everything …</button>
		</div>
	</section>
</div>
<AlertDialog.Root bind:open={wiping}>
	<AlertDialog.Portal>
		<AlertDialog.Overlay class="bg-ink/25 fixed inset-0 z-30" />
		<AlertDialog.Content
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-30 w-[calc(100vw-32px)] max-w-[440px] -translate-x-1/2 -translate-y-1/2 rounded-2xl border p-5"
		>
			<AlertDialog.Title class="flare text-lg font-[540]">Wipe everything?</AlertDialog.Title>
			<AlertDialog.Description class="text-ink2 mt-1 text-[13px] leading-5"
				>All clients, sequences, sessions and settings go from this browser. Only an exported file brings them back.</AlertDialog.Description
			>
			<div class="mt-4 flex justify-end gap-2">
				<AlertDialog.Cancel class="btn">Keep</AlertDialog.Cancel><AlertDialog.Action class="btn btn-primary" onclick={wipe}
					>Wipe</AlertDialog.Action
				>
			</div>
		</AlertDialog.Content>
	</AlertDialog.Portal>
</AlertDialog.Root>
