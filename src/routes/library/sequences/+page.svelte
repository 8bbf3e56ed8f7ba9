<script lang="ts">
	import { byTwoSchools, composeAt, readAt } from '$lib/ui/parts/shell/addresses';
	import { goto } from '$app/navigation';
	import { GOAL_IDS, GOALS, type GoalId } from '$lib/core/goal/goals';
	import { judge } from '$lib/core/rules/judge';
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { isOfClient } from '$lib/core/rules/rule';
	import type { ReadyFilter } from '$lib/core/search/readySearch';
	import { TOOLS, type ToolId } from '$lib/core/vocabulary/vocabulary';
	import { clock } from '$lib/core/step/describe';
	import { expand } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { SCHOOLS } from '$lib/core/school/schools';
	import { useApp } from '$lib/state/app.svelte';
	import { startCopy } from '$lib/state/startCopy';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import MiniScore from '$lib/ui/parts/score/MiniScore.svelte';

	const app = useApp();
	let toolsOf: (s: Sequence) => ReadonlySet<ToolId> = () => new Set();
	const ready = Promise.all([import('$lib/core/template/templates'), import('$lib/core/search/readySearch')]).then(
		([{ TEMPLATES }, search]) => {
			toolsOf = search.toolsOf;
			return search.readyIndex(TEMPLATES);
		}
	);
	/** Whether a ready sequence fits who is up next. */
	const client = $derived(app.current.client);
	const facts = $derived(factsOf(client, app.today.current));
	const limited = $derived((facts?.limits.length ?? 0) > 0);
	function fitWords(sequence: Sequence): string {
		const found = judge(sequence, { ...app.context, client: facts }).findings.filter(isOfClient);
		if (found.some((f) => f.ruleId === 'client-refer')) return `not for ${client!.name} today`;
		const steps = new Set(found.flatMap((f) => f.stepIds)).size;
		if (!found.length) return `fits ${client!.name}`;
		return steps ? `${steps} ${steps === 1 ? 'step' : 'steps'} to change for ${client!.name}` : `not as it is for ${client!.name}`;
	}
	let words = $state('');
	let school = $state('any');
	let goal = $state<GoalId | 'any'>('any');
	let tool = $state<ReadyFilter['tool']>('any');
	let most = $state('any');
	let performer = $state<ReadyFilter['performer']>('any');
	const GOAL_OPTIONS = [{ value: 'any' as const, label: 'any goal' }, ...GOAL_IDS.map((value) => ({ value, label: GOALS[value].label }))];
	const SCHOOL_OPTIONS = [{ value: 'any', label: 'any school' }, ...SCHOOLS.map((s) => ({ value: s.id, label: s.title }))];
	const TOOL_OPTIONS = [
		{ value: 'any' as const, label: 'any tool' },
		{ value: 'hands' as const, label: 'Hands only' },
		...(Object.keys(TOOLS) as ToolId[]).filter((t) => t !== 'cloth' && t !== 'gloves').map((value) => ({ value, label: TOOLS[value] }))
	];
	const MINUTE_OPTIONS = [
		{ value: 'any', label: 'any length' },
		...['5', '10', '15'].map((value) => ({ value, label: `up to ${value} min` }))
	];
	const FOR_OPTIONS = [
		{ value: 'any' as const, label: 'for anybody' },
		{ value: 'client' as const, label: 'For a client' },
		{ value: 'self' as const, label: 'For oneself' }
	];
	let room = $state(520);

	const PAD = 64;
	/** All miniatures share one clock: half an hour fills the room. */
	const widthOf = (seconds: number) => Math.max(70, (seconds / 1800) * (room - PAD));
	const filter = $derived<ReadyFilter>({ words, school, goal, tool, minutes: most === 'any' ? 'any' : Number(most), performer });
	const clear = () => {
		words = '';
		school = goal = tool = most = performer = 'any';
	};
	async function begin(sequence: Sequence) {
		const id = await app.run(() => startCopy(app.repo, sequence));
		if (id) await goto(composeAt(id));
	}
	const toolWords = (s: Sequence) => [...toolsOf(s)].map((t) => TOOLS[t].toLowerCase()).join(', ') || 'by hand';
