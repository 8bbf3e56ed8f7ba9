<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';

	const app = useApp();
</script>

{#if app.trouble}
	<div class="border-flag bg-sheet no-print flex items-center gap-3 border-b-2 px-4 py-2" role="alert">
		<p class="flex-1">{app.trouble}</p>
		<a class="btn" href="/exchange">Export</a>
		<button type="button" class="btn" onclick={() => location.reload()}>Reload</button>
	</div>
{/if}
