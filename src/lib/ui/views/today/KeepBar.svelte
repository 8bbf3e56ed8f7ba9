<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';

	const app = useApp();
	/** Asked once, and only when there is something worth keeping. */
	interface Props {
		worth: boolean;
	}
	let { worth }: Props = $props();
	const shown = $derived(worth && app.persisted === false && app.settings?.keepAskedAt === null);
</script>

{#if shown}
	<div
		class="border-hair bg-sheet mb-3 flex flex-wrap items-center gap-x-3 gap-y-2 rounded-lg border px-3 py-2"
		role="region"
		aria-label="Keeping the records"
	>
		<p class="min-w-60 flex-1 leading-[18px]">
			<b>Your records live in this browser only.</b>
			<span class="text-ink2"
				>It may clear them when space runs short, unless you ask it to keep them. A backup now and then is wise all the same.</span
			>
		</p>
		<button type="button" class="btn" onclick={() => app.persist()}>Ask it to keep them</button>
		<button type="button" class="btn btn-bare" onclick={() => app.save({ keepAskedAt: app.repo.stamp().now })}>Not now</button>
	</div>
{/if}
