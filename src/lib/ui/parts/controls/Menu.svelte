<script lang="ts">
	import type { Snippet } from 'svelte';
	import { menuList } from './fetchedParts';
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
	let asked = $state(false);
	let focused = $state(false);
	function ask() {
		asked = true;
		void list.want();
	}
	function onkeydown(event: KeyboardEvent) {
		if (event.key !== 'ArrowDown') return;
		event.preventDefault();
		ask();
	}
</script>

{#if list.current}
	<list.current {asked} {focused} {items} {label} {disabled} {align} class={look} {children} {mark} />
{:else}
	<button
		type="button"
		class={look}
		aria-haspopup="menu"
		aria-expanded="false"
		aria-label={label}
		title={label}
		{disabled}
		onclick={ask}
		{onkeydown}
		onfocus={() => (focused = true)}
		onblur={() => (focused = false)}>{@render children()}</button
	>
{/if}
