<script lang="ts">
	import type { Severity } from '$lib/core/school/school.schema';
	import { clock } from '$lib/core/step/describe';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Pennant from '../../parts/glyphs/Pennant.svelte';

	interface Props {
		draft: SequenceDraft;
		onfindings: () => void;
	}
	let { draft, onfindings }: Props = $props();
	const WORDS: Record<Severity, [one: string, many: string]> = {
		stop: ['may hurt', 'may hurt'],
		caution: ['caution', 'cautions'],
		advice: ['advice', 'pieces of advice']
	};
	const counts = $derived(
		(Object.keys(WORDS) as Severity[]).map((severity) => ({
			severity,
			count: draft.judgement.findings.filter((f) => f.severity === severity).length
		}))
	);
	const timing = $derived(draft.judgement.timing);
	const { left, right } = $derived(draft.judgement.balance.overall);
</script>

<!-- The sequence at a glance, while no step is chosen. -->
<h2 class="text-[15px] leading-5 font-[560]">{draft.steps.length} {draft.steps.length === 1 ? 'step' : 'steps'}</h2>
<dl class="mt-2 grid grid-cols-[70px_minmax(0,1fr)] gap-y-1.5">
	<dt>School</dt>
	<dd>{draft.sequence.school.title.toLowerCase()}</dd>
	<dt>Time</dt>
	<dd>{clock(timing.expectedSeconds)}, between {clock(timing.minSeconds)} and {clock(timing.maxSeconds)}</dd>
	<dt>Sides</dt>
	<dd>left {clock(left.seconds)}, right {clock(right.seconds)}</dd>
	<dt>Findings</dt>
	<dd class="space-y-1">
		{#each counts.filter((c) => c.count) as { severity, count } (severity)}
			<button type="button" class="dotted flex min-h-6 items-center gap-1.5" onclick={onfindings}
				><Pennant {severity} size={13} />{count}
				{WORDS[severity][count === 1 ? 0 : 1]}</button
			>
		{:else}none{/each}
	</dd>
</dl>
<p class="text-ink2 border-hair mt-3 border-t pt-2 text-xs leading-4">Choose a step to see it whole, or a place on the map to add one.</p>

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
