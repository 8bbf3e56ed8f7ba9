<script lang="ts" generics="T extends string">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import type { Snippet } from 'svelte';
	import { selectList } from './fetchedParts';
	import { StandIn } from './standIn.svelte';

	interface Props {
		value: T;
		options: readonly { readonly value: T; readonly label: string }[];
		/** Read by a screen reader. */
		label: string;
		onchange: (value: T) => void;
		/** Drawn before each label. */
		mark?: Snippet<[T]>;
		/** The mark alone stands for the choice: where room is scarce. */
		bare?: boolean;
		class?: string;
	}
	let { value, options, label, onchange, mark, bare = false, class: extra = '' }: Props = $props();
	const chosen = $derived(options.find((o) => o.value === value));
	const uid = $props.id();
	/** Its list is fetched at the first touch; until then a button stands for it, and remembers that it was asked. */
	const list = selectList.soon();
	const stand = new StandIn(list, ['ArrowDown', 'ArrowUp']);
</script>

{#if list.current}
	<list.current asked={stand.asked} focused={stand.focused} {value} {options} {label} {onchange} {mark} {bare} class={extra} />
{:else}
	<button
		type="button"
		class="btn max-w-full justify-between px-2 {extra}"
		role="combobox"
		aria-controls="{uid}-list"
		aria-haspopup="listbox"
		aria-expanded="false"
		aria-label="{label}: {chosen?.label ?? 'none'}"
		title={label}
		{...stand.handlers}
	>
		{#if mark}{@render mark(value)}{/if}
		{#if !bare}<span class="truncate">{chosen?.label ?? '–'}</span>{/if}
		<ChevronDown size={14} class="flex-none" />
	</button>
{/if}
