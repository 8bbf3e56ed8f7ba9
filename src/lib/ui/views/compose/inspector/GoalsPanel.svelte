<script lang="ts">
	import { measureWords } from '$lib/core/goal/measureWords';
	import X from '@lucide/svelte/icons/x';
	import { ZONES } from '$lib/core/atlas/zones';
	import { coverageOf } from '$lib/core/goal/coverage';
	import { GOAL_IDS, goalInfo, type GoalId } from '$lib/core/goal/goals';
	import { setHead } from '$lib/core/sequence/edits';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import TipButton from '../../../parts/controls/TipButton.svelte';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const goals = $derived(draft.sequence.goals);
	const coverage = $derived(coverageOf(draft.sequence, draft.judgement.events, draft.context.working));
	const left = $derived(GOAL_IDS.filter((id) => !goals.some((g) => g.id === id)));
	const set = (next: typeof goals, label: string) => draft.do(setHead(draft.sequence, { goals: next }, label));
	const add = (id: GoalId | 'none') => id !== 'none' && set([...goals, { id, weight: 1 }], `Aim at ${goalInfo(id).label.toLowerCase()}`);
	const drop = (id: GoalId) =>
		set(
			goals.filter((g) => g.id !== id),
			`Drop the goal ${goalInfo(id).label.toLowerCase()}`
		);
	const WHEN = { morning: 'In the morning', evening: 'In the evening', any: 'At any hour' } as const;
	const WEIGHTS = [
		{ value: '1', label: 'full weight' },
		{ value: '0.5', label: 'half' },
		{ value: '0.25', label: 'a little' },
		{ value: '0', label: 'no weight' }
	];
	/** A file may hold a weight that is none of these. */
	const weightsWith = (weight: number) =>
		WEIGHTS.some((w) => Number(w.value) === weight) ? WEIGHTS : [{ value: String(weight), label: `weight ${weight}` }, ...WEIGHTS];
	const weigh = (id: GoalId, weight: number) =>
		set(
			goals.map((g) => (g.id === id ? { ...g, weight } : g)),
			`Weigh ${goalInfo(id).label.toLowerCase()}`
		);
	const weightless = $derived(goals.length > 0 && goals.every((g) => g.weight === 0));
	const seconds = (light: number, deep: number) =>
		[light >= 0.5 ? `${Math.round(light)} s light` : '', deep >= 0.5 ? `${Math.round(deep)} s deep` : ''].filter(Boolean).join(', ');
</script>

{#each coverage as c (c.goal)}
	<section class="pb-1.5" aria-label={goalInfo(c.goal).label}>
		<div class="flex items-center gap-2">
			<b class="flex-1 font-semibold">{goalInfo(c.goal).label}</b>
			<span class="text-ink2 text-xs">{Math.round(c.share * 100)} % served</span>
			<Select
				label="Weight of {goalInfo(c.goal).label.toLowerCase()}"
				value={String(goals.find((g) => g.id === c.goal)?.weight ?? 1)}
				options={weightsWith(goals.find((g) => g.id === c.goal)?.weight ?? 1)}
				onchange={(w) => weigh(c.goal, Number(w))}
			/>
			<TipButton tip="Drop the goal {goalInfo(c.goal).label.toLowerCase()}" class="icon-btn h-6 w-6" onclick={() => drop(c.goal)}
				><X size={13} /></TipButton
			>
		</div>
		<div class="bg-sand my-1 h-1.5 overflow-hidden rounded-full" aria-hidden="true">
			<div class="bg-drain h-full" style="width: {c.share * 100}%"></div>
		</div>
		<ul class="text-xs leading-[18px]">
			{#each c.rows.slice(0, 5) as r (r.aim + r.zone)}
				<li class="flex items-center gap-1.5 {r.doses ? '' : 'text-ink2'}">
					<AimGlyph aim={r.aim} size={13} /><span class="sr-only">{AIMS[r.aim]}</span><span class="water flex-1">{ZONES[r.zone].label}</span
					>
					<span>{r.doses ? seconds(r.lightSeconds, r.deepSeconds) : 'nothing yet'}</span>
				</li>
			{/each}
		</ul>
		<p class="text-ink3 pt-0.5 text-[11.5px] leading-[15px]">
			{goalInfo(c.goal).claim} Measure {measureWords(goalInfo(c.goal).measure)}. {WHEN[goalInfo(c.goal).timeOfDay]}, {goalInfo(c.goal)
				.perWeek} times a week.
			<a class="dotted" href="/library?goal={c.goal}">Moves that serve it</a>
		</p>
	</section>
{/each}
{#if weightless}
	<p class="text-flag pb-1.5 text-xs leading-4" role="status">
		All goals have no weight, so no move is worth more than another when time is short. Give one of them some weight, or drop them.
	</p>
{/if}
<Select
	label="Add a goal"
	value="none"
	options={[
		{ value: 'none', label: goals.length ? 'One more goal' : 'Choose a goal' },
		...left.map((id) => ({ value: id, label: goalInfo(id).label }))
	]}
	onchange={add}
/>
