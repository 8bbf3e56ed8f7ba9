<script lang="ts">
	import { onDestroy } from 'svelte';
	import { clock } from '$lib/core/step/describe';
	import type { Performing } from '$lib/state/performing.svelte';
	import SessionLine from './SessionLine.svelte';
	import StageFit from './StageFit.svelte';

	interface Props {
		performing: Performing;
		noting: boolean;
		/** Seconds that are left of her time, by the clock. */
		timeLeft: () => number;
		/** Where the other parts of the session lie. */
		parts: Partial<Record<'screening' | 'before', string>>;
	}
	let { performing, noting = $bindable(), timeLeft, parts }: Props = $props();
	/** By a clock that nobody sets. */
	const since = performance.now();
	let now = $state(performance.now());
	$effect(() => {
		const timer = setInterval(() => (now = performance.now()), 1000);
		return () => clearInterval(timer);
	});
	const fit = $derived(performing.fit);
	let words = $state('');
	function keepNote() {
		if (words.trim()) performing.note('note', words.trim());
		words = '';
		noting = false;
	}
	// Going on, or whatever else closes this, takes no note away.
	onDestroy(() => {
		if (noting && words.trim()) performing.note('note', words.trim());
	});
</script>

<section class="pause" aria-label="While it stands" data-own-keys>
	<div class="-my-1 sm:hidden"><SessionLine at="perform" to={parts} /></div>
	{#if fit}<StageFit {performing} {fit} {timeLeft} />
	{:else if noting}
		<form class="flex flex-wrap items-end gap-2" onsubmit={(e) => (e.preventDefault(), keepNote())}>
			<label class="min-w-0 flex-1"
				>Note of this moment
				<input autocomplete="off" class="field w-full" maxlength="280" bind:value={words} {@attach (input) => input.focus()} /></label
			>
			<button class="btn btn-large btn-primary">Save</button>
			<button type="button" class="btn btn-large" onclick={() => ((words = ''), (noting = false))}>Cancel</button>
		</form>
	{:else}
		<div class="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
			<h2 class="text-ink2">
				{#if performing.runner.position.done}All is done. <span class="text-ink">End here, or take back what was left out.</span>
				{:else}Paused for <b class="text-ink">{clock((now - since) / 1000)}</b>{/if}
			</h2>
			{#if performing.undoWords}<button type="button" class="btn min-h-11 max-sm:hidden" onclick={() => performing.undo()}
					>Undo {performing.undoWords} <kbd>U</kbd></button
				>{/if}
		</div>
		{#each performing.faded as faded (faded.node)}
			<p class="flex flex-wrap items-center gap-2">
				<span class="min-w-0 flex-1">{faded.words}</span>
				<button type="button" class="btn min-h-11" onclick={() => performing.openAgain(faded)}>Open it again</button>
			</p>
		{/each}
		<div class="grid grid-cols-3 gap-1.5 sm:gap-2">
			<button type="button" class="btn min-h-11" onclick={() => performing.note('tender')}>Tender here <kbd>T</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => performing.note('oil')}>Oil added <kbd>O</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => (noting = true)}>Note <kbd>N</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => performing.note('lighter')}>Pressed lighter <kbd>,</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => performing.note('firmer')}>Pressed firmer <kbd>.</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => performing.less()}>One less <kbd>↓</kbd></button>
			<button type="button" class="btn min-h-11" onclick={() => performing.skip()}>Skip the step <kbd>→</kbd></button>
			<button type="button" class="btn col-span-2 min-h-11" onclick={() => performing.exit()}>Closing drain, then end <kbd>X</kbd></button>
		</div>
	{/if}
</section>

<style>
	/* Over the lower part of the map, never over the count; on a phone over what is read from near. */
	.pause {
		position: relative;
		z-index: 3;
		align-self: end;
		display: flex;
		flex-direction: column;
		gap: 8px;
		min-width: 0;
		max-height: 100%;
		overflow-y: auto;
		padding: 12px 16px;
		background: var(--paper);
		border-top: 1px solid var(--hair);
		font-size: clamp(14px, 2.1dvh, 18px);
		line-height: 1.35;
		grid-area: map;
	}
	.pause :global(.btn) {
		font-size: inherit;
		line-height: 1.2;
		padding-inline: 8px;
		white-space: normal;
	}
	@media (max-width: 700px) {
		.pause :global(kbd) {
			display: none;
		}
	}
	.pause :global(kbd) {
		opacity: 0.75;
		font-family: inherit;
		font-size: 0.85em;
	}
	@media (max-width: 600px) {
		.pause {
			padding: 4px 10px;
			gap: 4px;
			line-height: 1.2;
			grid-area: words;
		}
	}
	@media (max-height: 560px) {
		.pause {
			padding: 6px 12px;
			gap: 6px;
		}
	}
</style>
