<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import Check from '@lucide/svelte/icons/check';
	import { onMount, type Snippet } from 'svelte';
	import type { MenuItem } from './menuItem';

	interface Props {
		/** Whether it opens as it appears, and takes the focus: it was asked for before it was there. */
		asked: boolean;
		focused: boolean;
		items: readonly MenuItem[];
		label: string | undefined;
		disabled: boolean;
		align: 'start' | 'end';
		class: string;
		children: Snippet;
		mark: Snippet<[string]> | undefined;
	}
	let { asked, focused, items, label, disabled, align, class: look, children: button, mark }: Props = $props();
	// svelte-ignore state_referenced_locally
	let open = $state(asked);
	let trigger = $state<HTMLElement | null>(null);
	// svelte-ignore state_referenced_locally
	if (focused) onMount(() => trigger?.focus());
	const keyOf = ({ key, label }: MenuItem) => key ?? label;
	let leaves = false;
	function select(item: MenuItem) {
		leaves = item.opensField ?? false;
		item.onselect?.();
	}
	function onCloseAutoFocus(event: Event) {
		if (leaves) event.preventDefault();
		leaves = false;
	}
</script>

<DropdownMenu.Root bind:open>
	<DropdownMenu.Trigger bind:ref={trigger} class={look} aria-label={label} title={label} {disabled}>{@render button()}</DropdownMenu.Trigger
	>
	<DropdownMenu.Portal>
		<DropdownMenu.Content class="floating" sideOffset={3} collisionPadding={8} {align} {onCloseAutoFocus}>
			{#if items.some((i) => i.chosen !== undefined)}
				<DropdownMenu.RadioGroup value={items.filter((i) => i.chosen).map(keyOf)[0] ?? ''}>
					{#each items as item (keyOf(item))}
						<DropdownMenu.RadioItem
							value={keyOf(item)}
							class="floating-item {item.chosen ? 'font-semibold' : ''}"
							onSelect={() => item.chosen || select(item)}
						>
							{#if mark}{@render mark(keyOf(item))}{/if}{item.label}
						</DropdownMenu.RadioItem>
					{/each}
				</DropdownMenu.RadioGroup>
			{:else}
				{#each items as item (keyOf(item))}
					{#if item.checked !== undefined}
						<DropdownMenu.CheckboxItem class="floating-item" checked={item.checked} onCheckedChange={() => select(item)}>
							{#snippet children({ checked })}<span class="flex-1">{item.label}</span>{#if checked}<Check size={14} />{/if}{/snippet}
						</DropdownMenu.CheckboxItem>
					{:else if item.href}
						<DropdownMenu.Item class="floating-item">
							{#snippet child({ props })}<a {...props} href={item.href}>{item.label}</a>{/snippet}
						</DropdownMenu.Item>
					{:else}
						<DropdownMenu.Item class="floating-item" disabled={item.disabled} onSelect={() => select(item)}>{item.label}</DropdownMenu.Item>
					{/if}
				{/each}
			{/if}
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
