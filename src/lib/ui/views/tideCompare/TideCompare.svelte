<script lang="ts">
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import { onMount } from 'svelte';
	import { labelOf } from '$lib/core/atlas/places';
	import { ZONE_IDS, type ZoneId } from '$lib/core/atlas/zones';
	import { ComparisonInputSchema } from '$lib/core/flow/comparison.schema';
	import type { Comparison } from '$lib/core/records/comparison';
	import { OUTCOME_IDS } from '$lib/core/flow/outcomeIds';
	import { gradesOfAssessment, gradesOfStart, hasPuffiness, START_IDS, STARTS, type StartId } from '$lib/core/flow/starts';
	import { MODEL_SAYS, SHARE_SAYS } from '$lib/core/flow/words';
	import { SCHOOLS } from '$lib/core/school/schools';
	import { sameFigures } from '$lib/core/flow/verdict';
	import { inputNotes } from '$lib/core/flow/inputNotes';
	import { CORE_VERSION } from '$lib/core/version';
	import { useApp } from '$lib/state/app.svelte';
	import { ComparisonRun } from '$lib/state/comparisonRun.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import { entriesOf, LETTERS, sequenceOfEntry, type Entry } from './entries';
	import EntryList from './EntryList.svelte';
	import OutcomeResult from './OutcomeResult.svelte';
	import WhereItWent from './WhereItWent.svelte';
	import SavedComparisons from './SavedComparisons.svelte';

	interface Props {
		stored: readonly SequenceRecord[];
		saved: readonly Comparison[];
		/** What was felt before the last session of who is next; null where there is none. */
		assessment: Assessment | null;
		/** Ids of those that are asked for. */
		wanted: readonly string[];
	}
	let { stored, saved, assessment, wanted }: Props = $props();
	const app = useApp();
	const newKey = () => crypto.randomUUID();
	const asked = $derived(wanted.filter((id) => stored.some((s) => s.id === id)));

	let wish = $state.raw<readonly Entry[] | null>(null);
	const first = $derived(entriesOf(asked.length ? asked : stored.slice(0, 2).map((s) => s.id), newKey));
	const entries = $derived(wish ?? first);
	let startWish = $state<StartId | 'felt' | null>(null);
	const start = $derived(startWish ?? (hasPuffiness(assessment) ? 'felt' : 'morning'));
	let zones = $state.raw<readonly ZoneId[]>([]);
	let draws = $state(1000);
	let seed = $state(1);
	let refusal = $state('');
	let repeated = $state<Record<string, string>>({});
	let savedNow = $state(false);

	const run = new ComparisonRun();
	onMount(() => () => run.close());
	const starts = $derived([
		...(hasPuffiness(assessment) ? [{ value: 'felt' as const, label: 'As the client was felt last' }] : []),
		...START_IDS.map((value) => ({ value, label: STARTS[value].label }))
	]);
	const startWords = $derived(starts.find((s) => s.value === start)!.label);
	const titles = $derived(run.input?.sequences.map((s) => s.title) ?? []);
	/** What was put into the model and is no finding of it, where these sequences differ in it. */
	const notes = $derived(run.input ? inputNotes(run.input.sequences, run.input.working) : []);
	const outcomes = $derived(OUTCOME_IDS.filter((m) => m !== 'zones' || run.input?.zones.length));

	function compare() {
		refusal = '';
		savedNow = false;
		const { working } = app.context;
		try {
			const sequences = entries.flatMap((e) => {
				const known = stored.find((s) => s.id === e.sequenceId)?.sequence;
				return known ? [sequenceOfEntry(e, known, SCHOOLS, working)] : [];
			});
			const asked = ComparisonInputSchema.safeParse({
				sequences,
				working,
				grades: start === 'felt' && assessment ? gradesOfAssessment(assessment) : gradesOfStart(start === 'felt' ? 'morning' : start),
				zones: [...zones],
				draws,
				seed
			});
			if (!asked.success) {
				const issue = asked.error.issues[0]!;
				refusal = `${String(issue.path[0] ?? 'input')}: ${issue.message}`;
			} else void run.run(asked.data);
		} catch (error) {
			refusal = error instanceof Error ? error.message : String(error);
		}
	}
	async function save() {
		if (!run.input || !run.result) return;
		const kept = { core: CORE_VERSION, title: titles.join(' · ').slice(0, 200), start: startWords, input: run.input, result: run.result };
		savedNow = (await app.run(() => app.repo.saveComparison(kept))) !== null;
	}
	async function repeat(c: Comparison) {
		const result = await run.run(c.input);
		if (!result) return;
		repeated[c.id] = sameFigures(c.result, result)
			? `Repeated: the same figures${c.core === CORE_VERSION ? '' : ` as core ${c.core} made`}.`
			: `Repeated: the figures differ. They were made by core ${c.core}, this is ${CORE_VERSION}.`;
	}
</script>

