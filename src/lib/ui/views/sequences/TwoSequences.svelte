<script lang="ts">
	import { compareAt, composeAt, tideOf } from '$lib/ui/parts/shell/addresses';
	import { goto } from '$app/navigation';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import { sideBySide } from '$lib/core/sideBySide/sideBySide';
	import { LEVEL_NAMES, LEVELS } from '$lib/core/step/levels';
	import { clock } from '$lib/core/step/describe';
	import { useApp } from '$lib/state/app.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import Ripples from '$lib/ui/parts/glyphs/Ripples.svelte';
	import ZoneBars from '$lib/ui/views/sequences/ZoneBars.svelte';
	import MiniScore from '$lib/ui/parts/score/MiniScore.svelte';

	const app = useApp();
	interface Props {
		stored: readonly SequenceRecord[];
		/** Ids of the two that are asked for. */
		asked: Readonly<Record<'a' | 'b', string | null>>;
	}
	let { stored, asked }: Props = $props();
	const of = (name: 'a' | 'b', at: number) => stored.find((s) => s.id === asked[name])?.sequence ?? stored[at]?.sequence ?? null;
	const first = $derived(of('a', 0));
	const second = $derived(of('b', 1));
	const comparison = $derived(first && second ? sideBySide(first, second, app.context) : null);
	const options = $derived(stored.map((s) => ({ value: s.id, label: s.sequence.title })));
	const choose = (a: string, b: string) => goto(compareAt(a, b), { replaceState: true, noScroll: true, keepFocus: true });
	const longest = $derived(Math.max(1, ...(comparison?.figures.map((f) => f.seconds) ?? [])));
	let room = $state(1240);
	/** Both scores on one time axis. */
	const widthOf = (seconds: number) => Math.max(160, (seconds / longest) * room);
	const KIND = { added: 'new', removed: 'gone', moved: 'moved', changed: 'changed' } as const;
	const ROWS = $derived(
		comparison
			? ([
					['Time', ...comparison.figures.map((f) => clock(f.seconds))],
					['Steps', ...comparison.figures.map((f) => String(f.steps))],
					['Client’s left, right', ...comparison.figures.map((f) => `${clock(f.leftSeconds)}, ${clock(f.rightSeconds)}`)],
					[
						'Findings: stop, caution, advice',
						...comparison.figures.map((f) => `${f.findings.stop}, ${f.findings.caution}, ${f.findings.advice}`)
					]
				] as const)
			: []
	);
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="flex flex-wrap items-center gap-3 py-3">
		<h1 class="flex-1 text-xl font-[520]">Two sequences side by side</h1>
		{#if first && second}<a class="btn" href={tideOf([first.id, second.id])}>Compare their tide</a>{/if}
		<a class="btn" href="/compose">All sequences</a>
	</div>
	{#if comparison && first && second}
		<div bind:clientWidth={room}>
			{#each [{ name: 'First', sequence: first, at: 0 as const }, { name: 'Second', sequence: second, at: 1 as const }] as { name, sequence, at } (name)}
				{@const figures = comparison.figures[at]}
				<section class="border-hair bg-sheet -mx-4 border-t px-4 pt-2" aria-label="{name}: {sequence.title}">
					<div class="flex flex-wrap items-center gap-3">
						<Select
							label="{name} sequence"
							value={sequence.id}
							{options}
							onchange={(id) => (at === 0 ? choose(id, second.id) : choose(first.id, id))}
						/>
						<a class="dotted text-xs" href={composeAt(sequence.id)}>open</a>
						<span class="text-ink2 text-xs">{sequence.school.title.toLowerCase()}, {clock(figures.seconds)}</span>
					</div>
					<MiniScore
						events={figures.judgement.events}
						byId={figures.judgement.context.byId}
						width={widthOf(figures.seconds)}
						size="horizon"
						label="Score of {sequence.title}"
					/>
				</section>
			{/each}
		</div>
		<div class="border-hair -mx-4 grid gap-x-10 gap-y-6 border-t px-4 pt-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_minmax(0,1.1fr)]">
			<section aria-label="Figures">
				<h2 class="pb-1 text-[13.5px] font-semibold">In figures</h2>
				<table class="w-full text-xs">
					<thead class="text-ink3 text-[11px]"
						><tr
							><th class="text-left font-normal"></th><th class="text-right font-normal">First</th><th class="text-right font-normal"
								>Second</th
							></tr
						></thead
					>
					<tbody>
						{#each ROWS as [name, a, b] (name)}
							<tr class="border-hair border-t"
								><th scope="row" class="py-1 text-left font-normal">{name}</th><td class="text-right">{a}</td><td class="text-right">{b}</td
								></tr
							>
						{/each}
						{#each LEVELS as level (level)}
							<tr class="border-hair border-t"
								><th scope="row" class="flex items-center gap-2 py-1 text-left font-normal"
									><span class="w-6"><Ripples {level} size={22} /></span>{LEVEL_NAMES[level]}</th
								>{#each comparison.figures as f, i (i)}<td class="text-right">{clock(f.levelSeconds[level])}</td>{/each}</tr
							>
						{/each}
					</tbody>
				</table>
			</section>
			<section aria-label="Time per zone">
				<h2 class="pb-1 text-[13.5px] font-semibold">Where the time goes</h2>
				<ZoneBars zones={comparison.zones} names={['first', 'second']} />
			</section>
			<section aria-label="Difference in words">
				<h2 class="pb-1 text-[13.5px] font-semibold">In words: what the second does otherwise</h2>
				<ul class="text-xs leading-[18px]">
					{#each comparison.head as line (line)}<li class="border-hair border-t py-0.5">{line}</li>{/each}
					{#each comparison.steps as d, i (i)}
						<li class="border-hair border-t py-0.5">
							<b class="font-semibold">{d.number}</b> <span class="text-ink3">{KIND[d.kind]}</span>
							{d.text}
						</li>
					{/each}
					{#if !comparison.head.length && !comparison.steps.length}<li class="text-ink2">Both are the same.</li>{/if}
				</ul>
			</section>
		</div>
	{:else}
		<p class="text-ink2 py-8">Two sequences are needed for this; there {stored.length === 1 ? 'is one' : 'are none'} yet.</p>
	{/if}
</div>
