<script lang="ts">
	import { RadioGroup } from 'bits-ui';
	import { LEVEL_NAMES, LEVELS, levelRangeKPa, scaleGrams, type Level } from '$lib/core/step/levels';
	import type { Working } from '$lib/core/working/working.schema';
	import Ripples from '../../../parts/glyphs/Ripples.svelte';

	interface Props {
		level: Level;
		/** The level that this place bears; above it keys are dashed but still work: the finding answers. */
		cap: Level | null;
		/** The cap is this client’s own. */
		hers?: boolean;
		/** Contact area, cm²; null where nothing presses. */
		areaCm2: number | null;
		working: Working;
		onchange: (level: Level) => void;
	}
	let { level, cap, hers = false, areaCm2, working, onchange }: Props = $props();
	const range = $derived(levelRangeKPa(level, working));
	const grams = $derived(areaCm2 === null ? null : range.map((kPa) => Math.round(scaleGrams(kPa, areaCm2))));
</script>

<div class="flex items-center gap-2">
	<RadioGroup.Root
		value={String(level)}
		onValueChange={(v) => onchange(Number(v) as Level)}
		class="flex gap-[3px]"
		aria-label="Pressure"
		orientation="horizontal"
	>
		{#each LEVELS as l (l)}
			<RadioGroup.Item
				value={String(l)}
				aria-label="{l} {LEVEL_NAMES[l]}{cap !== null && l > cap ? ', above the cap' : ''}"
				class="border-edge data-[state=checked]:border-ink data-[state=checked]:bg-wash flex h-9 w-[34px] flex-col items-center justify-end gap-px rounded-lg border pb-0.5 data-[state=checked]:shadow-[inset_0_-2px_var(--ink)] {cap !==
					null && l > cap
					? 'border-dashed'
					: 'bg-sheet'}"
			>
				<Ripples level={l} size={26} />
				<span class="text-[11px] leading-3 {l === level ? 'font-bold' : 'font-medium'}">{l}</span>
			</RadioGroup.Item>
		{/each}
	</RadioGroup.Root>
	<span class="text-ink2 text-[11px] leading-[14px]">
		<b class="text-ink text-xs font-semibold whitespace-nowrap">{range[0]}–{range[1]} kPa</b><br />
		{#if grams}{grams[0]}–{grams[1]} g{/if}{#if cap !== null}<br />{hers ? 'for her' : 'cap'} {cap}{/if}
	</span>
</div>
