<script lang="ts">
	import { Dialog } from 'bits-ui';
	import X from '@lucide/svelte/icons/x';
	import type { Snippet } from 'svelte';

	interface Props {
		open: boolean;
		title: string;
		/** One sentence under the title. */
		about?: string;
		children: Snippet;
		/** px, default 520. */
		width?: number;
		onclose?: () => void;
	}
	let { open = $bindable(), title, about, children, width = 520, onclose }: Props = $props();
</script>

<Dialog.Root bind:open onOpenChange={(o) => !o && onclose?.()}>
	<Dialog.Portal>
		<Dialog.Overlay class="bg-ink/25 evening:bg-black/50 fixed inset-0 z-30" />
		<Dialog.Content
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-30 max-h-[88vh] w-[calc(100vw-32px)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl border p-5"
			style="max-width: {width}px"
		>
			<div class="mb-3 flex items-start gap-4">
				<div class="flex-1">
					<Dialog.Title class="flare text-[19px] leading-6 font-[540]">{title}</Dialog.Title>
					{#if about}<Dialog.Description class="text-ink2 mt-1 text-[13px]">{about}</Dialog.Description>{/if}
				</div>
				<Dialog.Close class="icon-btn" aria-label="Close"><X size={16} /></Dialog.Close>
			</div>
			{@render children()}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
