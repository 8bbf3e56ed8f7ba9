<script lang="ts">
	import { AIMS, type Aim } from '$lib/core/vocabulary/vocabulary';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Ripples from '../../parts/glyphs/Ripples.svelte';
	import { LEVELS } from '$lib/core/step/levels';

	interface Props {
		/** The aims that occur. */
		aims: ReadonlySet<Aim>;
	}
	let { aims }: Props = $props();
	const shown = $derived((Object.keys(AIMS) as Aim[]).filter((a) => aims.has(a)));
</script>

<div
	class="text-ink2 flex h-6 min-w-0 flex-1 flex-wrap items-center justify-end gap-x-3 overflow-hidden text-[11.5px] leading-6 *:h-6"
	aria-hidden="true"
>
	{#each shown as aim (aim)}<span class="flex items-center gap-1"><AimGlyph {aim} size={14} />{AIMS[aim].toLowerCase()}</span>{/each}
	<span class="flex items-center gap-1.5"
		>pressure {#each LEVELS.slice(1) as level (level)}<Ripples {level} size={20} />{/each}</span
	>
</div>
