<script lang="ts">
	import { LEVEL_NAMES, levelRangeKPa } from '$lib/core/step/levels';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import type { Working } from '$lib/core/working/working.schema';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import MotionGlyph from '../../parts/glyphs/MotionGlyph.svelte';
	import { markField } from './techniqueChart';

	interface Props {
		techniques: readonly Technique[];
		openId: string | null;
		/** Her own are marked. */
		ownIds: ReadonlySet<string>;
		working: Working;
		onopen: (technique: Technique) => void;
	}
	let { techniques, openId, ownIds, working, onopen }: Props = $props();
	let width = $state(880);
	const field = $derived(markField(techniques, width));
	/** What is read beside the chart comes in the same frame as the first of its marks. */
	const drawn = inTurns(() => field.chartMarks.length, 30, 60);
	const surface = (y: number, level: number) => {
		const points = Array.from({ length: Math.ceil(width / 12) + 1 }, (_, i) => {
			const x = i * 12;
			return `${x} ${(y + 3.2 * Math.sin(x / 88 + level) + 1.6 * Math.sin(x / 37 + 2 * level)).toFixed(1)}`;
		});
		return `M${points.join('L')}`;
	};
	let root: HTMLDivElement | undefined = $state();
	const ARROWS: Record<string, readonly [number, number]> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	/** To the nearest mark in the direction of the arrow. */
	function walk(e: KeyboardEvent, id: string) {
		const arrow = ARROWS[e.key];
		const from = field.chartMarks.find((s) => s.technique.id === id);
		if (!arrow || !from) return;
		e.preventDefault();
		const next = field.chartMarks
			.map((s) => {
				const [dx, dy] = [s.x - from.x, s.y - from.y];
				const along = dx * arrow[0] + dy * arrow[1];
				const aside = Math.abs(dx * arrow[1]) + Math.abs(dy * arrow[0]);
				return { s, along, cost: along + 3 * aside };
			})
			.filter(({ along }) => along > 4)
			.sort((a, b) => a.cost - b.cost)[0];
		if (next) root?.querySelector<HTMLElement>(`[data-move="${CSS.escape(next.s.technique.id)}"]`)?.focus();
	}
</script>

<div class="relative" bind:this={root} bind:clientWidth={width} style="height: {field.height}px">
	<svg class="absolute inset-0" {width} height={field.height} aria-hidden="true">
		{#each field.waters as water (water.level)}
			<path d="{surface(water.y, water.level)}V{field.height}H0Z" fill="var(--drainfill)" class="evening:opacity-[0.22] opacity-[0.17]" />
			<path
				d={surface(water.y, water.level)}
				fill="none"
				stroke="var(--drain)"
				stroke-width={water.level ? 1 : 1.6}
				opacity={water.level ? 0.55 : 1}
			/>
		{/each}
		{#each field.ticks as tick (tick.label)}
			<path d="M{tick.x} {field.height - 22}v5" stroke="var(--ink2)" />
		{/each}
	</svg>
	{#each field.waters as water (water.level)}
		<p class="absolute left-4 text-xs leading-4" style="top: {water.y + 14}px">
			<b class="font-semibold">{water.level} {LEVEL_NAMES[water.level].toLowerCase()}</b><br />
			<span class="text-ink2">{levelRangeKPa(water.level, working).join('–')} kPa</span>
		</p>
	{/each}
	{#each field.ticks as tick (tick.label)}
		<span class="text-ink2 absolute -translate-x-1/2 text-[11px]" style="left: {tick.x}px; top: {field.height - 16}px">{tick.label}</span>
	{/each}
	{#each field.chartMarks.slice(0, drawn.current) as { technique, x, y } (technique.id)}
		{@const open = technique.id === openId}
		<button
			type="button"
			class="absolute flex w-[184px] items-start gap-2 rounded-md py-0.5 text-left {open ? 'font-semibold' : 'hover:bg-sheet/60'}"
			style="left: {x - 13}px; top: {y - 13}px"
			data-move={technique.id}
			aria-pressed={open}
			title={technique.title}
			onclick={() => onopen(technique)}
			onkeydown={(e) => walk(e, technique.id)}
		>
			<span class="flex h-[26px] w-[26px] flex-none items-center justify-center rounded-full {open ? 'bg-primary text-onink' : ''}">
				<MotionGlyph motion={technique.motion} lanes={technique.lanes} reverse={technique.reverse} size={open ? 18 : 22} />
			</span>
			<span class="min-w-0">
				<span class="block truncate text-xs leading-4">{technique.title}</span>
				<span class="flex items-center gap-1.5">
					<AimGlyph aim={technique.aim} size={12} /><span class="sr-only">{AIMS[technique.aim]}</span>
					<Footprint contact={technique.contact} tool={technique.tool?.id} size={16} />
					<span class="text-ink2 text-[11px] leading-3 font-normal"
						>{technique.pressure.min === technique.pressure.max ? '' : `${technique.pressure.min}–${technique.pressure.max}`}</span
					>
					{#if ownIds.has(technique.id)}<span class="text-ink2 text-[11px] leading-3">yours</span>{/if}
				</span>
			</span>
		</button>
	{/each}
</div>
