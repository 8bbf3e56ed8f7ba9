<script lang="ts">
	import type { Aim } from '$lib/core/vocabulary/vocabulary';
	import { AIM_GLYPHS, AIM_TONE } from './aimGlyphs';

	interface Props {
		aim: Aim;
		/** px, default 16. */
		size?: number;
	}
	let { aim, size = 16 }: Props = $props();
</script>

<svg
	width={size}
	height={size}
	viewBox="0 0 16 16"
	aria-hidden="true"
	class="flex-none"
	style:color="var(--{AIM_TONE[aim]})"
	fill="none"
	stroke="currentColor"
	stroke-width="1.4"
	stroke-linecap="round"
	stroke-linejoin="round"
>
	{#each AIM_GLYPHS[aim] as mark (mark.d)}
		{#if mark.fill}<path d={mark.d} fill="currentColor" stroke="none" />
		{:else}<path d={mark.d} stroke-width={mark.width ?? 1.4} />{/if}
	{/each}
</svg>
