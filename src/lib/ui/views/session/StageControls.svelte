<script lang="ts">
	import type { Performing } from '$lib/state/performing.svelte';
	import StageButton from './StageButton.svelte';

	interface Props {
		performing: Performing;
		/** It is being said what comes first. */
		leading: boolean;
		ontoggle: () => void;
		onend: () => void;
		/** Asks how what is left fits the time that is left. */
		onfit: () => void;
		/** Ending was asked for while it runs: the next touch ends it. */
		armed: boolean;
	}
	let { performing, leading, ontoggle, onend, onfit, armed }: Props = $props();
	const runner = $derived(performing.runner);
	/** What can be taken back: the button stays where it is, and says so when there is nothing. */
	const undo = $derived(performing.undoWords);
	const GLYPHS = {
		pause: 'M3 33H9C14 33 15 13 21 13S28 33 33 33H43',
		go: 'M3 33H12C18 33 19 13 27 13S35 33 43 33',
		back: 'M5 36H41M14 36C18 36 18 18 23 18S28 36 32 36M32 14A12 10 0 0 0 13 12M13 5V13H21',
		skip: 'M5 36H41M8 28C12 10 32 8 38 26M31 22L38.5 27L42 18.5',
		more: 'M3 34H8C13 34 13 16 18 16S23 34 28 34M36 10V26M28 18H44',
		other: 'M3 23H43M8 23C12 23 12 7 17 7S22 23 26 23M24 23C28 23 28 39 33 39M33 39L27 37M33 39L35 32',
		fit: 'M5 8V40M41 8V40M9 30C13 30 14 18 18 18S22 30 26 30 29 20 32 20 35 30 37 30',
		undo: 'M6 18H28C37 18 40 24 40 28S37 37 28 37H18M15 9L6 18L15 27',
		end: 'M5 36H41M9 36C9 22 14 12 23 12S37 22 37 36M23 13V36'
	};
</script>

{#snippet back()}<StageButton label="Undo" hint="Z" glyph={GLYPHS.undo} off={!undo} onclick={() => undo && performing.undo()} />{/snippet}

<!-- While the hands work: more, the other side, on. While they rest: what changes the rest of it. Places stay the same. -->
<div class="grid grid-cols-5 md:grid-cols-[minmax(0,1.2fr)_repeat(4,minmax(0,1fr))]">
	<StageButton
		sand
		label={leading
			? 'Wait'
			: runner.untilSign !== null && runner.playing
				? 'It is so'
				: runner.playing
					? 'Pause'
					: runner.begun
						? 'Go on'
						: 'Begin'}
		hint="space"
		glyph={runner.playing && runner.untilSign === null ? GLYPHS.pause : GLYPHS.go}
		onclick={ontoggle}
	/>
	{#if runner.playing}
		<StageButton label="One more" hint="↑" glyph={GLYPHS.more} onclick={() => performing.more()} />
		<StageButton label="Other side" hint="S" glyph={GLYPHS.other} onclick={() => performing.otherSide()} />
		{@render back()}
		<StageButton label="Skip" hint="→" glyph={GLYPHS.skip} onclick={() => performing.skip()} />
	{:else}
		<StageButton label="Step again" hint="←" glyph={GLYPHS.back} onclick={() => performing.back()} />
		<StageButton label="Fit to time" hint="F" glyph={GLYPHS.fit} onclick={onfit} />
		{@render back()}
		<StageButton label={armed ? 'End now' : 'End here'} hint="E" glyph={GLYPHS.end} onclick={onend} />
	{/if}
</div>
