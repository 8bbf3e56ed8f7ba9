<script lang="ts">
	import type { Contact, ToolId } from '$lib/core/vocabulary/vocabulary';
	import { CONTACT_PRINTS, TOOL_PRINTS } from '../glyphs/footprints';

	interface Props {
		x: number;
		y: number;
		/** What touches; absent it is the other hand, that holds the skin. */
		contact?: Contact;
		tool?: ToolId;
		/** On its way back through the air. */
		lifted?: boolean;
		/** The other hand never leaves the skin. */
		stays?: boolean;
	}
	let { x, y, contact, tool, lifted = false, stays = false }: Props = $props();
	const prints = $derived(contact === 'tool' && tool ? TOOL_PRINTS[tool] : CONTACT_PRINTS[contact ?? 'flat-hand']);
	const R = 15;
</script>

<g transform="translate({x} {y})" opacity={lifted ? 0.35 : 1}>
	<circle
		r={R}
		fill="var(--sheet)"
		fill-opacity={contact ? 0.94 : 0.75}
		stroke="var(--brush)"
		stroke-width={contact ? 2.2 : 1.6}
		stroke-dasharray={contact || stays ? undefined : '3 2.4'}
	/>
	<g transform="translate(-11 -7.7) scale(1.1)">
		{#each prints as print (print.d)}
			<path
				d={print.d}
				fill={print.on && contact ? 'var(--ink)' : 'none'}
				stroke={print.on ? 'var(--ink)' : 'var(--ink3)'}
				stroke-width="0.9"
			/>
		{/each}
	</g>
	{#if !contact}<path d="M{-R - 4} {R + 3}H{R + 4}" stroke="var(--brush)" stroke-width="2" stroke-linecap="round" />{/if}
</g>
