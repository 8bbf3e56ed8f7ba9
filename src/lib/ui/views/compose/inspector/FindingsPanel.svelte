<script lang="ts">
	import { modelOnFinding, onlyTheModel } from '$lib/core/flow/meetsRules';
	import { markWords } from '$lib/core/flow/words';
	import { groupFindings, groupSentence, type FindingGroup } from '$lib/core/rules/grouping';
	import { RULE_KINDS, type Finding as FindingRecord, type RuleKind } from '$lib/core/rules/rule';
	import { sentenceOf } from '$lib/core/rules/wording';
	import type { Edit } from '$lib/core/sequence/edit.schema';
	import { stepTitle } from '$lib/core/step/describe';
	import { Offers } from '$lib/state/offers.svelte';
	import { previewOf } from '$lib/state/previewOf';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import Segmented from '../../../parts/controls/Segmented.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import TideMarkGlyph from '../tide/TideMarkGlyph.svelte';
	import ChangePreview from './ChangePreview.svelte';
	import ClientFit from './ClientFit.svelte';
	import Finding from './Finding.svelte';

	interface Props {
		draft: SequenceDraft;
		/** What the model says to them, where it runs. */
		tide?: TideState | null;
		/** Only those that speak of this step. */
		stepId?: string;
	}
	let { draft, tide = null, stepId }: Props = $props();
	type Filter = 'all' | 'stop' | 'caution' | 'advice' | RuleKind;
	let by = $state<'gravity' | 'step' | 'kind'>('gravity');
	let filter = $state<Filter>('all');

	const all = $derived(draft.judgement.findings.filter((f) => !stepId || f.stepIds.includes(stepId)));
	const kinds = $derived((Object.keys(RULE_KINDS) as RuleKind[]).filter((kind) => all.some((f) => f.kind === kind)));
	const filters = $derived<{ value: Filter; label: string }[]>([
		{ value: 'all', label: 'All' },
		...(['stop', 'caution', 'advice'] as const)
			.filter((s) => all.some((f) => f.severity === s))
			.map((s) => ({ value: s, label: `Only ${s}` })),
		...kinds.map((k) => ({ value: k, label: RULE_KINDS[k] }))
	]);
	const chosen = $derived(filters.some((f) => f.value === filter) ? filter : 'all');
	const wanted = $derived(all.filter((f) => chosen === 'all' || f.severity === chosen || f.kind === chosen));
	const found = $derived(groupFindings(wanted));
	/** So many are shown at first: each looks for its fix, and a very long sequence has thousands. */
	const PAGE = 40;
	let limit = $state(PAGE);
	const groups = $derived(found.slice(0, limit));
	const silent = $derived(tide?.tide && !stepId ? onlyTheModel(tide.tide, all) : []);
	const safe = $derived(stepId ? [] : all.filter((f) => f.safe));

	/** Under which heading a group stands, and in which order the headings come. */
	function headOf({ lead }: FindingGroup): { rank: number; title: string } {
		if (by === 'kind' || stepId) return { rank: kinds.indexOf(lead.kind), title: RULE_KINDS[lead.kind] };
		const placed = draft.byId.get(lead.stepIds[0] ?? '');
		return placed ? { rank: placed.number, title: `${placed.number} ${stepTitle(placed.step)}` } : { rank: 0, title: 'The whole sequence' };
	}
	const sections = $derived.by(() => {
		if (by === 'gravity' || stepId) return [{ title: '', rank: 0, groups }];
		const byTitle = new Map<string, { title: string; rank: number; groups: FindingGroup[] }>();
		for (const group of groups) {
			const { title, rank } = headOf(group);
			const section = byTitle.get(title) ?? { title, rank, groups: [] };
			section.groups.push(group);
			byTitle.set(title, section);
		}
		return [...byTitle.values()].sort((a, b) => a.rank - b.rank);
	});
	const shown = (edit: Edit | null) => edit && previewOf(draft, edit);
	const offers = new Offers(
		() => draft.judgement.context,
		() => groups.map((g) => g.lead).filter((f) => f.fixable),
		(finding) => draft.fixOf(finding)
	);
	const preview = (group: FindingGroup) => (group.lead.fixable && offers.has(group.lead) ? () => shown(draft.fixOfGroup(group)) : null);
	/** All that is safe, looked at before it is done. */
	let fixingSafe = $state(false);
	const safeFixes = $derived(fixingSafe ? draft.safeFixes() : null);
	const stepsOf = (group: FindingGroup) => group.stepIds.map((id) => ({ id, number: draft.byId.get(id)?.number ?? 0 }));
	/** Of one step; of several the model says something else for each. */
	const model = (group: FindingGroup) =>
		tide?.tide && group.stepIds.length <= 1
			? modelOnFinding(tide.tide, { ruleId: group.lead.ruleId, stepIds: group.findings.flatMap((f) => f.stepIds.slice(0, 1)) })
			: null;
	const jump = (finding: FindingRecord) => (finding.stepIds[0] ? () => draft.select(finding.stepIds[0]!) : undefined);
	const muteAll = (group: FindingGroup) => (reason: string) => {
		for (const finding of group.findings) draft.mute(finding, sentenceOf(finding).head, reason);
	};
