<script lang="ts">
	import { doctorNote } from '$lib/core/screening/doctorNote';
	import type { Client } from '$lib/core/records/client';
	import { clientFileName } from '$lib/formats/download';
	import Modal from '../../parts/controls/Modal.svelte';
	import { saveFile } from '../../parts/controls/saveFile';

	interface Props {
		open: boolean;
		client: Client;
		today: string;
	}
	let { open = $bindable(), client, today }: Props = $props();
	const text = $derived(doctorNote(client, today));
	let copied = $state(false);
</script>

<Modal bind:open title="Note for her doctor" about="What she told, and what is to be asked. Give it only with her consent." width={620}>
	<pre
		class="bg-sheet border-hair max-h-[52vh] overflow-auto rounded-lg border p-3 text-[12.5px] leading-[18px] whitespace-pre-wrap">{text}</pre>
	<div class="mt-3 flex flex-wrap justify-end gap-2">
		<span class="text-ink2 self-center text-[12.5px]" role="status">{copied ? 'Copied' : ''}</span>
		<button
			type="button"
			class="btn"
			onclick={async () => {
				await navigator.clipboard?.writeText(text);
				copied = true;
			}}>Copy</button
		>
		<button
			type="button"
			class="btn btn-primary"
			onclick={() => saveFile(clientFileName(client.id, 'note', today, 'txt'), text, 'text/plain')}>Save as text</button
		>
	</div>
</Modal>
