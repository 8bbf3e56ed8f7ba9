<script lang="ts">
	import ChevronUp from '@lucide/svelte/icons/chevron-up';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { clock } from '$lib/core/step/describe';
	import TipButton from '../../parts/controls/TipButton.svelte';
	import MomentSlider from '../../parts/score/MomentSlider.svelte';
	import MiniScore from '../../parts/score/MiniScore.svelte';

	interface Props {
		events: readonly TimedEvent[];
		byId: ReadonlyMap<string, PlacedStep>;
		/** s */
		total: number;
		cursorSeconds: number;
		/** What is done at the cursor, in short words. */
		caption: string;
		running: boolean;
		onplay: () => void;
		onscrub: (seconds: number) => void;
		onfold: () => void;
	}
	let { events, byId, total, cursorSeconds, caption, running, onplay, onscrub, onfold }: Props = $props();
	let width = $state(0);
	/** The shore begins and ends so far from the edges of its drawing, px. */
	const PAD = 12;
	const share = $derived(total > 0 ? cursorSeconds / total : 0);
</script>

<!-- The score folded to its clock. -->
<div class="flex h-[45px] flex-none items-center gap-2 px-3">
	<TipButton tip="Unfold the score (K)" onclick={onfold}><ChevronUp size={16} /></TipButton>
	<TipButton tip={running ? 'Halt (R)' : 'Play at its pace (R)'} disabled={!total} onclick={onplay}
		>{#if running}<Pause size={15} />{:else}<Play size={15} />{/if}</TipButton
	>
	<span class="w-[88px] flex-none whitespace-nowrap"
		><b class="text-[14px] font-semibold">{clock(cursorSeconds)}</b> <span class="text-ink2">of {clock(total)}</span></span
	>
	<div class="scrub relative h-10 min-w-0 flex-1" bind:clientWidth={width}>
		{#if width > 60 && total > 0}
			<MiniScore {events} {byId} {width} label="The sequence in time" />
			<span
				class="bg-ink pointer-events-none absolute inset-y-0 w-0.5"
				style="left: {PAD + share * (width - 2 * PAD) - 1}px"
				aria-hidden="true"
			></span>
			<MomentSlider {cursorSeconds} {total} {caption} {onscrub} />
		{/if}
	</div>
	<span class="text-ink2 hidden max-w-40 truncate text-[11.5px] sm:block">{caption}</span>
</div>

<style>
	.scrub:focus-within {
		outline: 2px solid var(--ink);
		border-radius: 6px;
	}
</style>
