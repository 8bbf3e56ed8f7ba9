<script lang="ts">
	import type { Snippet } from 'svelte';
	import Tip from './Tip.svelte';

	interface Props {
		/** Says what the button does: the tooltip, and its name for a screen reader. */
		tip: string;
		disabled?: boolean;
		/** For a button that stays in. */
		pressed?: boolean;
		class?: string;
		onclick: () => void;
		children: Snippet;
	}
	let { tip, disabled = false, pressed, class: look = 'icon-btn', onclick, children }: Props = $props();
</script>

<Tip text={tip}>
	{#snippet children({ props })}
		<button {...props} type="button" class={look} aria-label={tip} aria-pressed={pressed} {disabled} {onclick}>{@render icon()}</button>
	{/snippet}
</Tip>

{#snippet icon()}{@render children()}{/snippet}
