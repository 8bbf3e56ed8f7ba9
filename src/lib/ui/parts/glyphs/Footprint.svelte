<script lang="ts">
	import type { Contact, ToolId } from '$lib/core/vocabulary/vocabulary';
	import { CONTACT_PRINTS, TOOL_PRINTS } from './footprints';

	interface Props {
		contact: Contact;
		tool?: ToolId;
		/** px of width, default 20. */
		size?: number;
	}
	let { contact, tool, size = 20 }: Props = $props();
	const prints = $derived(contact === 'tool' && tool ? TOOL_PRINTS[tool] : CONTACT_PRINTS[contact]);
</script>

<svg width={size} height={size * 0.7} viewBox="0 0 20 14" aria-hidden="true" class="flex-none">
	{#each prints as print (print.d)}
		<path d={print.d} class={print.on ? 'fill-ink stroke-ink' : 'stroke-ink3 fill-none'} stroke-width="0.9" />
	{/each}
</svg>
