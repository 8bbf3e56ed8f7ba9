<script lang="ts">
	import { clock } from '$lib/core/step/describe';
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
	const KIND = { added: 'New', removed: 'Gone', moved: 'Moved', changed: '' } as const;
	const changes = $derived(preview.changes);
	const focus = (node: HTMLElement) => node.focus();
</script>

<!-- What an edit would change, before it is made. -->
<div class="bg-wash/60 rounded-lg px-2.5 py-1.5 text-xs leading-4" role="group" aria-label={label}>
	<ul>
		{#each changes.slice(0, most) as d, i (`${d.stepId}${i}`)}
			<li><span class="text-ink2">{KIND[d.kind]}</span> <b class="font-semibold">{d.number}</b> {d.text}</li>
		{/each}
		{#if changes.length > most}<li class="text-ink2">and {changes.length - most} more</li>{/if}
	</ul>
	{#if Math.round(preview.fromSeconds) !== Math.round(preview.toSeconds)}<p class="text-ink2">
			Length {clock(preview.fromSeconds)}, then {clock(preview.toSeconds)}
		</p>{:else}<p class="text-ink2">Length stays {clock(preview.toSeconds)}</p>{/if}
	<div class="mt-1.5 flex gap-2">
		<button type="button" class="btn btn-primary min-h-[26px] px-2.5" use:focus onclick={onapply}>Apply</button>
		<button type="button" class="btn min-h-[26px] px-2.5" onclick={oncancel}>Cancel</button>
	</div>
</div>