</script>

{#if !stepId}<ClientFit {draft} />{/if}
{#if !stepId && all.length}
	<div class="flex flex-wrap items-center gap-2 pb-1.5">
		<Segmented
			label="Order of the findings"
			value={by}
			options={[
				{ value: 'gravity', label: 'Most serious' },
				{ value: 'step', label: 'By step' },
				{ value: 'kind', label: 'By kind' }
			]}
			onchange={(v) => (by = v)}
		/>
		<Select label="Show" value={chosen} options={filters} onchange={(v) => (filter = v)} />
		{#if safe.length > 1}
			<button type="button" class="btn" aria-expanded={fixingSafe} onclick={() => (fixingSafe = !fixingSafe)}>Fix what is safe</button>
		{/if}
	</div>
	{#if fixingSafe && safe.length > 1}
		{#if safeFixes}<ChangePreview
				preview={previewOf(draft, safeFixes)}
				label="What the safe fixes change"
				most={16}
				onapply={() => {
					draft.do(safeFixes);
					fixingSafe = false;
				}}
				oncancel={() => (fixingSafe = false)}
			/>{:else}<p class="text-ink2 text-xs">None of them can be fixed by itself.</p>{/if}
	{/if}
{/if}
{#each sections as section (section.title)}
	{#if section.title}<h3 class="text-ink2 border-ink mt-2 border-b pb-0.5 text-xs font-semibold">{section.title}</h3>{/if}
	<ul class="divide-hair divide-y">
		{#each section.groups as group (group.key)}
			<Finding
				finding={group.lead}
				sentence={groupSentence(group)}
				model={model(group)}
				preview={preview(group)}
				steps={stepId ? [] : stepsOf(group)}
				onstep={(id) => draft.select(id)}
				onfix={() => draft.do(draft.fixOfGroup(group))}
				onjump={stepId ? undefined : jump(group.lead)}
				onmute={group.lead.severity === 'stop' ? undefined : muteAll(group)}
			/>
		{/each}
	</ul>
{/each}
{#if found.length > limit}
	<button type="button" class="btn mt-2" onclick={() => (limit += PAGE)}>Show more of {found.length}</button>
{/if}
{#if !stepId && silent.length}
	<details class="border-hair mt-2 border-t pt-1.5 text-xs leading-4">
		<summary class="text-ink2 cursor-pointer">Only the model sees: {silent.length}</summary>
		<ul class="divide-hair divide-y">
			{#each silent.slice(0, PAGE) as { mark, why } (`${mark.kind}${mark.stepId}${mark.places.join()}`)}
				<li class="flex items-start gap-1.5 py-1.5">
					<TideMarkGlyph kind={mark.kind} size={14} />
					<p class="text-ink2">
						<button type="button" class="text-ink hover:dotted text-left font-semibold" onclick={() => draft.select(mark.stepId)}
							>Step {draft.byId.get(mark.stepId)?.number}: {markWords(mark)}.</button
						>
						No rule says so: {why}.
					</p>
				</li>
			{/each}
		</ul>
	</details>
{/if}
{#if !all.length && !stepId}
	<p class="text-ink2 py-3 text-xs leading-4">
		{draft.steps.length
			? 'Nothing to fix: order, direction, pressure, sides and time are as this school wants them.'
			: 'Nothing to judge yet.'}
	</p>
{/if}
{#if !stepId && draft.judgement.muted.length}
	<details class="border-hair mt-2 border-t pt-1.5 text-xs leading-4">
		<summary class="text-ink2 cursor-pointer">{draft.judgement.muted.length} set aside</summary>
		<ul class="divide-hair divide-y">
			{#each draft.judgement.muted as { finding, reason } (finding.key)}
				<li class="flex items-start gap-2 py-1.5">
					<p class="text-ink2 flex-1">{sentenceOf(finding).head} <i class="text-ink">{reason}</i></p>
					<button type="button" class="btn min-h-[26px] px-2.5" onclick={() => draft.unmute(finding.key)}>Take up again</button>
				</li>
			{/each}
		</ul>
	</details>
{/if}
