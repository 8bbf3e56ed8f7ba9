<script lang="ts">
	import { goto } from '$app/navigation';
	import { useApp } from '$lib/state/app.svelte';
	import Select from '../controls/Select.svelte';

	interface Props {
		clientId: string | null;
		/** Where the same page of another client lies. */
		addressOf: (clientId: string) => string;
	}
	let { clientId, addressOf }: Props = $props();
	const app = useApp();
</script>

<!-- The same page of another client; she is then the one at hand. -->
{#if app.current.all.length}
	<Select
		label="Client"
		value={clientId ?? ''}
		options={app.current.all.map((c) => ({ value: c.id, label: c.name }))}
		onchange={(id) => {
			void app.current.choose(id);
			void goto(addressOf(id));
		}}
	/>
{/if}
