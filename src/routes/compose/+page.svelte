<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { useSequences } from '$lib/state/read.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import AllSequences from '$lib/ui/views/sequences/AllSequences.svelte';

	const app = useApp();
	const stored = useSequences();
	const used = liveRows(
		() => null,
		() => app.repo.lastUsed()
	);
	const bin = liveRows(
		() => null,
		() => app.repo.bin()
	);
	const read = $derived(together({ stored: stored.current, used: used.current, bin: bin.current }));
</script>

<Awaited of={read} what="Your sequences">
	{#snippet children(rows)}<AllSequences stored={rows.stored} used={rows.used} bin={rows.bin} />{/snippet}
</Awaited>
