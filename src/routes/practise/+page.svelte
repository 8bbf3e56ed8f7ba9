<script lang="ts">
	import { page } from '$app/state';
	import { DRILLS, DRILL_IDS, type DrillId } from '$lib/core/train/drills';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import { practiseAt } from '$lib/ui/parts/shell/addresses';
	import DirectionDrill from '$lib/ui/views/practise/DirectionDrill.svelte';
	import OrderDrill from '$lib/ui/views/practise/OrderDrill.svelte';
	import PaceDrill from '$lib/ui/views/practise/PaceDrill.svelte';
	import PointDrill from '$lib/ui/views/practise/PointDrill.svelte';
	import PressureDrill from '$lib/ui/views/practise/PressureDrill.svelte';
	import Rounds from '$lib/ui/views/practise/Rounds.svelte';
	import SidesDrill from '$lib/ui/views/practise/SidesDrill.svelte';
	import type { Round } from '$lib/ui/views/practise/round';

	const app = useApp();
	const COMPONENTS = {
		pressure: PressureDrill,
		pace: PaceDrill,
		order: OrderDrill,
		direction: DirectionDrill,
		sides: SidesDrill,
		point: PointDrill
	};
	const drill = $derived.by<DrillId>(() => {
		const wished = page.url.searchParams.get('drill');
		return DRILL_IDS.find((id) => id === wished) ?? 'pressure';
	});
	const Drill = $derived(COMPONENTS[drill]);
	const rounds = liveRows(
		() => drill,
		(id) => app.repo.roundsOf(id)
	);
	const keep = (round: Round) => void app.run(() => app.repo.saveRound({ drill, ...round }), 'practise');
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 md:grid-cols-[230px_minmax(0,1fr)]">
	<nav class="border-hair flex flex-wrap gap-x-2 px-3 py-2 md:flex-col md:flex-nowrap md:border-r md:pt-4" aria-label="Drills">
		<h1 class="flare w-full px-2 pb-2 text-[24px] leading-8 font-[520]">Practise</h1>
		{#each DRILL_IDS as id (id)}
			<a
				href={practiseAt(id)}
				aria-current={id === drill ? 'page' : undefined}
				class="rounded-xl px-2 py-2 leading-5 {id === drill ? 'bg-wash' : 'hover:bg-wash/50'}"
				><b class="font-semibold">{DRILLS[id].title}</b><span class="text-ink2 text-[13px] max-md:hidden"><br />{DRILLS[id].what}</span></a
			>
		{/each}
	</nav>
	<div class="flex min-h-0 flex-col overflow-y-auto">
		<div class="flex-1 px-5 pt-4 pb-6">
			<h2 class="flare text-[22px] leading-7 font-[520]">{DRILLS[drill].title}</h2>
			<p class="text-ink2 mb-3">{DRILLS[drill].what}</p>
			<Drill onround={keep} />
		</div>
		<Awaited of={rounds.current} what="Your rounds">{#snippet children(rows)}<Rounds {drill} rounds={rows} />{/snippet}</Awaited>
	</div>
</div>
