<script lang="ts">
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import { loadTechniques, type Techniques } from '$lib/state/techniques.svelte';

	interface Props {
		draft: SequenceDraft;
		library: Techniques;
		newId: () => string;
		/** Opens the line for typing. */
		open: boolean;
	}
	let { draft, library, newId, open = $bindable() }: Props = $props();

	/** Fetched when it is asked for: most steps are drawn on the map. */
	const commandLine = () => Promise.all([import('./text/CommandLine.svelte'), import('$lib/state/clipboard'), loadTechniques()]);
	let begun = $state('');
</script>

<div class="border-hair flex min-h-9 flex-wrap items-center gap-x-2 border-t pt-0.5" data-tour="words">
	<span class="text-ink3 text-[13px]" aria-hidden="true">›</span>
	{#if open}
		{#await commandLine()}
			<!-- svelte-ignore a11y_autofocus -->
			<input class="min-w-0 flex-1 bg-transparent py-1 outline-none" aria-label="Type a step" autofocus bind:value={begun} />
		{:then [{ default: CommandLine }, { pasteText }]}
			<CommandLine
				{draft}
				{library}
				{begun}
				onadd={(text) => pasteText(draft, text, library.all, newId)}
				onescape={() => {
					open = false;
					begun = '';
				}}
			/>
		{/await}
	{:else}
		<button type="button" class="text-ink3 min-h-7 min-w-0 flex-1 truncate text-left text-xs" onclick={() => (open = true)}
			>Type a step, such as: drain chin &gt; n:submandibular, index hook, 8 each side</button
		>
		<kbd class="text-ink3 text-[11px]">/</kbd>
	{/if}
</div>
