<script lang="ts">
	import { idIn, printAt, readAt, sessionFor } from '$lib/ui/parts/shell/addresses';
	import Printer from '@lucide/svelte/icons/printer';
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { isTyping } from '$lib/state/typed.svelte';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { onceTouched } from '$lib/state/touched';
	import { showAround } from '$lib/ui/parts/shell/showAround';
	import { followWhetherThere } from '$lib/state/stillThere.svelte';
	import { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { VersionPair } from '$lib/store/repository';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import { ifHere } from '$lib/state/rows';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { hour, sameDay, shortDay } from '$lib/ui/parts/dates';
	import TipButton from '$lib/ui/parts/controls/TipButton.svelte';
	import Composer from '$lib/ui/views/compose/Composer.svelte';

	const app = useApp();
	const newId = () => crypto.randomUUID();
	/** For whom the draft is made: chosen here, kept with it; until then whoever was next when it was opened. */
	let clientId = $state<string | null>(null);
	let chosen = $state(false);
	$effect(() => {
		if (!chosen && clientId === null && app.current.id) clientId = app.current.id;
	});
	const client = $derived(app.current.byId(clientId));
	const last = liveRows(
		() => clientId,
		async (id) => (id ? await app.repo.lastSessionOf(id) : undefined)
	);
	/** What was felt of this very client; the map and the tide do without where it is not known. */
	const assessment = $derived<Assessment | null>(ifHere(last.current)?.before ?? null);
	$effect(() => {
		app.tell(
			'last-session',
			last.current.state === 'failed'
				? 'What was felt last of this client could not be read: the map and the tide do without it. Reload the page to try again.'
				: ''
		);
		return () => app.tell('last-session', '');
	});

	let draft = $state.raw<SequenceDraft | null>(null);
	let missing = $state(false);
	const secondVersionDialog = () => import('$lib/ui/views/compose/SecondVersion.svelte');
	const goneDialog = () => import('$lib/ui/parts/shell/GoneDialog.svelte');
	let conflict = $state.raw<VersionPair | null>(null);

	/** What could not be saved is handed out as a file. */
	async function exportIt() {
		if (!draft) return;
		const [{ fileName }, { writeSequenceFile }, { saveFile }] = await Promise.all([
			import('$lib/formats/download'),
			import('$lib/formats/sequenceFile'),
			import('$lib/ui/parts/controls/saveFile')
		]);
		saveFile(fileName(draft.sequence.title, 'json'), writeSequenceFile(draft.sequence));
	}
	async function load(id: string) {
		const stored = await app.run(() => app.repo.sequence(id));
		missing = !stored;
		draft = stored ? new SequenceDraft({ sequence: stored.sequence, history: stored.history }, app.context, app.repo) : null;
		chosen = stored?.clientId !== undefined;
		clientId = stored?.clientId ?? (chosen ? null : app.current.id);
		const asked = page.url.searchParams.get('step');
		if (asked) draft?.select(asked);
		await lookForSecond(id);
	}
	async function lookForSecond(id: string) {
		conflict = await app.run(() => app.repo.versionPair('sequence', id));
	}
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void load(id));
	});
	$effect(() => {
		if (draft?.saving.state === 'second-version') untrack(() => void lookForSecond(draft!.sequence.id));
	});
	let redFlags = $state(false);
	$effect(() => {
		if (!draft) return;
		draft.context = app.context;
		draft.client = screening.current?.factsOf(client, app.today.current) ?? null;
	});
	/** What she may have today is fetched where somebody is chosen, once the sequence is on the screen. */
	const screening = new Fetched(() => import('$lib/core/screening/clientFacts')).oncePainted(() => draft && client);
	/** What looks at every value of an edit is there before the first one. */
	$effect(() => {
		const of = draft;
		if (of) return onceTouched(() => void import('$lib/core/sequence/applyEdit').then(({ checked }) => of.checkBy(checked)));
	});
	async function settle(choice: 'stored' | 'second' | 'both') {
		if (!conflict) return;
		const { second } = conflict;
		await app.run(() => app.repo.settle(second, choice));
		await load(second.recordId);
	}
	$effect(() => {
		app.headerExtra = extra;
		return () => (app.headerExtra = null);
	});
	const saved = $derived.by(() => {
		if (!draft) return '';
		if (draft.saving.state === 'saving' || (draft.saving.state === 'saved' && isTyping())) return 'Saving …';
		// Also while a question is open: what is done meanwhile is not stored.
		if (draft.saving.state !== 'saved') return 'Not saved';
		const at = new Date(draft.savedAt);
		return `Saved ${sameDay(at, new Date()) ? hour(at) : shortDay(at)}`;
	});
	followWhetherThere(
		'sequence',
		() => idIn(page.params.id),
		() => draft?.sequence.id === idIn(page.params.id),
		() => draft!.saving.lose('This sequence was removed in another window.', true)
	);
