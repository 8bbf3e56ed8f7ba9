<script lang="ts">
	import { pressingAreaCm2 } from '$lib/core/pressure/area';
	import type { Side } from '$lib/core/atlas/places';
	import type { Performer } from '$lib/core/perform/instruction/moment';
	import type { ScreenKind } from '$lib/core/perform/legible';
	import { levelNow } from '$lib/core/perform/levelNow';
	import type { Position } from '$lib/core/perform/position';
	import type { Shown } from '$lib/core/perform/shown';
	import { LEVEL_NAMES, levelRangeKPa, scaleGrams } from '$lib/core/step/levels';
	import type { Step } from '$lib/core/step/step.schema';
	import type { Working } from '$lib/core/working/working.schema';
	import { shrink } from '../../parts/shrink';
	import PressureSection from './PressureSection.svelte';
	import { sideWords } from './sideWords';

	interface Props {
		step: Step;
		position: Position;
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
		screen: ScreenKind;
	}
	let { step, position, hands, side, then, midline, working, act, performer, screen }: Props = $props();
	const words = $derived(sideWords(side, then, midline, performer));
	const level = $derived(levelNow(position, step));
	const kPa = $derived(levelRangeKPa(level, working));
	const area = $derived(pressingAreaCm2(step, working));
	const glyphs = $derived(screen !== 'phone');
</script>

<!-- What the hands need to know: side and pressure; readable from the couch. -->
<ul class="facts">
	{#if act}<li class="act" {@attach shrink(34, 14)}>{act}</li>
	{:else if hands === 'none' || (hands === 'client' && performer === 'client')}
		<li class="act" {@attach shrink(34, 14)}>{hands === 'client' ? 'The client does this' : 'Hands off'}</li>
	{/if}
	{#if hands !== 'none' && !act}<li>
			{#if glyphs}<svg width="70" height="38" viewBox="0 0 62 34" fill="none" aria-hidden="true"
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
				>{/if}
			<div class="min-w-0">
				<span class="sr-only">Side: </span>
				<b>{words[0]}</b>{#if glyphs && words[1]}<span class="sub">{words[1]}</span>{/if}
			</div>
		</li>{/if}
	{#if step.contact !== 'none'}
		<li>
			{#if glyphs}<PressureSection {level} />{/if}
			<div class="min-w-0">
				<span class="sr-only">Pressure: </span>
				<b class="first-letter:uppercase">{LEVEL_NAMES[level]}</b>{#if glyphs}<span class="sub"
						>{level} of 4, {kPa[0]}–{kPa[1]} kPa{#if area}, {Math.round(scaleGrams(kPa[0], area))}–{Math.round(scaleGrams(kPa[1], area))} g{/if}</span
					>{/if}
			</div>
		</li>
	{/if}
</ul>

<style>
	.facts {
		display: grid;
		align-content: center;
		gap: min(1cqh, 10px);
		min-width: 0;
		height: 100%;
	}
	li {
		display: flex;
		align-items: center;
		gap: 16px;
		min-width: 0;
	}
	li :global(svg) {
		flex: none;
	}
	b {
		display: block;
		font-size: min(var(--large), 39cqh);
		font-weight: 560;
		letter-spacing: -0.015em;
		line-height: 1.04;
	}
	.sub {
		display: block;
		/* Clear of what hangs below the line above. */
		padding-top: min(1.5cqh, 5px);
		color: var(--ink2);
		font-size: clamp(13px, 10.5cqh, 19px);
		line-height: 1.15;
		white-space: nowrap;
	}
	@media (max-width: 600px) {
		.facts {
			gap: 0;
		}
		b {
			font-size: min(var(--large), 48cqh, 20.4cqw);
			letter-spacing: -0.03em;
			line-height: 1;
		}
	}
	/* In a low window side and pressure stand beside one another. */
	@media (max-height: 560px) {
		.facts {
			grid-auto-flow: column;
			grid-auto-columns: max-content;
			align-content: center;
			gap: 20px;
		}
		b {
			font-size: min(var(--large), 100cqh);
			letter-spacing: -0.02em;
		}
		.sub {
			display: none;
		}
	}
	.act {
		display: block;
		max-height: 55cqh;
		overflow: hidden;
		font-weight: 600;
		line-height: 1.12;
	}
</style>
