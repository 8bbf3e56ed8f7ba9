<script lang="ts">
	import type { Fitted } from '$lib/core/fitted/makeItFit';
	import { groupFindings, groupSentence } from '$lib/core/rules/grouping';
	import { isOfClient } from '$lib/core/rules/rule';
	import { isRefused } from '$lib/core/screening/start';
	import { previewOf } from '$lib/state/previewOf';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Pennant from '../../../parts/glyphs/Pennant.svelte';
	import ChangePreview from './ChangePreview.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const count = $derived(draft.judgement.findings.filter(isOfClient).length);
	const refused = $derived(isRefused(draft.client?.limits ?? []));
	let fitted = $state.raw<Fitted | null>(null);
	async function look() {
		const { makeItFit } = await import('$lib/core/fitted/makeItFit');
		fitted = makeItFit(draft.sequence, { ...draft.context, client: draft.client });
	}
	// What was looked at belongs to the sequence and the client as they were.
	$effect(() => {
		void draft.sequence;
		void draft.client;
		fitted = null;
	});
	const costs = $derived(groupFindings(fitted?.costs ?? []).map((g) => groupSentence(g).head));
</script>

{#if count}
	<section class="border-ink mb-2 border-b pb-2 text-[12.5px] leading-[17px]" aria-label="This client">
		<p class="flex items-center gap-2">
			<span class="min-w-0 flex-1"
				><b class="font-semibold">{count} {count === 1 ? 'finding comes' : 'findings come'} from this client.</b>
				{refused ? 'No massage today.' : 'Her sequence stays as it is unless you apply it here.'}</span
			>
			{#if !refused}<button type="button" class="btn" aria-expanded={fitted !== null} onclick={() => (fitted ? (fitted = null) : look())}
					>Make it fit</button
				>{/if}
		</p>
		{#if fitted}
			<div class="mt-1.5 space-y-1.5">
				{#each fitted.unsaved as { what, why } (what)}
					<p class="flex gap-1.5"><Pennant severity="stop" /><span><b class="font-semibold">{what}</b> {why}</span></p>
				{/each}
				{#each costs.slice(0, 4) as cost (cost)}
					<p class="text-ink2 flex gap-1.5"><Pennant severity="caution" /><span>It then has: {cost}</span></p>
				{/each}
				{#each fitted.head as line (line)}<p class="text-ink2">{line}</p>{/each}
				{#if fitted.edit}
					{@const edit = fitted.edit}
					<ChangePreview
						preview={previewOf(draft, edit)}
						label="What making it fit changes"
						most={16}
						onapply={() => draft.do(edit)}
						oncancel={() => (fitted = null)}
					/>
				{:else}<p>Nothing of it can be made to fit.</p>{/if}
			</div>
		{/if}
	</section>
{/if}
