<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { clock } from '$lib/core/step/describe';
	import { comparableSessions, distanceRows, zoneChanges } from '$lib/core/measure/look';
	import { changeSentence } from '$lib/core/measure/wording';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import DistanceChanges from '$lib/ui/views/progress/DistanceChanges.svelte';
	import SessionStrip from '$lib/ui/views/progress/SessionStrip.svelte';
	import ZoneChangeMap from '$lib/ui/views/progress/ZoneChangeMap.svelte';

	const app = useApp();
	const clients = liveRows(
		() => null,
		() => app.repo.clients(),
		[]
	);
	const clientId = $derived(page.url.searchParams.get('client') ?? app.settings?.currentClientId ?? clients.current[0]?.id ?? null);
	const client = $derived(clients.current.find((c) => c.id === clientId) ?? null);
	const sessions = liveRows(
		() => clientId,
		(id) => (id ? app.repo.sessionsOf(id) : Promise.resolve([])),
		[]
	);

	let wished = $state<string | null>(null);
	let scope = $state<'session' | 'since'>('session');
	let width = $state(600);
	const chosen = $derived(
		sessions.current.find((s) => s.id === (wished ?? page.url.searchParams.get('session'))) ??
			sessions.current.findLast((s) => s.after) ??
			sessions.current.at(-1) ??
			null
	);
	const first = $derived(sessions.current[0] ?? null);
	/** Within a session: before and after. Since the first visit: the two befores, at the same hour only. */
	const looks = $derived.by(() => {
		if (!chosen || !first) return null;
		if (scope === 'session') return { a: chosen.before, b: chosen.after, comparable: true };
		return {
			a: first.before,
			b: chosen.before,
			comparable: chosen.id !== first.id && comparableSessions(first, chosen, app.context.working)
		};
	});
	const zones = $derived(looks ? zoneChanges(looks.a, looks.b, 'puffiness', app.context.working, looks.comparable) : []);
	const distances = $derived(looks ? distanceRows(looks.a, looks.b, app.context.working, looks.comparable) : []);
	const sentence = $derived(changeSentence(zones, distances));
	const day = (iso: string) => new Date(iso).toLocaleDateString([], { weekday: 'short', day: 'numeric', month: 'short' });
	const hour = (iso: string) => new Date(iso).toLocaleTimeString([], { hour: 'numeric', minute: '2-digit' });
	const skipped = $derived(chosen?.done.filter((d) => d.skipped).length ?? 0);
</script>

<svelte:head><title>Progress · Soft Tide</title></svelte:head>
<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="flex flex-wrap items-center gap-x-3 gap-y-2 py-2.5">
		<h1 class="text-xl leading-7 font-[520]">{client?.name ?? 'Progress'}</h1>
		{#if client}<p class="text-ink2 flex-1">
				{client.note}{client.note ? ' ' : ''}{sessions.current.length}
				{sessions.current.length === 1 ? 'session' : 'sessions'}
			</p>{/if}
		{#if clients.current.length}
			<Select
				label="Client"
				value={clientId ?? ''}
				options={clients.current.map((c) => ({ value: c.id, label: c.name }))}
				onchange={(id) => {
					wished = null;
					void app.save({ currentClientId: id });
					void goto(`/progress?client=${id}`);
				}}
			/>
		{/if}
		<Segmented
			label="What is compared"
			value={scope}
			options={[
				{ value: 'session', label: 'Within the session' },
				{ value: 'since', label: 'Since the first visit' }
			]}
			onchange={(s) => (scope = s)}
		/>
	</div>
	{#if chosen && looks}
		<p class="border-hair border-b pb-2.5 text-[16px] leading-[22px]">
			{#if sentence.real}<b class="font-semibold">{sentence.real}</b>{' '}{/if}
			<span class="text-ink2"
				>{scope === 'since' && !looks.comparable
					? chosen.id === first?.id
						? 'This is the first visit: there is nothing before it.'
						: 'Not comparable: the two visits lie more than 90 minutes apart in the day.'
					: sentence.rest}</span
			>
		</p>
		<div class="grid grid-cols-1 gap-x-8 gap-y-5 pt-3 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)]">
			<section>
				<h2 class="pb-1.5 text-[13.5px] font-semibold">
					On the face <span class="text-ink2 pl-1.5 font-normal"
						>{scope === 'session'
							? `${day(chosen.startedAt)}, ${hour(chosen.before.takenAt)}${chosen.after ? ` and ${hour(chosen.after.takenAt)}` : ', not looked at again'}`
							: `${day(first!.startedAt)} and ${day(chosen.startedAt)}, before the session`}</span
					>
				</h2>
				<ZoneChangeMap changes={zones} />
			</section>
			<section>
				<h2 class="pb-1.5 text-[13.5px] font-semibold">By tape</h2>
				<DistanceChanges rows={distances} unit={app.settings?.units ?? 'mm'} />
				<p class="text-ink2 pt-2 text-[12px] leading-4">
					Sand: two measurings of the same face may differ so much (1.96 × √2 × the typical error of {app.context.working.distanceErrorMm} mm,
					a working value). A filled dot stands clear of it. A grade counts as changed from two steps on.
				</p>
			</section>
		</div>
		<section class="border-hair mt-4 border-t pt-3" bind:clientWidth={width}>
			<h2 class="pb-1 text-[13.5px] font-semibold">
				Session by session <span class="text-ink2 pl-1.5 font-normal">before: dot. After: the fall beside it</span>
			</h2>
			<SessionStrip
				sessions={sessions.current}
				chosenId={chosen.id}
				working={app.context.working}
				{width}
				onchoose={(id) => (wished = id)}
			/>
			<dl class="text-ink2 grid max-w-[80ch] grid-cols-[90px_1fr] gap-y-0.5 pt-3 text-[12.5px]">
				{#if chosen.sequence}<dt>Done</dt>
					<dd>
						<b class="text-ink">{chosen.sequence.title}</b>, {clock(chosen.workedSeconds)}{chosen.haltedSeconds
							? `, halted ${clock(chosen.haltedSeconds)}`
							: ''}, {stepsOf(chosen.sequence).length - skipped} of {stepsOf(chosen.sequence).length} steps
					</dd>{/if}
				{#if chosen.sideEffects}<dt>Side effects</dt>
					<dd>{chosen.sideEffects}</dd>{/if}
				{#if chosen.note}<dt>Note</dt>
					<dd>{chosen.note}</dd>{/if}
				<dt>Record</dt>
				<dd><a class="dotted" href="/session/{chosen.id}">open to complete or correct</a></dd>
			</dl>
		</section>
	{:else if sessions.loaded}
		<div class="max-w-[56ch] py-10 text-[13.5px] leading-5">
			<p class="text-ink2 mb-3">
				{client
					? 'No session yet. After the first one, this page shows what changed: zone by zone, and against measuring error.'
					: 'Choose or add a client first.'}
			</p>
			<a class="btn btn-primary" href={client ? '/session' : '/clients'}>{client ? 'Begin a session' : 'Clients'}</a>
		</div>
	{/if}
</div>
