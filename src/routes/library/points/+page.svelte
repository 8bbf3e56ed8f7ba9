<script lang="ts">
	import { moveAt } from '$lib/ui/parts/shell/addresses';
	import { ZONES } from '$lib/core/atlas/zones';
	import type { PointCode } from '$lib/core/point/codes';
	import { pointByCode, POINTS } from '$lib/core/point/points';
	import { useTechniques } from '$lib/state/techniques.svelte';
	import PointMap from '$lib/ui/views/library/PointMap.svelte';

	const library = useTechniques();
	let code = $state<PointCode>('LI20');
	const point = $derived(pointByCode(code));
	let wish = $state('');
	const found = $derived(
		POINTS.filter((p) => {
			const text = `${p.code} ${p.name} ${ZONES[p.zone].label} ${p.tradition} ${p.find}`.toLowerCase();
			return wish
				.toLowerCase()
				.split(/\s+/)
				.every((w) => text.includes(w));
		})
	);
	const moves = $derived(library.all.filter((t) => t.point === code));
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_380px]">
	<h1 class="sr-only">Pressure points</h1>
	<div class="min-h-72 lg:min-h-0"><PointMap view="front" points={POINTS} openCode={code} onopen={(c) => (code = c)} /></div>
	<div class="border-hair min-h-72 lg:min-h-0 lg:border-x">
		<PointMap view="profile" points={POINTS} openCode={code} onopen={(c) => (code = c)} />
	</div>
	<aside class="flex min-h-0 flex-col overflow-y-auto px-4 pt-3 pb-6" aria-label="The point">
		<h2 class="flare text-[26px] leading-8 font-[480]">{point.code} <span class="text-[18px]">{point.name}</span></h2>
		<p class="water text-ink2">{ZONES[point.zone].label}{point.midline ? ', on the midline' : ', on both sides'}</p>
		<p class="mt-2 text-[13.5px] leading-5">{point.find}</p>
		<p class="mt-2"><b class="border-point text-point rounded border px-1.5 py-px text-[11px]">tradition</b> held for: {point.tradition}</p>
		{#if moves.length}
			<p class="mt-2">
				{#each moves as t, i (t.id)}{i ? ', ' : 'Move: '}<a class="dotted" href={moveAt(t.id)}>{t.title}</a>{/each}
			</p>
		{/if}
		<p class="text-ink2 border-hair mt-3 border-t pt-2 text-xs leading-4">
			That a point does what it is held for is tradition, not evidence. Press on the out-breath, as far as it is pleasant, for one to three
			breaths; by tradition some are left out in pregnancy. Never press the eyeball, the windpipe, or both sides of the neck at once.
		</p>
		<input
			autocomplete="off"
			type="search"
			class="field mt-3"
			aria-label="Find a point"
			placeholder="a name, a place, what it is held for"
			bind:value={wish}
		/>
		<ul class="border-hair mt-2 border-t" aria-label="All points">
			{#each found as p (p.code)}
				<li>
					<button
						type="button"
						class="border-hair hover:bg-wash/50 grid min-h-11 w-full grid-cols-[64px_minmax(0,1fr)] items-center gap-2 border-b py-1 text-left {p.code ===
						code
							? 'bg-wash font-[530]'
							: ''}"
						aria-pressed={p.code === code}
						onclick={() => (code = p.code)}
					>
						<b class="font-semibold">{p.code}</b>
						<span>{p.name}<span class="text-ink2 block text-[11.5px]">{ZONES[p.zone].label}; {p.tradition}</span></span>
					</button>
				</li>
			{:else}<li class="text-ink2 py-3">No point is called, lies or is held for so.</li>{/each}
		</ul>
	</aside>
</div>
