<script lang="ts">
	import { FIGURE, MIDLINE_X, mirrorPath, nodePoints, type View } from '$lib/core/atlas/geometry';
	import { NODE_IDS } from '$lib/core/atlas/nodes';
	import { labelOf, SIDES, whereOf, type PlaceId, type Side } from '$lib/core/atlas/places';
	import { ZONE_IDS } from '$lib/core/atlas/zones';
	import type { Step } from '$lib/core/step/step.schema';
	import type { Snippet } from 'svelte';
	import Figure from './Figure.svelte';
	import NodeRing from './NodeRing.svelte';
	import StrokeMark from './StrokeMark.svelte';
	import ZoneTints from './ZoneTints.svelte';
	import ZoneWater from './ZoneWater.svelte';
	import type { OpenNodes, Pick, ZoneTint } from './mapTypes';
	import { frameOf, turnOf, type Frame, type Orientation } from './orientation';
	import { drawnSides } from './drawnSides';
	import { towards } from '$lib/core/atlas/towards';
	import { MapPointer, type PickEvent } from './mapPointer.svelte';
	import { fillPath, type CheekRoute } from '$lib/core/atlas/route';
	import { nearestSmall, smallTargets } from './hitTargets';
	import { pathPoints, polyline, smooth } from './strokeShape';
	import { drawnStrokes } from './drawnStrokes';
	import type { Finger } from './finger';

	interface Props {
		view: View;
		orientation: Orientation;
		wide?: boolean;
		tints?: readonly ZoneTint[];
		open?: OpenNodes;
		/** How full each node group is, where that is known. */
		filled?: OpenNodes;
		showNodes?: boolean;
		/** Only node groups can be chosen. */
		nodesOnly?: boolean;
		/** The step drawn as a stroke; `now` is the side being worked. */
		step?: Step | null;
		now?: Side | 'both' | null;
		selected?: readonly Pick[];
		/** A closer look than the usual frame; it turns with the figure. */
		focus?: Frame | null;
		/** Whether a closer look fills the room and is cut at its edges, or is seen whole. */
		fill?: boolean;
		/** The hand at this moment, on the step that is drawn. */
		finger?: Finger | null;
		/** Which way a drawn stroke takes on the cheek. */
		cheekRoute?: CheekRoute;
		/** Findings and the like, drawn over the face. */
		over?: Snippet;
		/** On a page where a hand moves over it: not inside of another drawing. */
		layered?: boolean;
		/** What the map is for, read by a screen reader. */
		label: string;
		/** What else holds at a place, added to its name; empty where nothing does. */
		spoken?: (pick: Pick) => string;
		onpick?: (pick: Pick, event: PickEvent) => void;
		/** A drag from one place to another. */
		onstroke?: (from: Pick, to: Pick) => void;
		/** A drag passes over places: each as it is entered, the first with `true`. There are no strokes then. */
		onpass?: (pick: Pick, first: boolean) => void;
		/** A place's name under the pointer, and during a drag where a drop would lead. */
		named?: string;
	}
	let {
		view,
		orientation,
		wide = false,
		tints = [],
		open = new Map(),
		filled,
		showNodes = true,
		nodesOnly = false,
		step = null,
		now = null,
		selected = [],
		label,
		focus = null,
		fill = true,
		finger = null,
		cheekRoute = 'either',
		over,
		layered = false,
		spoken,
		onpick,
		onstroke,
		onpass,
		named = $bindable('')
	}: Props = $props();

	const uid = $props.id();
	const frame = $derived(focus ?? frameOf(view, wide));
	const viewBox = $derived(`${frame.x} ${frame.y} ${frame.width} ${frame.height}`);
	const preserveAspectRatio = $derived(focus ? (fill ? 'xMidYMid slice' : 'xMidYMid meet') : 'xMidYMin meet');
	const turn = $derived(turnOf(view, orientation, focus ? frameOf(view, true) : frame));
	const sides = $derived<readonly Side[]>(view === 'front' ? SIDES : ['left']);
	const isMirrored = (side: Side) => view === 'front' && side === 'right';
	const zones = $derived(ZONE_IDS.filter((z) => FIGURE[view].zones[z] && (wide || !['shoulder', 'axilla', 'decollete'].includes(z))));
	const nodes = $derived(showNodes ? NODE_IDS.filter((n) => nodePoints(view, n).length && (wide || n !== 'axillary')) : []);
	const targets = $derived<Pick[]>(
		[...(nodesOnly ? [] : zones), ...nodes.map((n): PlaceId => `n:${n}`)].flatMap((place) => sides.map((side) => ({ place, side })))
	);
	const same = (a: Pick, b: Pick) => a.place === b.place && a.side === b.side;
	const isSelected = (p: Pick) => selected.some((s) => same(s, p));
	const words = (p: Pick) => {
		const tint = tints.find((t) => t.zone === p.place && t.side === p.side);
		return [`${labelOf(p.place)}, client’s ${p.side}`, tint?.words, spoken?.(p)].filter(Boolean).join(', ');
	};

	let drawing: SVGGElement | undefined = $state();
	const small = $derived(onpick ? smallTargets(view, targets) : []);
	const pointer = new MapPointer({
		targets: () => targets,
		near: (x, y) => (drawing ? nearestSmall(small, drawing, x, y) : null),
		onpick: (p, e) => onpick?.(p, e),
		passing: () => onpass,
		onstroke: (a, b, { from, to }) => {
			if (!same(a, b)) return onstroke?.(a, b);
			// A stroke inside one place leads on to the neighbour that lies its way.
			const matrix = drawing!.getScreenCTM()!.inverse();
			const [p, q] = [from, to].map(({ x, y }) => new DOMPoint(x, y).matrixTransform(matrix)) as [DOMPoint, DOMPoint];
			const dx = (q.x - p.x) * (isMirrored(a.side) ? -1 : 1);
			const on = towards(view, a.place, [dx, q.y - p.y]);
			if (on) onstroke?.(a, { place: on, side: a.side });
			else onpick?.(a, { shift: false, keys: false });
		}
	});
	/** What the pointer means, in words. */
	$effect(() => {
		const { drag } = pointer;
		const at = pointer.named;
		const name = (p: Pick) => whereOf(p.place);
		if (drag) named = drag.to ? `${labelOf(drag.from.place)} to ${name(drag.to)}` : `${labelOf(drag.from.place)} to …`;
		else named = at ? [`${labelOf(at.place)}, client’s ${at.side}`, spoken?.(at)].filter(Boolean).join(': ') : '';
	});
	const drawn = $derived(step ? drawnSides(step, view, now) : []);
	const strokes = $derived(step ? drawnStrokes(step) : []);
	const fingerOn = (side: Side) => (finger && (finger.side === 'both' || finger.side === side || view === 'profile') ? finger : null);
	/** While a stroke is drawn: the way it would take, snapped to places. */
	const trace = $derived.by(() => {
		const { drag } = pointer;
		if (!drag) return null;
		const { from, to } = drag;
		const refs = !to
			? [from.place]
			: from.side === to.side
				? fillPath([from.place, to.place], cheekRoute)
				: [`${from.place}:${from.side}` as const, `${to.place}:${to.side}` as const];
		const points = smooth(pathPoints(view, refs, from.side));
		const free = !to && drawing ? new DOMPoint(drag.x, drag.y).matrixTransform(drawing.getScreenCTM()!.inverse()) : null;
		return polyline(free ? [...points, [free.x, free.y]] : points);
	});
