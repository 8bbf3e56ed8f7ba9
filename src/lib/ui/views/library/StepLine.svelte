<script lang="ts">
	import { doseText, sideText } from '$lib/core/step/describe';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import Ripples from '../../parts/glyphs/Ripples.svelte';
	import PathText from '../../parts/steps/PathText.svelte';

	interface Props {
		number: number;
		step: Step;
		/** The step of which a finding speaks. */
		marked: boolean;
	}
	let { number, step, marked }: Props = $props();
</script>

<li
	class="grid grid-cols-[22px_18px_minmax(0,1fr)_22px_28px_60px_64px] items-center gap-2 rounded px-1.5 py-1 text-xs {marked
		? 'bg-wash font-semibold'
		: ''}"
>
	<span class="text-ink2 text-right">{number}</span>
	<AimGlyph aim={step.aim} size={14} />
	<span class="truncate"><span class="sr-only">{AIMS[step.aim]} </span><PathText {step} /></span>
	<Footprint contact={step.contact} tool={step.tool?.id} size={18} />
	<Ripples level={peakLevel(step)} size={24} />
	<span class="text-right font-normal">{doseText(step.dose)}</span>
	<span class="text-ink2 font-normal">{sideText(step.side)}</span>
</li>
