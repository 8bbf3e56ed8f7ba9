<script lang="ts">
	import { saidDay } from '$lib/core/client/saidDay';
	import { latestAnswers } from '$lib/core/client/answers';
	import type { Clearance } from '$lib/core/client/answer.schema';
	import type { Client, ClientChange } from '$lib/core/records/client';
	import { problemsOfClearance } from '$lib/core/screening/checkAnswer';
	import { flagById } from '$lib/core/screening/flags';
	import { isCleared } from '$lib/core/screening/limits';
	import Select from '../../parts/controls/Select.svelte';

	interface Props {
		client: Client;
		today: string;
		newId: () => string;
		onchange: (change: ClientChange) => void;
	}
	let { client, today, newId, onchange }: Props = $props();
	/** What wants a doctor's word, by her answers. */
	const wanting = $derived(
		[...latestAnswers(client.answers).values()].flatMap((answer) => {
			const flag = answer.says === 'no' ? undefined : flagById(answer.flag);
			return flag?.effects.some((e) => e.does === 'clearance') ? [flag] : [];
		})
	);
	let wished = $state<string | null>(null);
	const chosen = $derived(wanting.find((f) => f.id === wished) ?? wanting[0] ?? null);
	let by = $state('');
	let on = $state('');
	let until = $state('');
	let what = $state('');
	let trouble = $state('');
	function add() {
		if (!chosen) return;
		const clearance: Clearance = {
			id: newId(),
			flag: chosen.id,
			by: by.trim() || ' ',
			on: on || today,
			until: until || null,
			what: what.trim()
		};
		trouble = problemsOfClearance(clearance, today)[0]?.words ?? '';
		if (trouble) return;
		onchange(({ clearances }) => ({ clearances: [...clearances, clearance] }));
		[by, on, until, what] = ['', '', '', ''];
	}
</script>

<h3 class="mt-5 text-[13.5px] font-semibold">Doctor’s clearances</h3>
<ul class="border-hair border-t text-[13px] leading-[18px]" aria-label="Clearances">
	{#each client.clearances as clearance (clearance.id)}
		{@const holds = isCleared(clearance, today)}
		<li class="border-hair flex items-start gap-2 border-b py-1.5">
			<span class="min-w-0 flex-1"
				><b class="font-semibold">{flagById(clearance.flag)?.name ?? clearance.flag}</b>: {clearance.by}, {saidDay(clearance.on)}
				<span class="{holds ? 'text-ink2' : 'text-flag'} block"
					>{#if clearance.until}{holds ? 'until' : 'ran out on'} {saidDay(clearance.until)}{:else if holds}without an end{/if}{clearance.what
						? `; ${clearance.what}`
						: ''}</span
				></span
			>
			<button
				type="button"
				class="btn"
				aria-label="Take out the clearance for {flagById(clearance.flag)?.name ?? clearance.flag}"
				onclick={() => onchange(({ clearances }) => ({ clearances: clearances.filter((c) => c.id !== clearance.id) }))}>Take out</button
			>
		</li>
	{:else}<li class="text-ink2 py-2">None.</li>{/each}
</ul>
{#if chosen}
	<fieldset class="mt-3 space-y-2">
		<legend class="label">A new clearance</legend>
		<Select label="For" value={chosen.id} options={wanting.map((f) => ({ value: f.id, label: f.name }))} onchange={(id) => (wished = id)} />
		{#if chosen.ask}<p class="text-ink2 text-[12.5px] leading-[18px]"><b class="font-[560]">To ask:</b> {chosen.ask}</p>{/if}
		<div class="flex flex-wrap gap-2">
			<label class="block flex-1"
				><span class="label">By</span><input autocomplete="off" class="field w-full" maxlength="200" bind:value={by} /></label
			>
			<label class="block"
				><span class="label">Given on</span><input autocomplete="off" class="field" type="date" max={today} bind:value={on} /></label
			>
			<label class="block"
				><span class="label">Ends on</span><input autocomplete="off" class="field" type="date" bind:value={until} /></label
			>
		</div>
		<label class="block"
			><span class="label">For what</span><input autocomplete="off" class="field w-full" maxlength="2000" bind:value={what} /></label
		>
		{#if trouble}<p class="text-flag text-[12.5px]" role="alert">{trouble}</p>{/if}
		<button type="button" class="btn btn-primary" onclick={add}>Note the clearance</button>
	</fieldset>
{/if}
