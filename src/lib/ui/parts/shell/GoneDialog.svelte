<script lang="ts">
	import { AlertDialog } from 'bits-ui';

	interface Props {
		/** Why it is not here any more, in words. */
		words: string;
		/** What it belongs to is still there, so that it can be kept. */
		keepable: boolean;
		onkeep: () => void;
		ondrop: () => void;
	}
	let { words, keepable, onkeep, ondrop }: Props = $props();
</script>

<AlertDialog.Root open>
	<AlertDialog.Portal>
		<AlertDialog.Overlay class="bg-ink/25 fixed inset-0 z-40" />
		<AlertDialog.Content
			escapeKeydownBehavior="ignore"
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-40 w-[calc(100vw-32px)] max-w-[460px] -translate-x-1/2 -translate-y-1/2 rounded-2xl border p-5"
		>
			<AlertDialog.Title class="flare text-lg font-[540]">It is not there any more</AlertDialog.Title>
			<AlertDialog.Description class="text-ink2 mt-1 text-[13px] leading-5"
				>{words}
				{keepable
					? 'You can keep what you see here as a new one, or let it go.'
					: 'It cannot stand alone, so it goes too.'}</AlertDialog.Description
			>
			<div class="mt-4 flex justify-end gap-2">
				<button type="button" class="btn {keepable ? '' : 'btn-primary'}" onclick={ondrop}>Let it go</button>
				{#if keepable}<button type="button" class="btn btn-primary" onclick={onkeep}>Keep it as a new one</button>{/if}
			</div>
		</AlertDialog.Content>
	</AlertDialog.Portal>
</AlertDialog.Root>
