<script lang="ts">
	import { untrack } from 'svelte';
	import type { Look } from '$lib/core/measure/records.schema';
	import { openTide } from '$lib/state/openTide';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';

	interface Props {
		draft: SequenceDraft;
		look: Look | null;
		onready: (tide: TideState | null) => void;
	}
	let { draft, look, onready }: Props = $props();
	const tide = openTide(() => ({
		sequence: draft.sequence,
		working: draft.context.working,
		look,
		stepId: draft.inspectedId
	}));
	tide.follow();
	$effect(() => {
		untrack(() => onready(tide));
		return () => onready(null);
	});
</script>
