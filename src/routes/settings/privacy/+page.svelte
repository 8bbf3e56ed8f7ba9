<script lang="ts">
	import { allKinds, type KindId } from '$lib/core/records/kinds';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import { dayAndHour } from '$lib/ui/parts/dates';

	const app = useApp();
	const counts = liveRows(
		() => null,
		() => app.repo.counts()
	);
	const storedOf = (counted: Readonly<Record<KindId, number>>) =>
		allKinds().flatMap(({ id, titles }) => {
			const count = counted[id as KindId] ?? 0;
			return count ? [{ titles, count }] : [];
		});
	let room = $state.raw<{ readonly used: number; readonly all: number } | null>(null);
	$effect(() => {
		void counts.current;
		void navigator.storage?.estimate?.().then((e) => (room = { used: e.usage ?? 0, all: e.quota ?? 0 }));
		void app.lookWhetherPersisted();
	});
	const mb = (bytes: number) => `${(bytes / 1_000_000).toLocaleString('en', { maximumFractionDigits: bytes < 10_000_000 ? 1 : 0 })} MB`;
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="mx-auto max-w-[760px]">
		<h1 class="flare pt-3 text-xl font-[520]">Privacy</h1>
		<p class="max-w-[68ch] py-2 text-[13.5px] leading-5">
			Everything about your clients lies in this browser, on this computer, in the database “{app.repo.db.name}”. Nothing of it is sent
			anywhere; it leaves only in files that you make yourself.
			{#if app.lock.set}It is sealed by your passphrase; dates of visits, random ids and counts are not.
				<a class="dotted" href="/settings/lock">The lock</a>.
			{:else}Whoever can use this browser can read it, unless you <a class="dotted" href="/settings/lock">set a lock</a>.{/if}
			<a class="dotted" href="/settings">Back to the settings</a>
		</p>
		<dl class="grid grid-cols-[190px_1fr] gap-y-2 text-[13.5px]">
			<dt class="text-ink2">Room taken</dt>
			<dd>{room ? `${mb(room.used)} of about ${mb(room.all)} that the browser allows` : 'not told by this browser'}</dd>
			<dt class="text-ink2">Kept for good</dt>
			<dd>{app.persisted ? 'the browser has promised it' : 'not promised: it may clear records when space runs short'}</dd>
			<dt class="text-ink2">Last full export</dt>
			<dd>
				{app.settings?.exportedAt ? dayAndHour(app.settings.exportedAt) : 'never'}.
				<a class="dotted" href="/exchange">Export a backup</a>
			</dd>
		</dl>
		<h2 class="border-ink mt-5 border-b pb-1 text-[15px] font-semibold">What is stored</h2>
		<Awaited of={counts.current} what="What is stored">
			{#snippet children(counted)}
				<table class="w-full text-[13.5px]">
					<caption class="sr-only">Records by kind</caption>
					<tbody>
						{#each storedOf(counted) as { titles, count } (titles)}
							<tr class="border-hair border-b"
								><th scope="row" class="py-1.5 text-left font-normal">{titles}</th><td class="text-right">{count.toLocaleString('en')}</td
								></tr
							>
						{/each}
					</tbody>
				</table>
			{/snippet}
		</Awaited>
	</div>
</div>
