<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { isZone, placeOf } from '$lib/core/atlas/places';
	import type { ZoneId } from '$lib/core/atlas/zones';
	import { emptyLook } from '$lib/core/measure/look';
	import type { Look } from '$lib/core/measure/records.schema';
	import { clock } from '$lib/core/step/describe';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { judge } from '$lib/core/rules/judge';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import ClientForm from '$lib/ui/parts/shell/ClientForm.svelte';
	import DistanceTable from '$lib/ui/views/session/DistanceTable.svelte';
	import GradeBoard from '$lib/ui/views/session/GradeBoard.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';

	const app = useApp();
	const clients = liveRows(
		() => null,
		() => app.repo.clients(),
		[]
	);
	const sequences = liveRows(
		() => null,
		() => app.repo.sequences(),
		[]
	);
	const clientId = $derived(app.settings?.currentClientId ?? null);
	const client = $derived(clients.current.find((c) => c.id === clientId) ?? null);
	const sessions = liveRows(
		() => clientId,
		(id) => (id ? app.repo.sessionsOf(id) : Promise.resolve([])),
		[]
	);
	const last = $derived(sessions.current.at(-1) ?? null);

	/** A look taken today before anything was composed: the session goes on from it. */
	const lookedToday = $derived(
		last && !last.sequence && !last.after && new Date(last.startedAt).toDateString() === new Date().toDateString() ? last : null
	);
	const ghost = $derived((lookedToday ? sessions.current.at(-2) : last)?.before ?? null);
	let wished = $state<string | null>(page.url.searchParams.get('sequence'));
	const sequenceId = $derived(wished ?? last?.sequence?.id ?? sequences.current[0]?.sequence.id ?? null);
	const sequence = $derived(sequences.current.find((s) => s.sequence.id === sequenceId)?.sequence ?? null);
	const judgement = $derived(sequence ? judge(sequence, app.context) : null);
	const stops = $derived(judgement?.findings.filter((f) => f.severity === 'stop').length ?? 0);

	let look = $state.raw<Look>(emptyLook(new Date().toISOString()));
	let sleep = $state<'under-5' | '5-to-7' | 'over-7' | ''>('');
	let salt = $state<'little' | 'usual' | 'much' | ''>('');
	// Another client, another face.
	$effect(() => {
		void clientId;
		const begun = lookedToday;
		untrack(() => (look = begun?.before ?? emptyLook(new Date().toISOString())));
	});
	const asked = $derived<ZoneId[]>(
		sequence
			? [
					...new Set(
						stepsOf(sequence)
							.filter((s) => s.step.aim === 'drain' || s.step.aim === 'release')
							.map((s) => placeOf(s.step.places[0]!))
					)
				]
					.filter((p): p is ZoneId => isZone(p) && p !== 'sternocleidomastoid' && p !== 'throat')
					.slice(0, 7)
			: ['lower-eyelid', 'malar', 'jawline', 'submental']
	);
	/** Keeps the look; with a sequence the stage follows, without one the composing. */
	async function start(perform: boolean) {
		if (!client) return;
		const { now, newId } = app.repo.stamp();
		const session = {
			...(lookedToday ?? { id: newId(), revision: 0, updatedAt: now }),
			clientId: client.id,
			startedAt: now,
			endedAt: perform ? null : now,
			zoneOffsetMinutes: -new Date().getTimezoneOffset(),
			sequence: perform ? sequence : null,
			before: { ...look, takenAt: now },
			context: { ...(sleep ? { sleep } : {}), ...(salt ? { salt } : {}), also: [] }
		};
		const saved = await app.run(() => app.repo.saveSession(session));
		if (saved) await goto(perform ? `/session/${session.id}` : '/compose');
	}
	const seconds = $derived(judgement?.timing.expectedSeconds ?? 0);
</script>

