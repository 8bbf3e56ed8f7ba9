<script lang="ts">
	import { groupFindings, groupSentence } from '$lib/core/rules/grouping';
	import type { Finding as FindingRecord } from '$lib/core/rules/rule';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Finding from './Finding.svelte';

	interface Props {
		draft: SequenceDraft;
		/** Only those that speak of this step. */
		stepId?: string;
	}
	let { draft, stepId }: Props = $props();
	const shown = $derived(groupFindings(draft.judgement.findings.filter((f) => !stepId || f.stepIds.includes(stepId))));
	const fixOf = (finding: FindingRecord) => (finding.fixable && draft.fixOf(finding) ? () => draft.fix(finding) : null);
	const jump = (finding: FindingRecord) => (finding.stepIds[0] ? () => draft.select(finding.stepIds[0]!) : undefined);
</script>

{#if shown.length}
	<ul class="divide-hair divide-y">
		{#each shown as group (group.key)}
			<Finding
				finding={group.lead}
				sentence={groupSentence(group)}
				onfix={fixOf(group.lead)}
				onjump={stepId ? undefined : jump(group.lead)}
			/>
		{/each}
	</ul>
{:else if !stepId}
	<p class="text-ink2 py-3 text-xs leading-4">
		{draft.steps.length
			? 'Nothing to mend: order, direction, pressure, sides and time are as this school wants them.'
			: 'Nothing to judge yet.'}
	</p>
{/if}
