<script lang="ts">
	import { Tooltip } from 'bits-ui';

	interface Props {
		text: string;
		/** What it stands at. */
		anchor: HTMLElement;
		onclose: () => void;
	}
	let { text, anchor, onclose }: Props = $props();
</script>

<Tooltip.Provider>
	<Tooltip.Root open onOpenChange={(open) => !open && onclose()}>
		<Tooltip.Portal>
			<Tooltip.Content
				customAnchor={anchor}
				sideOffset={6}
				collisionPadding={8}
				class="border-edge bg-sheet text-ink z-50 max-w-[260px] rounded-lg border px-2.5 py-1.5 text-xs"
			>
				{text}
			</Tooltip.Content>
		</Tooltip.Portal>
	</Tooltip.Root>
</Tooltip.Provider>
