<script lang="ts">
	import { Pane, PaneGroup, PaneResizer } from 'paneforge';
	import { untrack, type Snippet } from 'svelte';
	import type { Columns, Room } from '$lib/state/room.svelte';

	interface Props {
		room: Room;
		/** The text stands beside the steps. */
		withText: boolean;
		map: Snippet;
		steps: Snippet;
		inspector: Snippet;
		/** In a height, px. */
		score: Snippet<[number]>;
	}
	let { room, withText, map, steps, inspector, score }: Props = $props();

	/** px of the folded score. */
	const STRIP = 46;
	let tall = $state(700);
	let columns: ReturnType<typeof PaneGroup> | undefined = $state();
	let scorePane: ReturnType<typeof Pane> | undefined = $state();
	const strip = $derived(Math.min(20, (100 * STRIP) / Math.max(200, tall)));
	const wish = $derived(withText ? room.withText : room.columns);
	const first = untrack(() => wish);
	let share = $state(untrack(() => room.score || strip));

	$effect(() => {
		const layout = [...wish];
		if (columns && columns.getLayout().some((c, i) => Math.abs(c - layout[i]!) > 0.1)) columns.setLayout(layout);
	});
	$effect(() => {
		const size = room.score || strip;
		if (scorePane && Math.abs(scorePane.getSize() - size) > 0.1) scorePane.resize(size);
	});
	function divided(layout: number[]) {
		if (layout.length === 3 && layout.some((c, i) => Math.abs(c - wish[i]!) > 0.1)) room.divide(layout as unknown as Columns, withText);
	}
	function shared(size: number) {
		share = size;
		const folded = size <= strip + 0.5;
		if (folded ? room.score !== 0 : Math.abs(size - room.score) > 0.1) room.share(folded ? 0 : size);
	}
</script>

{#snippet between(label: string, upright: boolean)}
	<PaneResizer class="divider {upright ? 'upright' : 'lying'}" aria-label={label} />
{/snippet}

<div class="flex min-h-0 flex-1 flex-col" bind:clientHeight={tall}>
	<PaneGroup direction="vertical" keyboardResizeBy={3}>
		<Pane minSize={30} class="flex min-h-0 flex-col" order={1}>
			<PaneGroup bind:this={columns} direction="horizontal" keyboardResizeBy={3} onLayoutChange={divided} class="min-h-0 flex-1">
				<Pane defaultSize={first[0]} minSize={19} class="flex min-h-0 flex-col" order={1}>{@render map()}</Pane>
				{@render between('Width of the map', true)}
				<Pane defaultSize={first[1]} minSize={30} class="flex min-h-0 flex-col" order={2}>{@render steps()}</Pane>
				{@render between('Width of the inspector', true)}
				<Pane defaultSize={first[2]} minSize={23} class="flex min-h-0 flex-col" order={3}>{@render inspector()}</Pane>
			</PaneGroup>
		</Pane>
		{@render between('Height of the score', false)}
		<Pane
			bind:this={scorePane}
			defaultSize={untrack(() => share)}
			minSize={26}
			collapsible
			collapsedSize={strip}
			onResize={shared}
			class="flex min-h-0 flex-col"
			order={2}
		>
			{@render score((share * tall) / 100)}
		</Pane>
	</PaneGroup>
</div>

<style>
	:global(.divider) {
		position: relative;
		z-index: 20;
		flex: none;
		background: var(--hair);
		transition: background 120ms;
	}
	:global(.divider.upright) {
		width: 1px;
		cursor: col-resize;
	}
	:global(.divider.lying) {
		height: 1px;
		cursor: row-resize;
	}
	/* Wider for the hand than for the eye. */
	:global(.divider)::after {
		content: '';
		position: absolute;
		inset: -5px;
	}
	:global(.divider:hover),
	:global(.divider[data-active]),
	:global(.divider:focus-visible) {
		background: var(--ink);
		outline: 2px solid var(--ink);
		outline-offset: 0;
	}
</style>
