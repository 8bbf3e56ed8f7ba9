<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { OpenSession } from '$lib/state/openSession.svelte';
	import type { Read } from '$lib/state/rows';
	import { followWhetherThere } from '$lib/state/stillThere.svelte';
	import { clientAt, idIn, progressOf, sessionAt } from '$lib/ui/parts/shell/addresses';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SessionRoom from '$lib/ui/views/session/SessionRoom.svelte';

	const app = useApp();
	const id = $derived(idIn(page.params.id));
	let room = $state<SessionRoom>();
	const session = new OpenSession(app, navigator.locks as LockManager | undefined, () => room?.pause());
	onMount(() => () => session.hold.release());
	$effect(() => {
		const wanted = id;
		untrack(() => void session.load(wanted));
	});
	const draft = $derived(session.current?.draft ?? null);
	/** Rows of this very session, and of its client. */
	const read = $derived.by<Read<NonNullable<typeof session.current>>>(() => {
		if (session.failed) return { state: 'failed', cause: session.failed.cause, again: () => void session.again() };
		const rows = session.current;
		return rows && rows.draft.current.id === id ? { state: 'here', rows } : { state: 'pending' };
	});
	followWhetherThere(
		'session',
		() => id,
		() => draft?.current.id === id,
		() => void lose()
	);
	async function lose() {
		const owned = (await app.run(() => app.repo.has('client', draft!.current.clientId))) ?? false;
		draft!.saving.lose(`This session was removed in another window${owned ? '' : ', with the client that it belongs to'}.`, owned);
	}
	$effect(() => {
		app.tell('session', draft?.saving.trouble ?? '');
		return () => app.tell('session', '');
	});
	async function close(fields: Parameters<typeof session.close>[0]) {
		const closed = await app.run(() => session.close(fields));
		if (closed && draft) await goto(progressOf(draft.current.clientId, draft.current.id));
	}
</script>

{#if session.missing}
	<div class="p-6">
		<h1 class="text-xl">This session is not here</h1>
		<p class="text-ink2 my-2">{app.storeless || 'It may have been removed, or it lives in another browser.'}</p>
		<a class="btn" href="/session">Begin a session</a>
	</div>
{:else}
	<Awaited of={read} what="This session">
		{#snippet children(opened)}
			{#if opened.refused.length}
				<div class="mx-auto max-w-[620px] space-y-3 p-6 text-[15px] leading-6" role="alert">
					<h1 class="flare text-flag text-[22px] font-[540]">No massage today. Refer.</h1>
					{#each opened.refused as r (r.id)}<p><b class="font-semibold">{r.name}.</b> {r.reason}</p>{/each}
					<p>This session is not begun. It stays as it is, and can be taken up on a day on which nothing speaks against it.</p>
					<a class="btn" href={clientAt(opened.client.id)}>The client’s record</a>
				</div>
			{:else}<SessionRoom
					bind:this={room}
					{session}
					{opened}
					atBefore={page.url.searchParams.get('part') === 'before'}
					parts={{ screening: clientAt(opened.client.id), before: sessionAt(id, 'before') }}
					onclose={close}
				/>{/if}
		{/snippet}
	</Awaited>
{/if}
{#if draft?.saving.gone}
	<GoneDialog {...draft.saving.gone} onkeep={() => draft?.keepAsNew()} ondrop={() => goto('/')} />
{/if}
