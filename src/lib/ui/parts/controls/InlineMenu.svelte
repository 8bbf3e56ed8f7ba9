<script lang="ts" generics="T extends string">
	import { DropdownMenu } from 'bits-ui';
	import type { Snippet } from 'svelte';

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
<DropdownMenu.Root>
	<DropdownMenu.Trigger class="dotted flex min-h-6 items-center gap-1.5 rounded {extra}" aria-label={label} title={label}>
		{@render children()}
	</DropdownMenu.Trigger>
	<DropdownMenu.Portal>
		<DropdownMenu.Content class="floating" sideOffset={3} collisionPadding={8} align="start">
			<DropdownMenu.RadioGroup {value} onValueChange={(v) => v !== value && onchange(v as T)}>
				{#each options as option (option.value)}
					<DropdownMenu.RadioItem value={option.value} class="floating-item {option.value === value ? 'font-semibold' : ''}">
						{#if mark}{@render mark(option.value)}{/if}{option.label}
					</DropdownMenu.RadioItem>
				{/each}
			</DropdownMenu.RadioGroup>
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
