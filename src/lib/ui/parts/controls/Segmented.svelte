<script lang="ts" generics="T extends string">
	import { ToggleGroup } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		value: T | '';
		options: readonly { readonly value: T; readonly label: string; readonly title?: string }[];
		label: string;
		onchange: (value: T) => void;
		mark?: Snippet<[T]>;
		/** Controls before and after a session are at least 44 px high. */
		large?: boolean;
		vertical?: boolean;
	}
	let { value, options, label, onchange, mark, large = false, vertical = false }: Props = $props();
</script>

<ToggleGroup.Root
	type="single"
	{value}
	onValueChange={(v) => v && onchange(v as T)}
	aria-label={label}
	class="border-edge bg-sheet inline-flex max-w-full flex-wrap overflow-hidden rounded-lg border {vertical ? 'flex-col' : ''}"
>
	{#each options as option, i (option.value)}
		<ToggleGroup.Item
			value={option.value}
			title={option.title ?? label}
			class="text-ink2 data-[state=on]:bg-wash data-[state=on]:text-ink hover:bg-wash/50 flex flex-1 items-center justify-center gap-1.5 whitespace-nowrap focus-visible:outline-offset-[-3px] data-[state=on]:font-semibold data-[state=on]:shadow-[inset_0_-2px_var(--ink)] {large
				? 'min-h-11 px-4 text-[15px]'
				: 'min-h-[26px] px-2.5 text-xs'} {i ? (vertical ? 'border-hair border-t' : 'border-hair border-l') : ''}"
		>
			{#if mark}{@render mark(option.value)}{/if}{option.label}
		</ToggleGroup.Item>
	{/each}
</ToggleGroup.Root>
