<script lang="ts">
	import type { Snippet } from 'svelte';
	import { menuList } from './fetchedParts';
	import { StandIn } from './standIn.svelte';
	import type { MenuItem } from './menuItem';

	interface Props {
		items: readonly MenuItem[];
		/** Says what the button does, where its words do not. */
		label?: string;
		disabled?: boolean;
		align?: 'start' | 'end';
		class?: string;
		/** What stands on the button. */
		children: Snippet;
		/** Drawn before each item that has a mark. */
		mark?: Snippet<[string]>;
	}
	let { items, label, disabled = false, align = 'end', class: look = 'icon-btn', children, mark }: Props = $props();
	/** Its list is fetched at the first touch; until then a button stands for it, and remembers that it was asked. */
	const list = menuList.soon();
	const stand = new StandIn(list, ['ArrowDown']);
</script>

{#if list.current}
	<list.current asked={stand.asked} focused={stand.focused} {items} {label} {disabled} {align} class={look} {children} {mark} />
{:else}
	<button
		type="button"
		class={look}
		aria-haspopup="menu"
		aria-expanded="false"
		aria-label={label}
		title={label}
		{disabled}
		{...stand.handlers}>{@render children()}</button
	>
{/if}
