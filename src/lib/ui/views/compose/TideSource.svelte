<script lang="ts">
	import { untrack } from 'svelte';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { openTide } from '$lib/state/openTide';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';

	interface Props {
		draft: SequenceDraft;
		assessment: Assessment | null;
		onready: (tide: TideState | null) => void;
	}
	let { draft, assessment, onready }: Props = $props();
	const tide = openTide(() => ({
		sequence: draft.sequence,
		working: draft.context.working,
		assessment,
		stepId: draft.inspectedId
	}));
	tide.follow();
	$effect(() => {
		untrack(() => onready(tide));
		return () => onready(null);
	});
</script>
