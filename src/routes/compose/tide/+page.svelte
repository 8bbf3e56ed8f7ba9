<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { useSequences } from '$lib/state/read.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import { idsIn } from '$lib/ui/parts/shell/addresses';
	import TideCompare from '$lib/ui/views/tideCompare/TideCompare.svelte';

	const app = useApp();
	const stored = useSequences();
	const saved = liveRows(
		() => null,
		() => app.repo.comparisons()
	);
	const last = liveRows(
		() => app.current.id,
		async (id) => (id ? ((await app.repo.lastSessionOf(id)) ?? null) : null)
	);
	const read = $derived(together({ stored: stored.current, saved: saved.current, last: last.current }));
</script>

<Awaited of={read} what="Your sequences and comparisons">
	{#snippet children(rows)}<TideCompare
			stored={rows.stored}
			saved={rows.saved}
			assessment={rows.last?.before ?? null}
			wanted={idsIn(page.url.searchParams.get('ids'))}
		/>{/snippet}
</Awaited>
