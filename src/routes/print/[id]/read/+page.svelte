<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { stepsOf } from '$lib/core/sequence/walk';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { useApp } from '$lib/state/app.svelte';
	import { composeAt, idIn, printAt } from '$lib/ui/parts/shell/addresses';
	import ReadThrough from '$lib/ui/views/session/ReadThrough.svelte';

	const app = useApp();
	/** Undefined until it is known; one of the practice, or a ready one. */
	let sequence = $state.raw<Sequence | null>();
	let ready = $state(false);
	async function find(id: string) {
		const own = await app.run(() => app.repo.sequence(id));
		const { TEMPLATES } = await import('$lib/core/template/templates');
		sequence = own?.sequence ?? TEMPLATES.find((t) => t.id === id) ?? null;
		ready = !own;
	}
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void find(id!));
	});
</script>

{#if sequence}
	<div class="mx-auto w-full max-w-[1080px] p-6 print:max-w-none print:p-0">
		<div class="no-print mb-4 flex gap-2">
			<a class="btn" href={ready ? '/library/sequences' : composeAt(sequence.id)}>Back</a>
			<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print</button>
			{#if !ready}<a class="btn" href={printAt(sequence.id)}>As a table</a>{/if}
		</div>
		<h1 class="text-xl font-[540]">Read through: {sequence.title}</h1>
		<p class="pb-1">
			{stepsOf(sequence).length} steps, {sequence.school.title.toLowerCase()}. Each line as the session screen shows it, with its second,
			and what the voice says before it.
		</p>
		<p class="mb-3 border-y border-current py-1 text-[11.5px] font-[560]">{CAUTION_LINE}</p>
		<ReadThrough
			{sequence}
			working={app.context.working}
			voice={app.settings?.voice ?? 'places'}
			rate={app.settings?.voiceRate ?? 1}
			volume={app.settings?.volume ?? 1}
		/>
	</div>
{:else if sequence === null}<p class="p-6">This sequence is not here. <a class="dotted" href="/compose">All sequences</a></p>{/if}

<style>
	@page {
		margin: 11mm;
	}
</style>
