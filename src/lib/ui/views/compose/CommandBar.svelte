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
	/** Lines that were ended by Enter before what reads them was there. */
	let ended = $state.raw<readonly string[]>([]);
	function keyed(event: KeyboardEvent) {
		if (event.isComposing || (event.key !== 'Enter' && event.key !== 'Escape')) return;
		event.preventDefault();
		// As in the line itself: an empty one gives the keys back to the page.
		if (event.key === 'Escape' || (!begun.trim() && !ended.length)) leave([...ended, begun]);
		else if (begun.trim()) [ended, begun] = [[...ended, begun], ''];
	}
	/** What was typed is there again with the next /. */
	function leave(lines: readonly string[]) {
		open = false;
		[ended, begun] = [lines.slice(0, -1), lines.at(-1) ?? ''];
		if (draft.selectedId) focusRow(draft.selectedId);
	}
	/** The phase whose line was typed last: what follows belongs to it. */
	let into = $state<string | null>(null);
</script>

<div class="border-hair flex min-h-9 flex-wrap items-center gap-x-2 border-t pt-0.5" data-tour="words">
	<span class="text-ink3 text-[13px]" aria-hidden="true">›</span>
	{#if open}
		{#await commandLine()}
			<!-- svelte-ignore a11y_autofocus -->
			<input
				autocomplete="off"
				class="min-w-0 flex-1 bg-transparent py-1 outline-none"
				aria-label="Type a step"
				autofocus
				bind:value={begun}
				onkeydown={keyed}
			/>
			{#if ended.length}<p class="text-ink2 basis-full text-[11.5px] leading-4" role="status">
					{ended.length === 1 ? 'One line waits' : `${ended.length} lines wait`} until the moves are here.
				</p>{/if}
		{:then [{ default: CommandLine }, { pasteText, typeLine }]}
			<CommandLine
				{draft}
				{library}
				begun={[...ended, begun]}
				onadd={(text) => {
					if (text.includes('\n')) return pasteText(draft, text, library.all, newId);
					const done = typeLine(draft, text, library.all, newId, into);
					if (done) into = done.into;
					return done !== null;
				}}
				onescape={leave}
			/>
		{/await}
	{:else}
		<button type="button" class="text-ink3 min-h-7 min-w-0 flex-1 truncate text-left text-xs" onclick={() => (open = true)}
			>{begun || 'Type a step, such as: drain chin > under the jaw, index hook, 8 each side'}</button
		>
		<kbd class="text-ink3 text-[11px]">/</kbd>
	{/if}
</div>
