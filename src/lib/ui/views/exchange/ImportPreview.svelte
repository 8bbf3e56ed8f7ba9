<script lang="ts">
	interface Row {
		readonly kind: string;
		readonly id: string;
		readonly title: string;
		readonly effect: 'added' | 'changed' | 'skipped';
	}
	interface Props {
		records: readonly Row[];
		/** Kept versions and things of the bin that would come along. */
		kept?: number;
		comparisons?: number;
		onapply: () => void;
		oncancel: () => void;
	}
	let { records, kept = 0, comparisons = 0, onapply, oncancel }: Props = $props();
	const EFFECTS = [
		{ effect: 'added', words: 'new here' },
		{ effect: 'changed', words: 'replace what is here; the present version is kept beside' },
		{ effect: 'skipped', words: 'the same as here' }
	] as const;
	const of = (effect: Row['effect']) => records.filter((r) => r.effect === effect);
	const worth = $derived(kept + comparisons > 0 || records.some((r) => r.effect !== 'skipped'));
</script>

<section class="border-edge bg-sheet rounded-xl border p-4" aria-label="What the file would do">
	<h3 class="text-[15px] font-semibold">This is what would happen</h3>
	{#each EFFECTS as { effect, words } (effect)}
		{@const list = of(effect)}
		{#if list.length}
			<details class="border-hair border-t py-1.5" open={effect === 'changed'}>
				<summary class="cursor-pointer"><b>{list.length} {effect}</b> <span class="text-ink2">{words}</span></summary>
				<ul class="text-ink2 max-h-44 overflow-y-auto pl-4">
					{#each list.slice(0, 200) as r (r.kind + r.id)}<li>
							{r.title} <span class="text-ink3">({r.kind})</span>
						</li>{/each}
					{#if list.length > 200}<li>and {list.length - 200} more</li>{/if}
				</ul>
			</details>
		{/if}
	{/each}
	{#if comparisons}<p class="border-hair border-t py-1.5">
			<b>{comparisons} {comparisons === 1 ? 'comparison' : 'comparisons'}</b>
			<span class="text-ink2">by the model that {comparisons === 1 ? 'is' : 'are'} not here yet</span>
		</p>{/if}
	{#if kept}<p class="border-hair border-t py-1.5">
			<b>{kept} kept</b> <span class="text-ink2">versions and removed sequences that are not here yet</span>
		</p>{/if}
	<div class="mt-3 flex gap-2">
		<button type="button" class="btn btn-primary" disabled={!worth} onclick={onapply}
			>{worth ? 'Bring it in' : 'Nothing to bring in'}</button
		>
		<button type="button" class="btn" onclick={oncancel}>Leave it</button>
	</div>
</section>