<svelte:head><title>Session · Soft Tide</title></svelte:head>
<div class="grid min-h-0 flex-1 grid-cols-1 gap-x-6 px-5 pt-3 lg:grid-cols-[minmax(0,1fr)_390px] lg:overflow-hidden">
	<div class="min-h-0 lg:overflow-y-auto">
		<GradeBoard
			{look}
			{ghost}
			{asked}
			orientation={sequence?.orientation ?? 'facing'}
			title="What the hands find"
			onchange={(l) => (look = l)}
		/>
	</div>
	<aside class="space-y-4 pb-4 lg:overflow-y-auto" aria-label="Who and what">
		<section>
			<h2 class="mb-1.5 text-[15px] font-semibold">Client</h2>
			{#if clients.current.length}
				<Select
					label="Client"
					value={client?.id ?? ''}
					options={clients.current.map((c) => ({ value: c.id, label: c.name }))}
					onchange={(id) => app.save({ currentClientId: id })}
					class="min-h-11 w-full text-[15px]"
				/>
			{/if}
			{#if !client}<ClientForm
					onsave={async (name) => {
						const { now, newId } = app.repo.stamp();
						const id = newId();
						if (await app.run(() => app.repo.saveClient({ id, revision: 0, updatedAt: now, name })))
							await app.save({ currentClientId: id });
					}}
				/>{/if}
			{#if client?.cautions}<p class="text-ink2 mt-1.5 text-[13px]">
					<b class="text-flag">Mind:</b>
					{client.cautions}
				</p>{/if}
		</section>
		<section>
			<h2 class="mb-1.5 text-[15px] font-semibold">Sequence</h2>
			{#if sequences.current.length}
				<Select
					label="Sequence"
					value={sequenceId ?? ''}
					options={sequences.current.map((s) => ({ value: s.id, label: s.sequence.title }))}
					onchange={(id) => (wished = id)}
					class="min-h-11 w-full text-[15px]"
				/>
			{:else}<p class="text-ink2 text-[13px]">
					None yet. <a class="dotted" href="/compose">Compose one</a>, or only look today.
				</p>{/if}
			{#if stops}<p class="text-flag mt-1.5 text-[13px]">
					<b>{stops === 1 ? 'One finding says stop.' : `${stops} findings say stop.`}</b>
					<a class="dotted" href="/compose/{sequenceId}">Mend it first.</a>
				</p>{/if}
		</section>
		<section>
			<DistanceTable {look} {ghost} unit={app.settings?.units ?? 'mm'} onchange={(l) => (look = l)} />
		</section>
		<section class="grid grid-cols-[52px_1fr] items-center gap-2 text-[13.5px]">
			<span class="text-ink2">Sleep</span>
			<Segmented
				large
				label="Sleep"
				value={sleep}
				options={[
					{ value: 'under-5', label: 'under 5 h' },
					{ value: '5-to-7', label: '5 to 7' },
					{ value: 'over-7', label: 'over 7' }
				]}
				onchange={(v) => (sleep = v)}
			/>
			<span class="text-ink2">Salt</span>
			<Segmented
				large
				label="Salt"
				value={salt}
				options={[
					{ value: 'little', label: 'little' },
					{ value: 'usual', label: 'usual' },
					{ value: 'much', label: 'much' }
				]}
				onchange={(v) => (salt = v)}
			/>
		</section>
		<p class="text-ink2 border-hair border-t pt-3 text-[13px] leading-[18px]">{CAUTION_LINE}</p>
	</aside>
</div>
<div class="to-sea flex flex-wrap items-center gap-3 bg-gradient-to-b from-transparent px-5 py-3">
	<p class="flex-1 text-[15px]">
		<b class="font-semibold">{look.grades.length} {look.grades.length === 1 ? 'place' : 'places'} felt</b>{#if look.distances.length}<span
				class="text-ink2">, {look.distances.length} distances taken</span
			>{/if}
	</p>
	<button type="button" class="btn btn-large" disabled={!client} onclick={() => start(false)}>Keep the look, then compose</button>
	<button type="button" class="btn btn-large btn-primary" disabled={!client || !sequence || !seconds} onclick={() => start(true)}
		>Start{seconds ? `, ${clock(seconds)}` : ''}</button
	>
</div>
