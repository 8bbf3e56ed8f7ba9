<script lang="ts">
	import { dayOfYear } from '../../parts/dates';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Comparison } from '$lib/core/records/comparison';
	import { CORE_VERSION } from '$lib/core/version';
	import TipButton from '../../parts/controls/TipButton.svelte';

	interface Props {
		saved: readonly Comparison[];
		busy: boolean;
		/** What came of repeating one, by its id. */
		repeated: Readonly<Record<string, string>>;
		onshow: (comparison: Comparison) => void;
		onrepeat: (comparison: Comparison) => void;
		ondiscard: (id: string) => void;
	}
	let { saved, busy, repeated, onshow, onrepeat, ondiscard }: Props = $props();
</script>

{#if saved.length}
	<section class="border-hair mt-5 border-t pt-2" aria-label="Saved comparisons">
		<h2 class="text-[13.5px] font-semibold">Saved</h2>
		<ul>
			{#each saved as c (c.id)}
				<li class="border-hair border-b py-1.5 text-xs leading-4" data-saved={c.id}>
					<div class="flex items-start gap-1">
						<p class="min-w-0 flex-1">
							<b class="font-semibold">{c.title}</b><br /><span class="text-ink2"
								>{dayOfYear(c.updatedAt)}, {c.input.draws.toLocaleString('en')} faces, seed {c.input.seed}, core {c.core}{c.core ===
								CORE_VERSION
									? ''
									: ` (now ${CORE_VERSION})`}</span
							>
						</p>
						<TipButton tip="Delete this comparison" onclick={() => ondiscard(c.id)}><Trash2 size={14} /></TipButton>
					</div>
					<span class="flex gap-3">
						<button type="button" class="dotted min-h-6" onclick={() => onshow(c)}>Show</button>
						<button type="button" class="dotted min-h-6" disabled={busy} onclick={() => onrepeat(c)}>Repeat exactly</button>
					</span>
					{#if repeated[c.id]}<p class="text-ink2" role="status">{repeated[c.id]}</p>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
