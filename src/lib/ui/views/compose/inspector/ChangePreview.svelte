<script lang="ts">
	import { clock } from '$lib/core/step/describe';
	import DifferenceList from '../../../parts/steps/DifferenceList.svelte';
	import type { Preview } from '$lib/state/previewOf';

	interface Props {
		preview: Preview;
		label: string;
		onapply: () => void;
		oncancel: () => void;
		/** So many changes are listed, the others counted. */
		most?: number;
	}
	let { preview, label, onapply, oncancel, most = 8 }: Props = $props();
	const focus = (node: HTMLElement) => node.focus();
</script>

<!-- What an edit would change, before it is made. -->
<div class="bg-wash/60 rounded-lg px-2.5 py-1.5 text-xs leading-4" role="group" aria-label={label}>
	<DifferenceList changes={preview.changes} {most} />
	{#if Math.round(preview.fromSeconds) !== Math.round(preview.toSeconds)}<p class="text-ink2">
			Length {clock(preview.fromSeconds)}, then {clock(preview.toSeconds)}
		</p>{:else}<p class="text-ink2">Length stays {clock(preview.toSeconds)}</p>{/if}
	<div class="mt-1.5 flex gap-2">
		<button type="button" class="btn btn-primary min-h-[26px] px-2.5" use:focus onclick={onapply}>Apply</button>
		<button type="button" class="btn min-h-[26px] px-2.5" onclick={oncancel}>Cancel</button>
	</div>
</div>
