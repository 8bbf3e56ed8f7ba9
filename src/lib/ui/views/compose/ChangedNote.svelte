<script lang="ts">
	import { setHead } from '$lib/core/sequence/edits';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const changed = $derived(draft.sequence.changed ?? []);
</script>

<!-- What means something else, or takes another time, since the sequence was brought up to date: said once. -->
{#if changed.length}
	<div class="border-hair bg-wash my-1 flex items-start gap-3 rounded-lg border px-3 py-2 text-xs leading-4" role="note">
		<div class="flex-1">
			<b class="font-semibold">Recalculated since it was made:</b>
			{changed.join(' ')}
		</div>
		<button type="button" class="btn min-h-[26px] px-2" onclick={() => draft.do(setHead(draft.sequence, { changed: undefined }, 'Noted'))}
			>Noted</button
		>
	</div>
{/if}
