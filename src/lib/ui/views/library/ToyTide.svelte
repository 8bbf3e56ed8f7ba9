<script lang="ts">
	import { TOY_CLOSED_NOTE, TOY_DEEP_NOTE } from '$lib/core/flow/explanation';
	import { toyRun, toyWords, TOY_CAPACITY, type ToyRow } from '$lib/core/flow/toy';
	import { clock } from '$lib/core/step/describe';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import ToyCurves from './ToyCurves.svelte';

	let open = $state(true);
	let deep = $state(false);
	let along = $state(true);
	const rows = $derived(toyRun({ open, deep, along }));
	let at = $state(40);
	const now = $derived(rows[Math.min(at, rows.length - 1)]!);
	const phase = $derived(now.seconds <= 20 ? (open ? 'opening' : 'hands at rest') : now.seconds <= 110 ? 'stroking' : 'afterwards');

	const PARTS = [
		{ key: 'cheekMl', name: 'cheek', x: 14, width: 86 },
		{ key: 'jawMl', name: 'jaw', x: 128, width: 76 },
		{ key: 'nodeMl', name: 'nodes', x: 244, width: 40 },
		{ key: 'outletMl', name: 'outlet', x: 322, width: 46 }
	] as const;
	const FOOT = 150;
	const TALL = 104;
	const level = (key: (typeof PARTS)[number]['key'], row: ToyRow) => Math.min(TALL, (TALL * row[key]) / TOY_CAPACITY[key]);
	/** Water with a moving surface. */
	const water = (x: number, w: number, h: number) => {
		const y = FOOT - h;
		const q = w / 4;
		return `M${x} ${FOOT}V${y}q${q / 2} -3 ${q} 0t${q} 0t${q} 0t${q} 0V${FOOT}Z`;
	};
</script>

<section class="bg-sheet border-hair rounded-xl border p-4" aria-label="A small model to play with">
	<h2 class="flare text-[17px] font-[520]">Try it on two zones</h2>
	<div class="flex flex-wrap gap-2 pt-2">
		<Segmented
			label="The outlet"
			value={open ? 'open' : 'closed'}
			options={[
				{ value: 'open', label: 'Opened first' },
				{ value: 'closed', label: 'Left closed' }
			]}
			onchange={(v) => (open = v === 'open')}
		/>
		<Segmented
			label="Pressure"
			value={deep ? 'deep' : 'light'}
			options={[
				{ value: 'light', label: 'Light' },
				{ value: 'deep', label: 'Deep' }
			]}
			onchange={(v) => (deep = v === 'deep')}
		/>
		<Segmented
			label="Direction"
			value={along ? 'with' : 'against'}
			options={[
				{ value: 'with', label: 'With the drainage' },
				{ value: 'against', label: 'Against it' }
			]}
			onchange={(v) => (along = v === 'with')}
		/>
	</div>
	{#if deep || !open}
		<p class="text-ink2 pt-2 text-xs leading-4" data-toy-note>
			{deep ? TOY_DEEP_NOTE : ''}
			{open ? '' : TOY_CLOSED_NOTE}
		</p>
	{/if}
	<svg
		viewBox="0 28 424 158"
		class="mt-2 w-full max-w-[560px]"
		role="img"
		aria-label="At {clock(now.seconds)}: {toyWords(rows.slice(0, at + 1))}"
	>
		{#each PARTS as p, i (p.key)}
			{@const node = i > 1}
			<path
				d={water(p.x, p.width, level(p.key, now))}
				fill="var(--drainfill)"
				stroke="var(--drain)"
				stroke-width="1.3"
				data-level={p.key}
			/>
			<path d="M{p.x} {FOOT - level(p.key, rows[0]!)}h{p.width}" stroke="var(--ink2)" stroke-width="1.1" stroke-dasharray="1 3" />
			<path
				d="M{p.x} {FOOT - TALL - 8}V{FOOT}H{p.x + p.width}V{FOOT - TALL - 8}"
				fill="none"
				stroke={node ? 'var(--open)' : 'var(--ink)'}
				stroke-width={node ? 1 + 2.4 * now.open : 1.4}
				stroke-linejoin="round"
			/>
			<text x={p.x + p.width / 2} y={FOOT + 16} class="name">{p.name}</text>
			<text x={p.x + p.width / 2} y={FOOT + 30} class="figure">{now[p.key].toFixed(2)} ml</text>
			{#if i < 3}
				{@const next = PARTS[i + 1]!}
				{@const back = !along && i === 0}
				{#if along || i === 0}
					<path
						d={back
							? `M${next.x - 3} ${FOOT - 60}H${p.x + p.width + 6}m5 -4l-5 4l5 4`
							: `M${p.x + p.width + 3} ${FOOT - 60}H${next.x - 6}m-5 -4l5 4l-5 4`}
						fill="none"
						stroke={phase === 'stroking' ? 'var(--brush)' : 'var(--route)'}
						stroke-width={phase === 'stroking' ? (deep ? 4 : 2.4) : 1.2}
						stroke-linecap="round"
					/>
				{/if}
			{/if}
		{/each}
		<text x="420" y="74" class="name last">veins</text>
		<text x="420" y="88" class="figure last">{now.returnedMl.toFixed(2)}</text>
	</svg>
	<label class="flex items-center gap-3 text-xs"
		><span class="text-ink2 w-32">{clock(now.seconds)} · {phase}</span>
		<input
			type="range"
			class="slider flex-1"
			min="0"
			max={rows.length - 1}
			step="1"
			bind:value={at}
			aria-label="Moment in the small model"
		/></label
	>
	<ToyCurves {rows} at={now.seconds} />
	<p class="pt-1 text-[13px] leading-5" role="status">{toyWords(rows)}</p>
</section>

<style>
	.name {
		font-size: 12px;
		font-style: oblique 12deg;
		fill: var(--ink);
		text-anchor: middle;
	}
	.figure {
		font-size: 11px;
		fill: var(--ink2);
		text-anchor: middle;
	}
	.slider {
		min-height: 24px;
	}
	.last {
		text-anchor: end;
	}
</style>
