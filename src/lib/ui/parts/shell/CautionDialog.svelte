<script lang="ts">
	import { AlertDialog } from 'bits-ui';
	import CautionText from './CautionText.svelte';

	interface Props {
		open: boolean;
		onagree: () => void;
	}
	let { open, onagree }: Props = $props();
</script>

<AlertDialog.Root {open}>
	<AlertDialog.Portal>
		<AlertDialog.Overlay class="bg-ink/25 evening:bg-black/50 fixed inset-0 z-40" />
		<AlertDialog.Content
			escapeKeydownBehavior="ignore"
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-40 max-h-[90vh] w-[calc(100vw-32px)] max-w-[560px] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl border p-6"
		>
			<AlertDialog.Title class="flare mb-2 text-xl leading-7 font-[540]">Before the first touch</AlertDialog.Title>
			<AlertDialog.Description class="text-ink2 text-[13.5px] leading-5">
				Soft Tide plans, counts and compares facial massage. It is a tool of the trade, not a medical device.
			</AlertDialog.Description>
			<CautionText />
			<div class="mt-5 flex justify-end">
				<AlertDialog.Action class="btn btn-primary btn-large" onclick={onagree}>I have read this</AlertDialog.Action>
			</div>
		</AlertDialog.Content>
	</AlertDialog.Portal>
</AlertDialog.Root>
