<script lang="ts" generics="T extends string">
	import { Select } from 'bits-ui';
	import Check from '@lucide/svelte/icons/check';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { onMount, type Snippet } from 'svelte';

	interface Props {
		/** Whether it opens as it appears, and takes the focus: it was asked for before it was there. */
		asked: boolean;
		focused: boolean;
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
	let { asked, focused, value, options, label, onchange, mark, bare = false, class: extra = '' }: Props = $props();
	const chosen = $derived(options.find((o) => o.value === value));
	// svelte-ignore state_referenced_locally
	let open = $state(asked);
	let trigger = $state<HTMLElement | null>(null);
	// svelte-ignore state_referenced_locally
	if (focused) onMount(() => trigger?.focus());
</script>

<Select.Root type="single" bind:open {value} onValueChange={(v) => v && v !== value && onchange(v as T)} items={[...options]}>
	<Select.Trigger
		bind:ref={trigger}
		class="btn max-w-full justify-between px-2 {extra}"
		aria-label="{label}: {chosen?.label ?? 'none'}"
		title={label}
	>
		{#if mark}{@render mark(value)}{/if}
		{#if !bare}<span class="truncate">{chosen?.label ?? '–'}</span>{/if}
		<ChevronDown size={14} class="flex-none" />
	</Select.Trigger>
	<Select.Portal>
		<Select.Content class="floating" sideOffset={4} collisionPadding={8}>
			<Select.Viewport>
				{#each options as option (option.value)}
					<Select.Item value={option.value} label={option.label} class="floating-item">
						{#snippet children({ selected })}
							{#if mark && !bare}{@render mark(option.value)}{/if}
							<span class="flex-1">{option.label}</span>
							{#if selected}<Check size={14} />{/if}
						{/snippet}
					</Select.Item>
				{/each}
			</Select.Viewport>
		</Select.Content>
	</Select.Portal>
</Select.Root>
