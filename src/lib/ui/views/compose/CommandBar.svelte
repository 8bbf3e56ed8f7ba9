<script lang="ts">
	import { focusRow } from '$lib/state/composeKeys';
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
	/** The phase whose line was typed last: what follows belongs to it. */
	let into = $state<string | null>(null);
</script>

<div class="border-hair flex min-h-9 flex-wrap items-center gap-x-2 border-t pt-0.5" data-tour="words">
	<span class="text-ink3 text-[13px]" aria-hidden="true">›</span>
	{#if open}
		{#await commandLine()}
			<!-- svelte-ignore a11y_autofocus -->
			<input class="min-w-0 flex-1 bg-transparent py-1 outline-none" aria-label="Type a step" autofocus bind:value={begun} />
		{:then [{ default: CommandLine }, { pasteText, typeLine }]}
			<CommandLine
				{draft}
				{library}
				{begun}
				onadd={(text) => {
					if (text.includes('\n')) return pasteText(draft, text, library.all, newId);
					const done = typeLine(draft, text, library.all, newId, into);
					if (done) into = done.into;
					return done !== null;
				}}
				onescape={(text) => {
					// What was typed is there again with the next /.
					open = false;
					begun = text;
					if (draft.selectedId) focusRow(draft.selectedId);
				}}
			/>
		{/await}
	{:else}
		<button type="button" class="text-ink3 min-h-7 min-w-0 flex-1 truncate text-left text-xs" onclick={() => (open = true)}
			>{begun || 'Type a step, such as: drain chin > under the jaw, index hook, 8 each side'}</button
		>
		<kbd class="text-ink3 text-[11px]">/</kbd>
	{/if}
</div>
