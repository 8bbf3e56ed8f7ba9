<script lang="ts">
	import Menu from '../../parts/controls/Menu.svelte';
	import type { Client } from '$lib/core/records/client';
	import { progressOf } from '../../parts/shell/addresses';

	interface Props {
		client: Client;
		/** Sessions so far, and since when, in words. */
		since: string;
		refused: boolean;
		onbegin: () => void;
		onarchive: () => void;
		onexport: () => void;
		onremove: () => void;
		onnote: () => void;
	}
	let { client, since, refused, onbegin, onarchive, onexport, onremove, onnote }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-2 pt-3 pb-2">
	<h1 class="flare min-w-0 text-[22px] leading-8 font-[520]">{client.name}</h1>
	<p class="text-ink2 min-w-0 flex-1 text-[12.5px] leading-4">{since}{client.archived ? ', archived' : ''}</p>
	<Menu
		class="btn"
		items={[
			{ label: client.archived ? 'Take out of the archive' : 'Archive', onselect: onarchive },
			{ label: 'Export her alone as a file', onselect: onexport },
			{ label: 'Remove this client …', onselect: onremove }
		]}>Archive, export, remove</Menu
	>
	<button type="button" class="btn" onclick={onnote}>Note for her doctor</button>
	<a class="btn" href={progressOf(client.id)}>Progress</a>
	<button type="button" class="btn btn-primary" disabled={refused} onclick={onbegin}>Begin a session</button>
</div>
