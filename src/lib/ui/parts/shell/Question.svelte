<script lang="ts">
	import { AlertDialog } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		open?: boolean;
		title: string;
		words: string;
		/** It must be answered: Escape does not leave it. */
		must?: boolean;
		/** Widest, px. */
		width?: number;
		/** What there is to see before one answers. */
		children?: Snippet;
		/** The buttons. */
		answers: Snippet;
	}
	let { open = $bindable(true), title, words, must = false, width = 440, children, answers }: Props = $props();
</script>

<!-- Something to be answered before all else. -->
<AlertDialog.Root bind:open>
	<AlertDialog.Portal>
		<AlertDialog.Overlay class="bg-ink/25 fixed inset-0 z-40" />
		<AlertDialog.Content
			escapeKeydownBehavior={must ? 'ignore' : 'close'}
			style="max-width: {width}px"
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-40 max-h-[92vh] w-[calc(100vw-32px)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-2xl border p-5"
		>
			<AlertDialog.Title class="flare text-lg font-[540]">{title}</AlertDialog.Title>
			<AlertDialog.Description class="text-ink2 mt-1 text-[13px] leading-5">{words}</AlertDialog.Description>
			{@render children?.()}
			<div class="mt-4 flex flex-wrap justify-end gap-2">{@render answers()}</div>
		</AlertDialog.Content>
	</AlertDialog.Portal>
</AlertDialog.Root>
