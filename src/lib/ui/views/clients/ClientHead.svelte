<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
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
	<p class="text-ink2 min-w-0 flex-1 truncate text-[12.5px]">{since}{client.archived ? ', archived' : ''}</p>
	<DropdownMenu.Root>
		<DropdownMenu.Trigger class="btn">Archive, export, remove</DropdownMenu.Trigger>
		<DropdownMenu.Portal>
			<DropdownMenu.Content class="floating" sideOffset={4} align="end">
				<DropdownMenu.Item class="floating-item" onSelect={onarchive}
					>{client.archived ? 'Take out of the archive' : 'Archive'}</DropdownMenu.Item
				>
				<DropdownMenu.Item class="floating-item" onSelect={onexport}>Export her alone as a file</DropdownMenu.Item>
				<DropdownMenu.Item class="floating-item" onSelect={onremove}>Remove this client …</DropdownMenu.Item>
			</DropdownMenu.Content>
		</DropdownMenu.Portal>
	</DropdownMenu.Root>
	<button type="button" class="btn" onclick={onnote}>Note for her doctor</button>
	<a class="btn" href={progressOf(client.id)}>Progress</a>
	<button type="button" class="btn btn-primary" disabled={refused} onclick={onbegin}>Begin a session</button>
</div>
