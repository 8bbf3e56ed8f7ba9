<script lang="ts">
	import { pressingAreaCm2 } from '$lib/core/pressure/area';
	import type { Side } from '$lib/core/atlas/places';
	import { LEVEL_NAMES, levelRangeKPa, scaleGrams } from '$lib/core/step/levels';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { contactText } from '$lib/core/step/describe';
	import type { Working } from '$lib/core/working/working.schema';
	import type { Performer } from '$lib/core/perform/instruction/moment';
	import type { Shown } from '$lib/core/perform/shown';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import PressureSection from './PressureSection.svelte';
	import { sideWords } from './sideWords';

	interface Props {
		step: Step;
		/** Whose hands are at work. */
		hands: Shown['hands'];
		/** The side in work; null where both are. */
		side: Side | null;
		/** The side that comes after it. */
		then: Side | null;
		midline: boolean;
		working: Working;
		/** What is washed or prepared, in words; empty where neither is done. */
		act: string;
		/** On whom one works. */
		performer: Performer;
	}
	let { step, hands, side, then, midline, working, act, performer }: Props = $props();
	const words = $derived(sideWords(side, then, midline, performer));
	const level = $derived(peakLevel(step));
	const kPa = $derived(levelRangeKPa(level, working));
	const area = $derived(pressingAreaCm2(step, working));
</script>

<!-- What the hands need to know: side, contact, pressure; readable from two metres. -->
<ul class="min-w-0 space-y-[0.5em]">
	{#if hands !== 'none' && !act}<li class="flex items-center gap-3">
			<svg width="62" height="34" viewBox="0 0 62 34" fill="none" aria-hidden="true"
				><path d="M1 17H61" stroke="var(--ink2)" stroke-width="1.6" />
				<path
					d="M10 17C16 17 16 4 22 4S28 17 34 17"
					fill={side === 'right' ? 'none' : 'var(--drain)'}
					stroke="var(--drain)"
					stroke-width="1.6"
					stroke-dasharray={side === 'right' ? '3 3' : undefined}
				/>
				<path
					d="M28 17C34 17 34 30 40 30S46 17 52 17"
					fill={side === 'left' ? 'none' : 'var(--drain)'}
					stroke="var(--drain)"
					stroke-width="1.6"
					stroke-dasharray={side === 'left' ? '3 3' : undefined}
				/></svg
			>
			<div>
				<span class="sr-only">Side: </span>
				<span>
					<b class="font-semibold">{words[0]}</b><br /><span class="text-ink2">{words[1]}</span>
				</span>
			</div>
		</li>{/if}
	{#if act}<li class="font-semibold">{act}</li>
	{:else if hands === 'none' || (hands === 'client' && performer === 'client')}
		<li class="font-semibold">{hands === 'client' ? 'She does it herself' : 'Hands off the face'}</li>
	{/if}
	{#if step.contact !== 'none'}
		<li class="flex items-center gap-3">
			<Footprint contact={step.contact} tool={step.tool?.id} size={62} />
			<div>
				<span class="sr-only">Hand or tool: </span>
				<span class="font-semibold">
					{contactText(step)}
				</span>
			</div>
		</li>
		<li class="flex items-center gap-3">
			<PressureSection {level} />
			<div>
				<span class="sr-only">Pressure: </span>
				<span>
					<b class="inline-block font-semibold first-letter:uppercase">{LEVEL_NAMES[level]}, {level} of 4</b><br /><span
						class="text-ink2 whitespace-nowrap"
						>{kPa[0]}–{kPa[1]} kPa{#if area}, {Math.round(scaleGrams(kPa[0], area))}–{Math.round(scaleGrams(kPa[1], area))} g{/if}</span
					>
				</span>
			</div>
		</li>
	{/if}
</ul>