</script>

<section class="min-h-0 flex-1 overflow-y-auto px-4 pb-8" aria-label="Ready sequences">
	<div class="flex flex-wrap items-center gap-2 py-2">
		<h1 class="sr-only">Ready sequences</h1>
		<input
			autocomplete="off"
			type="search"
			class="field w-56"
			aria-label="Find a ready sequence"
			placeholder="puffy eyes, jaw, evening"
			bind:value={words}
		/>
		<Select label="Goal" value={goal} options={GOAL_OPTIONS} onchange={(v) => (goal = v)} />
		<Select label="School" value={school} options={SCHOOL_OPTIONS} onchange={(v) => (school = v)} />
		<Select label="Tool" value={tool} options={TOOL_OPTIONS} onchange={(v) => (tool = v)} />
		<Select label="Minutes" value={most} options={MINUTE_OPTIONS} onchange={(v) => (most = v)} />
		<Select label="For" value={performer} options={FOR_OPTIONS} onchange={(v) => (performer = v)} />
		<span class="text-ink2 text-xs">Drawn on one clock. Each passes its own school; yours begins as a copy.</span>
	</div>
	<div class="cols clock text-ink2 text-[11px]" aria-hidden="true">
		<span></span>
		<span class="relative block h-4">
			{#each [0, 5, 10, 15, 20, 25, 30] as m (m)}<span
					class="absolute -translate-x-1/2 whitespace-nowrap"
					style="left: {12 + (m * 60 * (room - PAD)) / 1800}px">{m || '0 min'}</span
				>{/each}
		</span>
	</div>
	{#await ready}
		<p class="text-ink2 py-6" role="status">Opening the sequences …</p>
	{:then list}
		<ul class="border-hair border-t">
			{#each list(filter) as sequence (sequence.id)}
				{@const events = expand(sequence, app.context)}
				{@const seconds = events.at(-1)?.endSeconds ?? 0}
				{@const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]))}
				<li class="cols border-hair hover:bg-wash/40 items-center border-b py-0.5" data-ready={sequence.id}>
					<div class="min-w-0">
						<h2 class="truncate text-[13.5px] font-[560]" title={sequence.notes}>{sequence.title}</h2>
						{#if client && limited}<p class="truncate text-xs" data-fit>{fitWords(sequence)}</p>{/if}
						<p class="text-ink2 text-xs leading-4">{sequence.goals.map((g) => GOALS[g.id].label.toLowerCase()).join(', ')}</p>
					</div>
					<div class="flex min-w-0 items-center gap-2 max-md:hidden" bind:clientWidth={room}>
						<MiniScore {events} {byId} width={widthOf(seconds)} label="Score of {sequence.title}" />
						<b class="font-semibold">{clock(seconds)}</b>
					</div>
					<p class="text-ink2 text-xs leading-4 max-md:hidden">
						{sequence.school.title.toLowerCase()}<br />{toolWords(sequence)}, {sequence.performer === 'self'
							? 'on oneself'
							: 'for a client'}
					</p>
					<div class="flex gap-2">
						<button type="button" class="btn" aria-label="Start a copy of {sequence.title}" onclick={() => begin(sequence)}
							>Start a copy</button
						>
						<a class="btn max-lg:hidden" href={readAt(sequence.id)} aria-label="Read through {sequence.title}">Read through</a>
						<a class="btn max-lg:hidden" href={byTwoSchools({ sequence: sequence.id })} aria-label="Judge {sequence.title} by two schools"
							>Two schools</a
						>
					</div>
				</li>
			{:else}
				<li class="text-ink2 py-6">
					No ready sequence has all of this. Fewer words, more minutes or another school may help.
					<button type="button" class="dotted" onclick={clear}>Show all again</button>
				</li>
			{/each}
		</ul>
	{/await}
</section>

<style>
	.cols {
		display: grid;
		grid-template-columns: 240px minmax(0, 1fr) 150px auto;
		gap: 16px;
	}
	@media (max-width: 1023px) {
		.cols {
			grid-template-columns: 200px minmax(0, 1fr) 130px auto;
		}
	}
	@media (max-width: 767px) {
		.cols {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		.clock {
			display: none;
		}
	}
</style>
