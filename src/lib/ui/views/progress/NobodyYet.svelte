<script lang="ts">
	import type { Client } from '$lib/core/records/client';

	interface Props {
		client: Client | null;
		/** What is said where there is a client and nothing else. */
		words: string;
	}
	let { client, words }: Props = $props();
</script>

<div class="max-w-[56ch] py-10 text-[13.5px] leading-5">
	<p class="text-ink2 mb-3">{client ? words : 'Choose or add a client first.'}</p>
	<a class="btn btn-primary" href={client ? '/session' : '/clients'}>{client ? 'Begin a session' : 'Clients'}</a>
</div>
