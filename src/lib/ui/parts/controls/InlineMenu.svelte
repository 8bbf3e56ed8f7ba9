<script lang="ts" generics="T extends string">
	import type { Snippet } from 'svelte';
	import Menu from './Menu.svelte';

	interface Props {
		value: T;
		options: readonly { readonly value: T; readonly label: string }[];
		label: string;
		onchange: (value: T) => void;
		/** What stands in the row. */
		children: Snippet;
		mark?: Snippet<[T]>;
		class?: string;
	}
	let { value, options, label, onchange, children, mark, class: extra = '' }: Props = $props();
</script>

<!-- A value in a row that is edited in place: a dotted line under it, a menu behind it. -->
<Menu
	{label}
	class="dotted flex min-h-6 items-center gap-1.5 rounded {extra}"
	align="start"
	{children}
	mark={mark as Snippet<[string]> | undefined}
	items={options.map((option) => ({
		label: option.label,
		key: option.value,
		chosen: option.value === value,
		onselect: () => onchange(option.value)
	}))}
/>
