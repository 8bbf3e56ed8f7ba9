<script lang="ts">
	import '../app.css';
	import { onMount, untrack, type Snippet } from 'svelte';
	import { env } from '$env/dynamic/public';
	import { version } from '$app/environment';
	import { page } from '$app/state';
	import { AppState, provideApp } from '$lib/state/app.svelte';
	import { LockState } from '$lib/state/lock.svelte';
	import { onceTouched } from '$lib/state/touched';
	import { Vault, type RecordDamaged } from '$lib/store/lock/vault';
	import { damagedWords } from '$lib/store/plainWords';
	import { pointTo } from '$lib/store/db';
	import { databaseOf, deleteAll, makeDemoOnce, openRepository, takeOverStages } from '$lib/store/openStore';
	import Header from '$lib/ui/parts/shell/Header.svelte';
	import { viewAt } from '$lib/ui/parts/shell/views';
	import NoRecords from '$lib/ui/parts/shell/NoRecords.svelte';
	import TroubleBar from '$lib/ui/parts/shell/TroubleBar.svelte';

	let { children }: { children: Snippet } = $props();
	const demo = env.PUBLIC_SOFT_TIDE_DEMO === '1';
	/** Told at most ten times a second. */
	let toldAt = 0;
	const vault = new Vault();
	/** Of many records one may be damaged: the others are shown, and it is named. */
	const damaged: RecordDamaged[] = [];
	vault.ondamaged = (row) => {
		damaged.push(row);
		app.tell('damaged', damagedWords(damaged));
	};
	const repo = openRepository(demo, vault, (done, total) => {
		if (done < total && performance.now() - toldAt < 100) return;
		toldAt = performance.now();
		app.upgrading = done < total ? { done, total } : null;
	});
	const lock = new LockState({
		database: databaseOf(demo),
		vault,
		clock: () => new Date(),
		quiet: () => {
			stop();
			repo.db.close({ disableAutoOpen: true });
		},
		unstored: () => app.troubles.join(' ')
	});
	const app: AppState = provideApp(new AppState(repo, demo, lock));
	let ready = $state(false);
	let stop = () => {};
	/** Asked once; those who have agreed never fetch it. */
	const cautionDialog = () => import('$lib/ui/parts/shell/CautionDialog.svelte');

	/** A page opens without what writes. A fetch that fails is told by the save that needs it. */
	$effect(() => (ready ? onceTouched(() => void app.repo.prepareToWrite().catch(() => {})) : undefined));

	const lockScreen = () => import('$lib/ui/parts/shell/LockScreen.svelte');

	onMount(() => {
		const slow = setTimeout(() => (unanswered = true), ANSWER_MS);
		void app.run(() => app.lock.look(), 'lock');
		void app.lookWhetherPersisted();
		const stops = [app.lock.follow(), app.followUpdates(version)];
		return () => [...stops, stop, () => clearTimeout(slow)].forEach((end) => end());
	});
	/** Nothing is read before it is known that it can be. */
	const open = $derived(app.lock.phase === 'none' || app.lock.phase === 'open');
	const shut = $derived(!open && app.lock.phase !== 'looking');
	/** ms after which a store that says nothing is said to say nothing. */
	const ANSWER_MS = 10_000;
	let unanswered = $state(false);
	let begun = false;
	$effect(() => {
		if (open && !begun) untrack(begin);
	});
	function begin() {
		begun = true;
		// Where the records are is known now.
		pointTo(app.repo.db, app.lock.lock.database);
		void app
			.run(async () => {
				if (demo) await makeDemoOnce(app.repo);
				await takeOverStages(app.repo);
			})
			.then(() => (ready = true));
		void app.run(() => app.lock.lock.tidy(), 'lock');
		stop = app.follow();
	}
	async function beginAgain() {
		await app.run(() => deleteAll(app.repo, app.lock.lock, []), 'lock');
		location.reload();
	}
	function lockByKey(event: KeyboardEvent) {
		if (event.altKey && event.shiftKey && event.code === 'KeyL') app.lock.shut();
	}
	$effect(() => app.drawFigure());
	/** Pages that are a sheet or a stage of their own carry no navigation. */
	const view = $derived(viewAt(page.url.pathname));
	const bare = $derived(view?.bare ?? false);
	const asked = $derived(ready && app.settings !== null && app.settings.cautionSeenAt === null && !page.url.pathname.startsWith('/print'));
</script>

<!-- Nothing that was typed stands in a title: browsers keep titles in their history. -->
<svelte:head><title>{[view?.title, 'Soft Tide'].filter(Boolean).join(' · ')}</title></svelte:head>
<svelte:window onkeydown={lockByKey} />
{#if shut}
	{#await lockScreen() then { default: LockScreen }}<LockScreen lock={app.lock} onbegin={beginAgain} />{/await}
{:else if ready && app.known}
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
	{#if app.lock.soon !== null}
		<div class="bg-ink text-onink fixed inset-x-0 bottom-0 z-50 flex items-center justify-center gap-4 p-3 text-[14px]" role="alert">
			The records lock in {app.lock.soon} s. Touch anything to stay.
		</div>
	{/if}
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
				: unanswered
					? 'The place where this browser keeps the records has not answered for ten seconds. Close the other windows of Soft Tide, then reload this one; if it stays so, close the browser and open it again. Nothing is lost by that.'
					: 'Opening the records …')}
	</p>
{/if}
