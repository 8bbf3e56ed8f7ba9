<script lang="ts">
	import { placesLookedAt } from '$lib/core/perform/lookedAt';
	import type { Session } from '$lib/core/records/session';
	import { allowedLines } from '$lib/core/screening/allowed';
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { useApp } from '$lib/state/app.svelte';
	import type { Opened, OpenSession } from '$lib/state/openSession.svelte';
	import { sessionAt } from '../../parts/shell/addresses';
	import SecondVersions from '../../parts/shell/SecondVersions.svelte';
	import AfterBoard from './AfterBoard.svelte';
	import BeforeBoard from './BeforeBoard.svelte';
	import PerformRoom from './PerformRoom.svelte';
	import SessionLine from './SessionLine.svelte';

	interface Props {
		session: OpenSession;
		opened: Opened;
		/** Before is looked at, or corrected. */
		atBefore: boolean;
		/** Where the other parts of the session lie. */
		parts: { readonly screening: string; readonly before: string };
		onclose: (fields: Partial<Session>) => void;
	}
	let { session, opened, atBefore, parts, onclose }: Props = $props();

	const app = useApp();
	let performing = $state<PerformRoom>();
	/** Stops where it is, as when another window takes it over. */
	export const pause = (): void => performing?.pause();
	const { draft, client, sequence, planned } = $derived(opened);
	const record = $derived(draft.current);
	const facts = $derived(factsOf(client, app.today.current));
	const limits = $derived(facts?.limits ?? []);
	/** What is seen, and said once, before the first touch. */
	const alerts = $derived([
		...(client.cautions ? [client.cautions] : []),
		...allowedLines(limits, app.today.current).map(({ name, effects }) => `${name}: ${effects.join(', ')}`)
	]);
	let redFlags = $state(false);
	const over = $derived(record.endedAt !== null || !sequence);
</script>

{#if draft.saving.state === 'second-version'}
	<div class="px-5">
		<p class="text-flag pt-2 text-[13.5px]" role="status">
			This session was changed in another window meanwhile. What is entered here is kept in a second version, until you choose one.
		</p>
		{#if over || atBefore}<SecondVersions kind="session" id={record.id} onsettled={() => session.load(record.id)} />{/if}
	</div>
{:else if over && !atBefore}<div class="px-5">
		<SecondVersions kind="session" id={record.id} onsettled={() => session.load(record.id)} />
	</div>{/if}
{#if atBefore}
	<header class="border-hair flex min-h-11 flex-wrap items-center gap-x-6 border-b px-5">
		<SessionLine at="before" to={{ screening: parts.screening, [session.onStage ? 'perform' : 'after']: sessionAt(record.id) }} />
		<span class="ml-auto"><b>{client.name}</b>{record.sequence ? `, ${record.sequence.title}` : ''}</span>
	</header>
	<BeforeBoard
		session={record}
		asked={placesLookedAt(sequence)}
		orientation={sequence?.orientation ?? 'facing'}
		{limits}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft.change(fields)}
		back={sessionAt(record.id)}
		backLabel={session.onStage ? 'To the stage' : 'To after'}
	/>
{:else if record.endedAt === null && (session.hold.state === 'elsewhere' || session.hold.state === 'taken')}
	<div class="mx-auto max-w-[620px] space-y-3 p-6 text-[17px] leading-7" role="alert">
		<h1 class="flare text-[24px] font-[540]">This session is performed in another window</h1>
		<p>
			{session.hold.state === 'taken' ? 'It was taken over there, and waits here.' : 'Two windows would write one record.'} Go on there, or take
			it over to this one: it goes on at the repetition that was last noted, and stops there.
		</p>
		<button type="button" class="btn btn-large btn-primary" onclick={() => session.takeOver()}>Take it over</button>
	</div>
{:else if over}
	<AfterBoard
		session={record}
		{sequence}
		planned={planned ?? sequence}
		clientName={client.name}
		context={app.context}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft.change(fields)}
		{onclose}
		onresume={opened.resumable ? () => session.resume() : null}
		blind={app.settings?.gradesBlind ?? false}
		onblind={(gradesBlind) => app.save({ gradesBlind })}
		{parts}
		now={() => new Date().toISOString()}
	/>
{/if}
{#if sequence && opened.log && session.onStage}
	{#key record.id}<PerformRoom
			bind:this={performing}
			{draft}
			{sequence}
			log={opened.log}
			plans={opened.plans}
			learnt={opened.learnt}
			{facts}
			clientName={client.name}
			{alerts}
			{parts}
			hidden={atBefore}
			onredflags={() => (redFlags = true)}
			onended={(performed) => session.ended(performed)}
		/>{/key}
{/if}
{#if redFlags}{#await import('../../parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags bind:open={redFlags} />{/await}{/if}
