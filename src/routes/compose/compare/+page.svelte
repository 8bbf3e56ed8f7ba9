<script lang="ts">
	import { page } from '$app/state';
	import { useSequences } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import TwoSequences from '$lib/ui/views/sequences/TwoSequences.svelte';

	const stored = useSequences();
	const asked = $derived(page.url.searchParams);
</script>

<Awaited of={stored.current} what="Your sequences">
	{#snippet children(rows)}<TwoSequences stored={rows} asked={{ a: asked.get('a'), b: asked.get('b') }} />{/snippet}
</Awaited>
