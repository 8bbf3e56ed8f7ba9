<script lang="ts">
	import BookOpen from '@lucide/svelte/icons/book-open';
	import Hand from '@lucide/svelte/icons/hand';
	import TextCursorInput from '@lucide/svelte/icons/text-cursor-input';
	import type { School } from '$lib/core/school/school.schema';

	interface Props {
		school: School;
		/** To the map. */
		ondraw: () => void;
		/** To the line of words. */
		ontype: () => void;
		ontour: () => void;
	}
	let { school, ondraw, ontype, ontour }: Props = $props();
	const first = $derived(
		school.opening.required
			? 'Begin with the ring above the collarbone: tap it, then choose how to open it.'
			: 'This school opens little: drag from where the fluid is to where it shall go.'
	);
</script>

<div class="flex flex-1 flex-col justify-center px-6 py-6">
	<p class="flare text-[19px] leading-6 font-[520]">Nothing here yet</p>
	<p class="text-ink2 mt-1 mb-5 max-w-[48ch] leading-[18px]">There are three ways to begin, and they mix freely.</p>
	<ol class="border-hair max-w-[58ch] border-t">
		<li class="way border-hair border-b">
			<Hand size={20} />
			<span
				><b>Draw it on the face</b><span class="text-ink2">{first} Two places make a stroke; the path between them is filled in.</span
				></span
			>
			<button type="button" class="btn btn-primary" onclick={ondraw}>To the face</button>
		</li>
		<li class="way border-hair border-b">
			<TextCursorInput size={20} />
			<span
				><b>Say it in words</b><span class="text-ink2">A line is a step: “drain chin &gt; under the jaw, index hook, 8 each side”.</span
				></span
			>
			<button type="button" class="btn" onclick={ontype}>Type</button>
		</li>
		<li class="way border-hair border-b">
			<BookOpen size={20} />
			<span
				><b>Begin from a ready one</b><span class="text-ink2">Sequences of six schools, from 3 to 30 minutes, to copy and change.</span
				></span
			>
			<a class="btn" href="/library/sequences">Choose</a>
		</li>
	</ol>
	<p class="text-ink3 mt-4 text-[11.5px]">
		<button type="button" class="dotted text-ink2" onclick={ontour}>Show me around</button> in five steps. By keyboard: A goes to the face, /
		to the words, ? shows all keys.
	</p>
</div>

<style>
	.way {
		display: grid;
		grid-template-columns: 32px minmax(0, 1fr) auto;
		align-items: center;
		gap: 4px 10px;
		padding: 11px 0;
		line-height: 18px;
	}
	.way b {
		display: block;
		font-size: 13.5px;
		font-weight: 600;
	}
</style>
