<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';

	interface Props {
		/** Hands are at work: nothing is offered that can wait. */
		busy: boolean;
		/** What the page itself says already. */
		said: string;
	}
	let { busy, said }: Props = $props();
	const app = useApp();
	const UPDATE = {
		ready: 'A newer version of Soft Tide is here.',
		needed: 'A newer version of Soft Tide is here, and this window needs it for what you asked for. What you wrote is kept.'
	} as const;
</script>

<!-- Over a stage it lies on its head: what is under the hands never moves. -->
<div class={busy ? 'fixed inset-x-0 top-0 z-50' : 'contents'}>
	{#each app.troubles.filter((t) => t !== said) as trouble (trouble)}
		<div class="border-flag bg-sheet no-print flex items-center gap-3 border-b-2 px-4 py-2" role="alert">
			<p class="flex-1">{trouble}</p>
			<a class="btn" href="/exchange">Export</a>
			<button type="button" class="btn" onclick={() => location.reload()}>Reload</button>
			<button type="button" class="btn" onclick={() => app.dismiss(trouble)}>I see</button>
		</div>
	{/each}
	{#if app.update === 'needed' || (app.update === 'ready' && !busy)}
		<div class="border-edge bg-sheet no-print flex items-center gap-3 border-b px-4 py-2" role="status">
			<p class="flex-1">{UPDATE[app.update]}</p>
			<button type="button" class="btn btn-primary" onclick={() => app.takeUpdate()}>Reload</button>
			<button type="button" class="btn" onclick={() => app.leaveUpdate()}>Later</button>
		</div>
	{/if}
</div>
