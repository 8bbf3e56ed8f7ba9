<script lang="ts">
	import type { MeasuredView } from '$lib/core/measure/landmarks';
	import { PAIR_MEASURES_OF, pairMeasure, type PairMeasureId } from '$lib/core/measure/pairIds';

	interface Props {
		view: MeasuredView;
		chosen: readonly PairMeasureId[];
		ondeclare: (ids: readonly PairMeasureId[]) => void;
	}
	let { view, chosen, ondeclare }: Props = $props();
	const MOST = 4;
	let wished = $state.raw<readonly PairMeasureId[] | null>(null);
	const now = $derived(wished ?? chosen);
	const toggle = (id: PairMeasureId) => (wished = now.includes(id) ? now.filter((n) => n !== id) : [...now, id].slice(-MOST));
</script>

<!-- Who looks at everything finds something by chance: what it is about is said first. -->
<form
	class="space-y-2"
	onsubmit={(e) => {
		e.preventDefault();
		ondeclare(now);
	}}
>
	<h2 class="text-[13.5px] font-semibold">What is it about?</h2>
	<p class="text-ink2 text-[12.5px] leading-4">
		Choose one to four before you look. They are held against chance among themselves; all others only together, which asks for more.
	</p>
	<div class="columns-1 gap-x-4 text-[12.5px] sm:columns-2">
		{#each PAIR_MEASURES_OF[view] as id (id)}<label class="flex min-h-7 items-center gap-2"
				><input type="checkbox" checked={now.includes(id)} onchange={() => toggle(id)} />{pairMeasure(id).label}</label
			>{/each}
	</div>
	<div class="flex flex-wrap gap-2">
		<button class="btn btn-primary" type="submit" disabled={!now.length}>Look at {now.length === 1 ? 'this' : `these ${now.length}`}</button
		>
		<button class="btn" type="button" onclick={() => ondeclare([])}>Look at all, undeclared</button>
	</div>
</form>