</script>

{#snippet extra()}
	{#if draft}
		<span class="text-ink3 text-[11.5px] whitespace-nowrap max-sm:sr-only" role="status">{saved}</span>
		{#if draft.saving.state === 'trouble'}<button type="button" class="btn" onclick={exportIt}>Export it</button><button
				type="button"
				class="btn"
				onclick={() => draft?.retry()}>Try again</button
			>{/if}
		<TipButton tip={draft.undoLabel ? `Undo: ${draft.undoLabel}` : 'Undo'} disabled={!draft.undoLabel} onclick={() => draft?.undo()}
			><Undo2 size={16} /></TipButton
		>
		<TipButton tip={draft.redoLabel ? `Redo: ${draft.redoLabel}` : 'Redo'} disabled={!draft.redoLabel} onclick={() => draft?.redo()}
			><Redo2 size={16} /></TipButton
		>
		<a class="btn max-lg:hidden" href={readAt(draft.sequence.id)}>Read through</a>
		<a class="btn max-sm:w-9 max-sm:px-0" href={printAt(draft.sequence.id)}
			><Printer size={15} class="sm:hidden" /><span class="max-sm:sr-only">Print</span></a
		>
		<button type="button" class="btn" onclick={() => (redFlags = true)}>Red flags</button>
		<a
			class="btn btn-primary"
			href={sessionFor(clientId, draft.sequence.id)}
			onclick={() => void (clientId && app.current.choose(clientId))}>Start<span class="max-sm:hidden"> session</span></a
		>
	{/if}
{/snippet}

{#if draft}{#key draft.sequence.id}
		<Composer
			{draft}
			clients={app.current.all.filter((c) => !c.archived || c.id === clientId)}
			{client}
			{assessment}
			{newId}
			onclient={(id) => {
				chosen = true;
				clientId = id === 'nobody' ? null : id;
				const of = draft!.sequence.id;
				void app.run(() => app.repo.makeFor(of, clientId));
			}}
			onprint={() => goto(printAt(draft!.sequence.id))}
			tour={page.url.searchParams.has('tour')}
			onaround={() => showAround(app)}
		/>
	{/key}{:else if missing}
	<div class="p-6">
		<h1 class="text-xl">This sequence is not here</h1>
		<p class="text-ink2 my-2">{app.storeless || 'It may have been removed, or it lives in another browser.'}</p>
		<a class="btn" href="/compose">All sequences</a>
	</div>
{/if}
{#if draft?.saving.gone}
	{#await goneDialog() then { default: GoneDialog }}
		<GoneDialog {...draft.saving.gone} onkeep={() => draft?.keepAsNew()} ondrop={() => goto('/compose')} />
	{/await}
{/if}
{#if conflict}
	{#await secondVersionDialog() then { default: SecondVersionDialog }}
		<SecondVersionDialog
			stored={(conflict.stored as SequenceRecord).sequence}
			second={(conflict.second.record as unknown as SequenceRecord).sequence}
			context={app.context}
			onchoose={settle}
		/>
	{/await}
{/if}
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