</script>

<svelte:window onpointerup={pointer.end} onblur={pointer.end} />

{#snippet ground()}
	<Figure {view} {uid} wide={wide || focus !== null} />
	{#if tints.length}<ZoneTints {view} tints={tints.filter((t) => sides.includes(t.side))} {uid} />{/if}
	{#each tints as tint (`${tint.zone}:${tint.side}`)}
		{#if sides.includes(tint.side) && (tint.lines || tint.before)}<ZoneWater {view} {tint} {uid} />{/if}
	{/each}
{/snippet}
{#snippet soft()}<filter id="{uid}-soft" x="-20%" y="-20%" width="140%" height="140%"><feGaussianBlur stdDeviation="3.2" /></filter
	>{/snippet}
{#snippet marks()}
	<svg
		{viewBox}
		{preserveAspectRatio}
		class="{layered ? 'absolute inset-0' : ''} h-full w-full touch-none select-none"
		role={onpick ? 'group' : 'img'}
		aria-label={label}
		data-map
		{...onpick ? pointer.surface : {}}
	>
		<defs>
			{#if !layered}{@render soft()}{/if}
			<radialGradient id="{uid}-glow">
				<stop offset="0" stop-color="var(--openfill)" stop-opacity="0.95" />
				<stop offset="0.45" stop-color="var(--openfill)" stop-opacity="0.5" />
				<stop offset="1" stop-color="var(--openfill)" stop-opacity="0" />
			</radialGradient>
		</defs>
		<g transform={turn || undefined} bind:this={drawing}>
			{#if !layered}{@render ground()}{/if}
			{#if nodes.length}
				<g aria-hidden="true">
					{#each nodes as node (node)}
						{#each sides as side (side)}
							{#each nodePoints(view, node) as [x, y], i (i)}
								<NodeRing
									x={side === 'right' && view === 'front' ? 2 * MIDLINE_X - x : x}
									{y}
									{uid}
									open={open.get(`${node}:${side}`) ?? 0}
									fill={filled?.get(`${node}:${side}`)}
								/>
							{/each}
						{/each}
					{/each}
				</g>
			{/if}
			{#each drawn as mark (mark.side)}
				{#each strokes as { stroke, first, holds }, i (i)}
					{@const hand = mark.now ? fingerOn(mark.side) : null}
					<StrokeMark {view} step={stroke} side={mark.side} now={mark.now} faint={!first} finger={hand && holds(hand) ? hand : null} />
				{/each}
			{/each}
			{@render over?.()}
			{#if trace}
				<g aria-hidden="true" style="pointer-events: none" fill="none" stroke-linecap="round" stroke-linejoin="round">
					<path d={trace} stroke="var(--sheet)" stroke-width="11" stroke-opacity="0.7" />
					<path d={trace} stroke="var(--brush)" stroke-width="6" stroke-dasharray="0.1 10" />
				</g>
			{/if}
			{#if onpick}
				{#each targets as target, i (`${target.place}:${target.side}`)}
					{@const zone = target.place.startsWith('n:') ? null : FIGURE[view].zones[target.place as keyof typeof FIGURE.front.zones]}
					<g
						role="button"
						tabindex={pointer.tabindexOf(i)}
						aria-label={words(target)}
						aria-pressed={isSelected(target)}
						data-place={target.place}
						data-side={target.side}
						class="target"
						data-state={isSelected(target) ? 'on' : pointer.isNear(i) ? 'near' : 'off'}
						{...pointer.handlers(i)}
					>
						{#if zone}<path d={isMirrored(target.side) ? mirrorPath(zone.d) : zone.d} class="zone" />
						{:else}
							{#each nodePoints(view, target.place.slice(2) as (typeof NODE_IDS)[number]) as [x, y], k (k)}
								<circle cx={isMirrored(target.side) ? 2 * MIDLINE_X - x : x} cy={y} r="15" class="node" />
							{/each}
						{/if}
					</g>
				{/each}
			{/if}
		</g>
	</svg>
{/snippet}

{#if layered}
	<!-- What rests lies in a layer of its own: a moving hand does not draw the face anew. -->
	<div class="relative h-full w-full">
		<svg {viewBox} {preserveAspectRatio} class="absolute inset-0 h-full w-full will-change-transform" aria-hidden="true">
			<defs>{@render soft()}</defs>
			<g transform={turn || undefined}>{@render ground()}</g>
		</svg>
		{@render marks()}
	</div>
{:else}{@render marks()}{/if}

<style>
	.target {
		cursor: pointer;
		outline: none;
	}
	.zone {
		fill: var(--ink);
		fill-opacity: 0;
		stroke: var(--route);
		stroke-opacity: 0;
		stroke-width: 3;
		pointer-events: all;
	}
	.node {
		fill: transparent;
		stroke: var(--route);
		stroke-opacity: 0;
		stroke-width: 2;
	}
	.target[data-state='near'] .zone {
		fill-opacity: 0.05;
		stroke-opacity: 0.45;
		stroke-dasharray: 3 4;
	}
	.target[data-state='near'] .node {
		stroke-opacity: 0.6;
	}
	.target:focus-visible .zone,
	.target:focus-visible .node,
	.target[data-state='on'] .zone,
	.target[data-state='on'] .node {
		stroke-opacity: 1;
		stroke-width: 2.4;
	}
	.target[data-state='on'] .zone {
		fill-opacity: 0.06;
	}
	.target:focus-visible .zone {
		stroke-dasharray: none;
	}
</style>
