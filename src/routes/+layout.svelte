<script lang="ts">
	import '../app.css';
	import { onMount, type Snippet } from 'svelte';
	import { env } from '$env/dynamic/public';
	import { version } from '$app/environment';
	import { page } from '$app/state';
	import { AppState, provideApp } from '$lib/state/app.svelte';
	import { makeDemoOnce, openRepository, takeOverStages } from '$lib/store/openStore';
	import Header from '$lib/ui/parts/shell/Header.svelte';
	import { viewAt } from '$lib/ui/parts/shell/views';
	import NoRecords from '$lib/ui/parts/shell/NoRecords.svelte';
	import TroubleBar from '$lib/ui/parts/shell/TroubleBar.svelte';

	let { children }: { children: Snippet } = $props();
	const demo = env.PUBLIC_SOFT_TIDE_DEMO === '1';
	/** Told at most ten times a second. */
	let toldAt = 0;
	const repo = openRepository(demo, (done, total) => {
		if (done < total && performance.now() - toldAt < 100) return;
		toldAt = performance.now();
		app.upgrading = done < total ? { done, total } : null;
	});
	const app: AppState = provideApp(new AppState(repo, demo));
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
		const stops = [app.follow(), app.followUpdates(version)];
		return () => stops.forEach((stop) => stop());
	});
	$effect(() => app.drawFigure());
	/** Pages that are a sheet or a stage of their own carry no navigation. */
	const view = $derived(viewAt(page.url.pathname));
	const bare = $derived(view?.bare ?? false);
	const asked = $derived(ready && app.settings !== null && app.settings.cautionSeenAt === null && !page.url.pathname.startsWith('/print'));
</script>

<svelte:head><title>{[app.title || view?.title, 'Soft Tide'].filter(Boolean).join(' · ')}</title></svelte:head>
{#if ready && app.known}
	<div class="flex min-h-full flex-col {view?.full ? 'h-dvh' : bare ? '' : 'lg:h-full'}">
		{#if !bare}
			<a href="#main" class="bg-primary text-onink sr-only z-50 rounded px-3 py-1 focus:not-sr-only focus:absolute">To the content</a>
			<Header />
		{/if}
		<TroubleBar busy={bare} said={view?.records ? app.storeless : ''} />
		<main id="main" class="flex min-h-0 flex-1 flex-col" tabindex="-1">
			{#if view?.records && app.storeless}<NoRecords what={view.title} why={app.storeless} />{:else}{@render children()}{/if}
		</main>
	</div>
	{#if asked}
		{#await cautionDialog() then { default: CautionDialog }}
			<CautionDialog open onagree={() => app.save({ cautionSeenAt: new Date().toISOString() })} />
		{/await}
	{/if}
{:else}
	<p class="text-ink2 p-6" role="status">
		{app.troubles.join(' ') ||
			(app.upgrading
				? `Bringing the records up to date: ${app.upgrading.done.toLocaleString('en')} of ${app.upgrading.total.toLocaleString('en')} …`
				: 'Opening the records …')}
	</p>
{/if}