<div class="grid min-h-0 flex-1 lg:grid-cols-[330px_minmax(0,1fr)]">
	<section class="border-hair overflow-y-auto px-4 pb-6 lg:border-r" aria-label="What is compared">
		<div class="flex flex-wrap items-baseline justify-between gap-2 py-3">
			<h1 class="text-xl font-[520]">Which leaves less?</h1>
			<a class="dotted text-xs" href="/compose">All sequences</a>
		</div>
		{#if stored.length}
			<EntryList
				{entries}
				sequences={stored.map((s) => s.sequence)}
				working={app.context.working}
				schools={SCHOOLS}
				{newKey}
				onchange={(e) => (wish = e)}
			/>
			<dl class="mt-3 grid grid-cols-[70px_minmax(0,1fr)] items-center gap-y-1.5 text-xs">
				<dt>Start</dt>
				<dd>
					<Select label="The face at the start" value={start} options={starts} onchange={(s: StartId | 'felt') => (startWish = s)} />
				</dd>
				<dt>Also in</dt>
				<dd>
					<Select
						label="Zones of their own"
						value="none"
						options={[
							{ value: 'none', label: zones.length ? 'Add a zone' : 'No zone of its own' },
							...ZONE_IDS.filter((z) => !zones.includes(z)).map((value) => ({ value, label: labelOf(value) }))
						]}
						onchange={(z: ZoneId | 'none') => z !== 'none' && (zones = [...zones, z])}
					/>
					{#each zones as z (z)}
						<button type="button" class="dotted mr-2 min-h-6" onclick={() => (zones = zones.filter((other) => other !== z))}
							>{labelOf(z).toLowerCase()}, take out</button
						>
					{/each}
				</dd>
				<dt>Faces</dt>
				<dd class="flex items-center gap-2">
					<input autocomplete="off" class="field w-24" type="number" min="1" max="10000" aria-label="Modelled faces" bind:value={draws} />
					<label class="flex items-center gap-1.5"
						>seed <input
							autocomplete="off"
							class="field w-24"
							type="number"
							min="0"
							aria-label="Seed of the draws"
							bind:value={seed}
						/></label
					>
				</dd>
			</dl>
			<div class="mt-3 flex items-center gap-2">
				{#if run.running}
					<button type="button" class="btn" onclick={() => run.cancel()}>Cancel</button>
					<progress class="tide h-2 flex-1" max={run.draws} value={run.done} aria-label="Faces that are done"></progress>
					<span class="text-ink2 w-20 text-right text-xs" role="status">{run.done} of {run.draws}</span>
				{:else}
					<button type="button" class="btn btn-primary" onclick={compare}>Run them over {draws || 0} faces</button>
				{/if}
			</div>
			{#if refusal || run.trouble}<p class="text-flag pt-2 text-xs" role="alert">{refusal || run.trouble}</p>{/if}
			<SavedComparisons
				{saved}
				busy={run.running}
				{repeated}
				onshow={(c) => run.show(c.input, c.result)}
				onrepeat={repeat}
				ondiscard={(id) => app.run(() => app.repo.discardComparison(id))}
			/>
		{:else}<p class="text-ink2 py-4">
				There is no sequence yet. <a class="dotted" href="/compose">Make one</a> first.
			</p>{/if}
	</section>
	<section class="min-w-0 overflow-y-auto px-5 pb-8" aria-label="Answer" aria-live="polite">
		{#if run.result && run.input}
			<div class="flex flex-wrap items-center gap-3 py-3">
				<p class="text-ink2 min-w-[260px] flex-1 text-xs leading-4">
					{#each titles as title, i (i)}<span class="pr-3"><b class="text-ink">{LETTERS[i]}</b> {title}</span>{/each}
					<br />{run.result.draws.toLocaleString('en')} modelled faces, seed {run.input.seed}, about {run.result.startMl.median.toFixed(1)} ml
					at the start, looked at ten minutes after the end of the longer one. The figures hold for these paces.
				</p>
				<button type="button" class="btn" disabled={savedNow} onclick={save}>{savedNow ? 'Saved' : 'Save this comparison'}</button>
			</div>
			{#each notes as note (note)}<p
					class="text-ink mb-2 max-w-[720px] border-l-2 border-[var(--sandline)] pl-3 text-xs leading-[17px]"
					data-input-note
				>
					{note}
				</p>{/each}
			{#each outcomes as outcome (outcome)}
				<OutcomeResult result={run.result} {outcome} {titles} zones={run.input.zones.map((z) => labelOf(z).toLowerCase()).join(', ')} />
			{/each}
			{#if run.result.where}<WhereItWent where={run.result.where} {titles} />{/if}
			<p class="text-ink2 border-hair border-t pt-2 text-xs leading-4">
				{SHARE_SAYS} The measure decides: fluid that left the face may wait in node groups or in the neck. {MODEL_SAYS}
				<a class="dotted" href="/library/model">What this is</a>
			</p>
		{:else}
			<div class="flex h-full min-h-[300px] flex-col items-center justify-center gap-3 text-center">
				<svg width="220" height="110" viewBox="0 0 220 110" aria-hidden="true">
					{#each [0, 1, 2, 3, 4, 5, 6] as i (i)}
						<ellipse
							cx={22 + 29 * i}
							cy={54 + 8 * Math.sin(i * 1.3)}
							rx="12"
							ry="16"
							fill="var(--sheet)"
							stroke="var(--coast)"
							stroke-width="1.3"
						/>
						<path d="M{15 + 29 * i} {60 + 8 * Math.sin(i * 1.3)}q3.5 -3 7 0t7 0" fill="none" stroke="var(--drain)" stroke-width="1.6" />
					{/each}
				</svg>
				<p class="text-ink2 max-w-[420px] leading-5">
					Both are run over many faces that could be, the same faces for each: other capacities, other half-lives, other ways of the fluid.
					What comes of it says how sure the model is of itself, not what will happen to a client.
				</p>
			</div>
		{/if}
	</section>
</div>

<style>
	dt {
		color: var(--ink3);
	}
	.tide {
		accent-color: var(--drain);
	}
</style>
