<script lang="ts">
	import { untrack } from 'svelte';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import KeptField from '../../parts/controls/KeptField.svelte';
	import { allChanges } from '$lib/core/assess/change';
	import { emptyAssessment, sameGrades } from '$lib/core/assess/assessment';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { GRADE_IDS } from '$lib/core/assess/registry';
	import type { LengthUnit } from '$lib/core/assess/units';
	import { changeSentence } from '$lib/core/assess/wording';
	import { sessionAccount } from '$lib/core/perform/account';
	import { ENDED_BECAUSE, type EndedBecause } from '$lib/core/records/endedBecause';
	import type { Session } from '$lib/core/records/session';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { ExpandContext } from '$lib/core/sequence/expand';
	import { withdrawnReactions } from '$lib/core/records/earlier';
	import Account from './Account.svelte';
	import WrittenDown from './WrittenDown.svelte';
	import MeasureTable from './MeasureTable.svelte';
	import SessionLine from './SessionLine.svelte';
	import EarlierEntries from './EarlierEntries.svelte';
	import GradeBoard from './GradeBoard.svelte';

	interface Props {
		session: Session;
		/** The sequence as it was performed; null where only looked. */
		sequence: Sequence | null;
		/** As it was planned: the same one where nothing was changed while working. */
		planned: Sequence | null;
		clientName: string;
		context: ExpandContext;
		unit: LengthUnit;
		/** ISO time, asked when the first after-grade is given. */
		now: () => string;
		/** Grades are given without seeing those before. */
		blind: boolean;
		onblind: (blind: boolean) => void;
		onchange: (fields: Partial<Session>) => void;
		onclose: (fields: Partial<Session>) => void;
		/** Back on the stage, where it was ended; null where it was performed to its end, or is closed. */
		onresume: (() => void) | null;
		/** Where the other parts of the session lie. */
		parts: Partial<Record<'screening' | 'before', string>>;
	}
	let { session, sequence, planned, clientName, context, unit, now, blind, onblind, onchange, onclose, onresume, parts }: Props = $props();

	const after = $derived<Assessment>(session.after ?? emptyAssessment(session.endedAt ?? session.startedAt));
	const sentence = $derived(changeSentence(allChanges(session.before, session.after, context.working)));
	const asked = $derived([
		...new Set(session.before.entries.flatMap((e) => (e.place && GRADE_IDS.includes(e.observation) ? [e.place] : [])))
	]);
	/** What was found before has been seen: by a look, or since it was graded already when this was opened. */
	let seen = $state(untrack(() => session.after !== null));
	const hidden = $derived(blind && !seen);
	const set = (assessment: Assessment) =>
		onchange({ after: { ...assessment, takenAt: now() }, blind: hidden || (session.blind && sameGrades(assessment, session.after)) });
	/** It was ended before its end: why is asked, in one touch. */
	const early = $derived(
		session.guided && session.endedAt !== null && sequence !== null && planned !== null
			? sessionAccount(session, planned, sequence, context).early
			: false
	);
	const closing = () => onclose({ endedAt: session.endedAt ?? now() });
</script>

<header class="border-hair flex min-h-11 flex-wrap items-center gap-x-6 border-b px-5">
	<a href="/" class="flare text-[15px] font-[560]">Soft Tide</a>
	<SessionLine at="after" to={parts} why={{ perform: 'this session is closed' }} />
	{#if onresume}<button type="button" class="btn min-h-9" onclick={onresume}>Resume session</button>{/if}
	<span class="ml-auto"><b>{clientName}</b>{session.sequence ? `, ${session.sequence.title}` : ''}</span>
</header>
<p class="max-w-[72ch] px-5 pt-3 text-[21px] leading-7" role="status">
	{#if sentence.real && !hidden}<b class="font-semibold">{sentence.real}</b>{' '}{/if}<span class="text-ink2"
		>{hidden
			? 'Grade as the hands find it: what was before is hidden until you ask for it.'
			: session.after
				? sentence.rest
				: 'Grade again: each tap adds one grade. Take the tape if you took it before.'}</span
	>
</p>
<div class="flex flex-wrap items-center gap-3 px-5 pt-1.5">
	<label class="flex min-h-8 items-center gap-2"
		><input type="checkbox" checked={blind} onchange={(e) => onblind(e.currentTarget.checked)} /> Grade blind to what was before</label
	>
	{#if hidden}<button type="button" class="btn min-h-9" onclick={() => (seen = true)}>Show what was before</button>
	{:else if session.blind}<span class="text-ink2">Graded blind.</span>{/if}
</div>
<div class="grid min-h-0 flex-1 grid-cols-1 gap-x-6 px-5 pt-3 lg:grid-cols-[minmax(0,1fr)_390px]">
	<GradeBoard
		assessment={after}
		ghost={hidden ? null : session.before}
		{asked}
		orientation={sequence?.orientation ?? 'facing'}
		title="And now"
		onchange={set}
	/>
	<aside class="space-y-4 pb-4" aria-label="Tape and what was done">
		<MeasureTable assessment={after} ghost={hidden ? null : session.before} {unit} onchange={set} />
		{#if early}
			<section aria-label="Ended early">
				<h2 class="mb-1.5 text-[15px] font-semibold">Ended early because of</h2>
				<div class="flex flex-wrap gap-2">
					{#each Object.entries(ENDED_BECAUSE) as [id, label] (id)}
						<button
							type="button"
							class="btn min-h-11"
							aria-pressed={session.endedBecause === id}
							onclick={() => onchange({ endedBecause: session.endedBecause === id ? null : (id as EndedBecause) })}>{label}</button
						>
					{/each}
				</div>
			</section>
		{/if}
		{#if sequence && !session.guided}<WrittenDown {session} {sequence} {context} {onchange} />{/if}
		{#if sequence && planned}
			<Account {session} {planned} performed={sequence} {context} oncorrect={(corrections) => onchange({ corrections })} {now} />
		{/if}
		<KeptField
			label="Side effects, if any"
			class="field field-large"
			maxlength={MAX_TEXT}
			value={session.sideEffects}
			placeholder="Redness, pain, a rash …"
			onkeep={(sideEffects) => onchange({ sideEffects })}
		/>
		{#each withdrawnReactions(session) as words (words)}<p class="text-ink2 text-[12.5px]">Noted before and withdrawn: {words}</p>{/each}
		<KeptField
			label="Note for next time"
			class="field text-[14px]"
			rows={2}
			maxlength={MAX_TEXT}
			value={session.note}
			onkeep={(note) => onchange({ note })}
		/>
		<EarlierEntries {session} />
	</aside>
</div>
<div class="to-sea flex flex-wrap items-center gap-3 bg-gradient-to-b from-transparent px-5 py-3">
	<p class="text-ink2 flex-1">Each entry is kept at once.</p>
	<button type="button" class="btn btn-large btn-primary" onclick={closing}>Close session</button>
</div>
