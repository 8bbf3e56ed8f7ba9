<script lang="ts">
	import '../app.css';
	import { Tooltip } from 'bits-ui';
	import { onMount, type Snippet } from 'svelte';
	import { env } from '$env/dynamic/public';
	import { page } from '$app/state';
	import { AppState, provideApp } from '$lib/state/app.svelte';
	import { makeDemoOnce, openRepository, takeOverStages } from '$lib/store/openStore';
	import Header from '$lib/ui/parts/shell/Header.svelte';
	import { viewAt } from '$lib/ui/parts/shell/views';
	import TroubleBar from '$lib/ui/parts/shell/TroubleBar.svelte';

	let { children }: { children: Snippet } = $props();
	const demo = env.PUBLIC_SOFT_TIDE_DEMO === '1';
	const app = provideApp(new AppState(openRepository(demo), demo));
	let ready = $state(false);
	/** Asked once; those who have agreed never fetch it. */
	const cautionDialog = () => import('$lib/ui/parts/shell/CautionDialog.svelte');

	onMount(() => {
		void app
			.run(async () => {
				if (demo) await makeDemoOnce(app.repo);
				await takeOverStages(app.repo);
			})
			.then(() => (ready = true));
		void app.lookWhetherPersisted();
		return app.follow();
	});
	/** Pages that are a sheet or a stage of their own carry no navigation. */
	const view = $derived(viewAt(page.url.pathname));
	const bare = $derived(view?.bare ?? false);
	const asked = $derived(ready && app.settings !== null && app.settings.cautionSeenAt === null && !page.url.pathname.startsWith('/print'));
</script>

<svelte:head><title>{[app.title || view?.title, 'Soft Tide'].filter(Boolean).join(' · ')}</title></svelte:head>
<Tooltip.Provider>
	{#if ready && app.known}
		<div class="flex min-h-full flex-col {bare ? '' : 'lg:h-full'}">
			{#if !bare}
				<a href="#main" class="bg-primary text-onink sr-only z-50 rounded px-3 py-1 focus:not-sr-only focus:absolute">To the content</a>
				<Header />
			{/if}
			<TroubleBar />
			<main id="main" class="flex min-h-0 flex-1 flex-col" tabindex="-1">{@render children()}</main>
		</div>
		{#if asked}
			{#await cautionDialog() then { default: CautionDialog }}
				<CautionDialog open onagree={() => app.save({ cautionSeenAt: new Date().toISOString() })} />
			{/await}
		{/if}
	{:else}
		<p class="text-ink2 p-6" role="status">{app.trouble || 'Opening the records …'}</p>
	{/if}
</Tooltip.Provider>
