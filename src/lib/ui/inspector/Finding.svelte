<script lang="ts">
	import type { Finding } from '$lib/core/rules/rule';
	import { fixLabel, type Sentence } from '$lib/core/rules/wording';
	import Pennant from '../glyphs/Pennant.svelte';

	interface Props {
		finding: Finding;
		/** What is said of it; of several at once where they belong together. */
		sentence: Sentence;
		/** Null where no fix is possible. */
		onfix: (() => void) | null;
		onjump?: () => void;
	}
	let { finding, sentence, onfix, onjump }: Props = $props();
	const WORD = { stop: 'Stop', caution: 'Caution', advice: 'Advice' } as const;
</script>

<li class="grid grid-cols-[18px_minmax(0,1fr)_auto] items-start gap-x-1.5 py-1.5 text-xs leading-4">
	<span title={WORD[finding.severity]} class="pt-px"><Pennant severity={finding.severity} size={14} /></span>
	<p class="text-ink2">
		<span class="sr-only">{WORD[finding.severity]}.</span>
		{#if onjump}<button type="button" class="text-ink hover:dotted text-left font-semibold" onclick={onjump}>{sentence.head}</button>
		{:else}<b class="text-ink font-semibold">{sentence.head}</b>{/if}
		{sentence.body}
	</p>
	{#if onfix}<button type="button" class="btn ml-1.5 min-h-[26px] px-2.5" onclick={onfix}>{fixLabel(finding.ruleId)}</button>{/if}
</li>
