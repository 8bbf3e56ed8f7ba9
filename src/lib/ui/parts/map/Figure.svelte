<script lang="ts">
	import { FRONT_DRAWING, knownProfile, loadProfile, type Drawing } from '$lib/core/atlas/drawing';
	import { mirrorPath, type View } from '$lib/core/atlas/geometry';

	interface Props {
		view: View;
		/** Part of the ids inside, unique on the page. */
		uid: string;
		/** Down to the chest instead of head and neck. */
		wide: boolean;
		/** Without shading, for small sizes. */
		plain?: boolean;
	}
	let { view, uid, wide, plain = false }: Props = $props();

	let profile = $state.raw(knownProfile());
	$effect(() => {
		if (view === 'profile' && !profile) void loadProfile().then((drawing) => (profile = drawing));
	});
	const NOTHING: Drawing = { lines: [], fills: [] };
	const figure = $derived(view === 'front' ? FRONT_DRAWING : (profile ?? NOTHING));
	const ROLES = ['skin', 'hair', 'shade', 'lid', 'lips'];
	const HIDDEN = /hair-flow|axilla|chest/;
	const fills = $derived(ROLES.flatMap((role) => figure.fills.filter((f) => f.role === role)));
	const lines = $derived(
		figure.lines.filter((l) => (wide || !HIDDEN.test(l.id)) && !/hair-flow/.test(l.id) && !(plain && l.weight === 'hint'))
	);
	/** A path of the front, and its mirror image; a line on the midline is its own. */
	const halvesOf = (d: string) => (view === 'front' ? [...new Set([d, mirrorPath(d)])] : [d]);
	const fade = $derived(wide ? [0.835, 0.935] : view === 'front' ? [0.55, 0.665] : [0.56, 0.67]);
</script>

<defs>
	<linearGradient id="{uid}-fg" x1="0" y1="0" x2="0" y2="1">
		<stop offset={fade[0]} stop-color="#fff" /><stop offset={fade[1]} stop-color="#000" />
	</linearGradient>
	<mask id="{uid}-fade" maskUnits="userSpaceOnUse" x="0" y="0" width="800" height="1000">
		<rect width="800" height="1000" fill="url(#{uid}-fg)" />
	</mask>
	<radialGradient id="{uid}-lamp" gradientUnits="userSpaceOnUse" cx={view === 'front' ? 400 : 330} cy="225" r="400">
		<stop offset="0.3" stop-color="var(--skin)" /><stop offset="1" stop-color="var(--skinlo)" />
	</radialGradient>
</defs>
<g mask="url(#{uid}-fade)" aria-hidden="true">
	{#each fills as fill, i (i)}
		{#each halvesOf(fill.d) as d (d)}
			<path
				{d}
				fill={fill.role === 'skin' || fill.role === 'ear' ? `url(#${uid}-lamp)` : `var(--${fill.role === 'hair' ? 'hairfill' : fill.role})`}
				stroke={fill.role === 'skin' ? `url(#${uid}-lamp)` : fill.role === 'hair' ? 'var(--hairfill)' : 'none'}
				stroke-width="0.8"
			/>
		{/each}
	{/each}
	{#each lines as line (line.id)}
		{#each halvesOf(line.d) as d (d)}
			{#if line.render === 'ink'}
				<path {d} fill="var(--line)" fill-opacity={line.weight === 'hint' ? 0.45 : line.id === 'brow' ? 0.8 : 1} />
			{:else}
				<path
					{d}
					fill="none"
					stroke="var(--line)"
					stroke-width={line.weight === 'contour' ? 1.9 : line.weight === 'feature' ? 1.4 : 1}
					stroke-opacity={line.weight === 'hint' ? 0.5 : 1}
					stroke-linecap="round"
					stroke-linejoin="round"
				/>
			{/if}
		{/each}
	{/each}
</g>
