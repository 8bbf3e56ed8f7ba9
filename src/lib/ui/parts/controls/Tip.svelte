<script lang="ts">
	import { Tooltip } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		text: string;
		/** The control itself; spread `props` on it. */
		children: Snippet<[{ props: Record<string, unknown> }]>;
	}
	let { text, children: control }: Props = $props();
</script>

<Tooltip.Provider>
	<Tooltip.Root delayDuration={500}>
		<Tooltip.Trigger>
			{#snippet child({ props })}{@render control({ props })}{/snippet}
		</Tooltip.Trigger>
		<Tooltip.Portal>
			<Tooltip.Content
				sideOffset={6}
				collisionPadding={8}
				class="border-edge bg-sheet text-ink z-50 max-w-[260px] rounded-lg border px-2.5 py-1.5 text-xs"
			>
				{text}
			</Tooltip.Content>
		</Tooltip.Portal>
	</Tooltip.Root>
</Tooltip.Provider>
