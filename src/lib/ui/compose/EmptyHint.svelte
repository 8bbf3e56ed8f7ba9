<script lang="ts">
	import type { School } from '$lib/core/school/school.schema';

	interface Props {
		school: School;
	}
	let { school }: Props = $props();
	const WAYS = $derived([
		[
			'Open first',
			school.opening.required
				? 'Tap a ring on the neck or by the ear, then “Open by pumping”. Work from the collarbone outwards.'
				: 'This school opens little. Tap the ring above the collarbone, or begin with a stroke.'
		],
		[
			'Then stroke',
			'Drag from where the fluid is to where it shall go: from the lower eyelid to the ear. The way in between is filled in.'
		],
		['Close', 'Drag from the ear to the collarbone, and pump there once more.']
	]);
</script>

<div class="flex flex-1 flex-col justify-center px-6 py-8">
	<p class="text-ink2 mb-5 max-w-[46ch] text-[13.5px] leading-5">
		Nothing here yet. A sequence begins on the face: every place that lights up can be tapped, and every two of them make a stroke.
	</p>
	<ol class="max-w-[56ch] space-y-4">
		{#each WAYS as [title, words], i (title)}
			<li class="grid grid-cols-[30px_1fr] items-baseline">
				<span class="flare text-[22px] leading-6 font-[480]">{i + 1}</span>
				<span><b class="block text-[14px] font-semibold">{title}</b><span class="text-ink2 leading-[18px]">{words}</span></span>
			</li>
		{/each}
	</ol>
	<p class="text-ink3 mt-6 text-[11.5px]">By keyboard: A goes to the map, arrows walk the places, Enter chooses. ? shows all keys.</p>
</div>
