<script lang="ts">
	import { onMount } from 'svelte';
	import type { Client } from '$lib/core/records/client';
	import type { Photo } from '$lib/core/records/photo';
	import type { Session } from '$lib/core/records/session';
	import { reportOf, UNCERTAINTY } from '$lib/core/records/report';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { clientFileName } from '$lib/formats/download';
	import { observationsCsv } from '$lib/formats/observationsCsv';
	import { seriesFile } from '$lib/formats/seriesFile';
	import { useApp } from '$lib/state/app.svelte';
	import { photoBookOf } from '$lib/state/photoBook.svelte';
	import { saveFile } from '$lib/ui/parts/controls/saveFile';
	import { progressOf } from '$lib/ui/parts/shell/addresses';
	import { dayOfYear } from '$lib/ui/parts/dates';
	import SessionStrip from '$lib/ui/views/progress/SessionStrip.svelte';
	import PhotoPicture from '$lib/ui/parts/picture/PhotoPicture.svelte';
	import { HEADLINE_MEASURED, measuredRow } from '$lib/core/assess/registry';

	interface Props {
		client: Client;
		/** All of this client, the earliest first. */
		sessions: readonly Session[];
		photos: readonly Photo[];
	}
	let { client, sessions, photos }: Props = $props();
	const app = useApp();
	const book = photoBookOf(app);
	onMount(() => () => book.close());
	const unit = $derived(app.settings?.units ?? 'mm');
	const report = $derived(reportOf(sessions, unit));
	const fronts = $derived(photos.filter((p) => p.view === 'front' && p.when === 'before'));
	const pair = $derived(fronts.length > 1 ? [fronts[0]!, fronts.at(-1)!] : []);
	let withPictures = $state(false);
	const name = (extension: string) => clientFileName(client.id, 'progress', app.repo.stamp().now, extension);
</script>

<div class="sheet mx-auto w-full max-w-[820px] space-y-4 overflow-y-auto p-6 text-[14px] leading-[21px]">
	<div class="no-print flex flex-wrap items-center gap-2">
		<a class="btn" href={progressOf(client.id)}>Back</a>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print, or save as PDF</button>
		<button
			type="button"
			class="btn"
			onclick={() =>
				saveFile(
					name('csv'),
					observationsCsv(sessions, () => client.name),
					'text/csv'
				)}>All entries as CSV</button
		>
		<button type="button" class="btn" onclick={() => saveFile(name('json'), seriesFile(client.name, sessions))}>Series as JSON</button>
		{#if pair.length}<label class="flex items-center gap-2 text-[13px]"
				><input type="checkbox" bind:checked={withPictures} /> with photographs</label
			>{/if}
	</div>
	<header>
		<h1 class="text-2xl font-[540]">{client.name}</h1>
		{#if report.sessions}<p>
				{report.sessions}
				{report.sessions === 1 ? 'session' : 'sessions'}, {dayOfYear(report.from)} to {dayOfYear(report.to)}; looked at before and after in {report.looked}.
			</p>{/if}
	</header>
	{#if report.sessions}
		<section>
			<h2 class="text-[16px] font-semibold">What changed</h2>
			{#if report.real.length}<ul class="list-disc space-y-1 pl-5">
					{#each report.real as sentence (sentence)}<li>{sentence}</li>{/each}
				</ul>
			{:else}<p>Nothing beyond what measuring may err by.</p>{/if}
			{#if report.unsure.length}<p class="text-ink2 pt-1.5">
					May be chance, or too few visits to tell: {report.unsure.map((u) => u.charAt(0).toLowerCase() + u.slice(1)).join('; ')}.
				</p>{/if}
		</section>
		<section>
			<h2 class="text-[16px] font-semibold">{measuredRow(HEADLINE_MEASURED).label}, session by session</h2>
			<SessionStrip {sessions} chosenId={null} observed={HEADLINE_MEASURED} width={770} />
		</section>
		{#if withPictures && pair.length}<section>
				<h2 class="pb-1 text-[16px] font-semibold">The first and the latest photograph, before a session</h2>
				<div class="grid grid-cols-2 gap-3">
					{#each pair as photo (photo.id)}<figure>
							<PhotoPicture {book} fileId={photo.fileId} alt="Front" class="aspect-[3/4] w-full rounded" />
							<figcaption class="text-[12px]">{dayOfYear(photo.takenAt)}</figcaption>
						</figure>{/each}
				</div>
				<p class="text-ink2 text-[12.5px]">
					Light and the way a head is held change what one sees; the figures above do not come from these.
				</p>
			</section>{/if}
		<section>
			<h2 class="text-[16px] font-semibold">How sure this is</h2>
			<p>{UNCERTAINTY}</p>
			<p>
				{report.reactions
					? `Something was noted after ${report.reactions} of ${report.sessions} sessions: redness or the like; ask about it.`
					: 'No reaction was noted.'}
			</p>
		</section>
	{:else}<p>No session yet: there is nothing to report.</p>{/if}
	<p class="border-y-2 border-current py-1.5 font-[560]">{CAUTION_LINE}</p>
</div>
