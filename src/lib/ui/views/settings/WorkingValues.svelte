<script lang="ts">
	import { DEFAULT_WORKING } from '$lib/core/working/defaultWorking';
	import type { Working } from '$lib/core/working/working.schema';
	import type { WorkingGroup } from '$lib/core/working/value';
	import { changedValues, valueOf, withWorkingValue, workingGroups, type WorkingValue } from '$lib/core/working/workingValues';
	import ValueField from './ValueField.svelte';
	import ValueGauge from './ValueGauge.svelte';

	interface Props {
		working: Working;
		/** Makes those that are stored into others. */
		onchange: (change: (stored: Working) => Working) => void;
	}
	let { working, onchange }: Props = $props();
	const GROUPS = workingGroups();
	let open = $state<WorkingGroup>('pressure');
	let trouble = $state<{ name: string; message: string } | null>(null);
	const changed = $derived(changedValues(working));
	const count = (id: WorkingGroup) => changed.filter((v) => v.group === id).length;

	/** Values that are said together stand in one line: least, usual and most of a dose. */
	interface Line {
		readonly key: string;
		readonly label: string;
		readonly values: readonly WorkingValue[];
	}
	const lines = $derived.by<Line[]>(() => {
		const found = new Map<string, WorkingValue[]>();
		for (const value of GROUPS.find((g) => g.id === open)!.values) {
			const key = open === 'usual' ? value.keys.slice(0, -1).join('.') : value.name;
			found.set(key, [...(found.get(key) ?? []), value]);
		}
		return [...found].map(([key, values]) => ({
			key,
			values,
			label: values.length > 1 ? values[0]!.label.replace(/, least$/, '') : values[0]!.label
		}));
	});

	function set(value: WorkingValue, number: number) {
		const next = withWorkingValue(working, value, number);
		trouble = next.ok ? null : { name: value.name, message: next.message };
		if (!next.ok) return;
		// On top of what is stored by then: another window may have set another one.
		onchange((stored) => {
			const put = withWorkingValue(stored, value, number);
			return put.ok ? put.working : stored;
		});
	}
	/** The values of a line, one after the other, as they ship. */
	function reset(line: Line) {
		trouble = null;
		onchange((stored) => {
			let next = stored;
			// In an order in which each step is allowed: from the top down, then from the bottom up.
			for (const value of [...line.values].reverse().concat(line.values)) {
				const put = withWorkingValue(next, value, value.shipped);
				if (put.ok) next = put.working;
			}
			return next;
		});
	}
	const isChanged = (line: Line) => line.values.some((v) => valueOf(working, v.keys) !== v.shipped);
	const shippedText = (line: Line) => line.values.map((v) => v.shipped).join(' · ');
	const saying = ({ values: [v] }: Line) => `${v!.meaning}${v!.bound ? ` Set ${v!.bound}.` : ''}`;
	/** What holds for a run of values is said once, at the first of them. */
	const said = (line: Line, i: number) => (i > 0 && saying(lines[i - 1]!) === saying(line) ? '' : saying(line));
</script>

<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
	<h2 class="text-[15px] font-semibold">Working values</h2>
	<p class="text-ink2 min-w-[280px] flex-1 leading-[18px]">
		The numbers that everything here is calculated with. They are defaults, none of them measured truth: set them as you work. Bounds of
		eye, throat and neck can be drawn tighter, never looser.
	</p>
	<button type="button" class="btn" disabled={!changed.length} onclick={() => ((trouble = null), onchange(() => DEFAULT_WORKING))}
		>{changed.length ? `All as shipped (${changed.length} changed)` : 'All are as shipped'}</button
	>
</div>
<div class="mt-3 grid grid-cols-1 gap-x-8 md:grid-cols-[210px_minmax(0,1fr)]">
	<ul class="h-fit max-md:flex max-md:flex-wrap" aria-label="Groups of values">
		{#each GROUPS as group (group.id)}
			<li>
				<button
					type="button"
					class="flex min-h-8 w-full items-center justify-between gap-3 rounded-md px-2 text-left {open === group.id
						? 'bg-wash font-semibold'
						: 'hover:bg-wash/50'}"
					aria-current={open === group.id ? 'true' : undefined}
					onclick={() => ((open = group.id), (trouble = null))}
					><span>{group.label}</span>{#if count(group.id)}<span class="text-ink2 text-xs font-normal"
							>{count(group.id)}<span class="sr-only"> changed</span></span
						>{/if}</button
				>
			</li>
		{/each}
	</ul>
	<div>
		{#if open === 'usual'}
			<p class="text-ink3 flex justify-end gap-1.5 pr-[238px] pb-1 text-right text-[11.5px] max-md:hidden" aria-hidden="true">
				<span class="w-[74px]">least</span><span class="w-[74px]">usual</span><span class="w-[74px]">most, a side</span>
			</p>
		{/if}
		<ul class="border-hair border-t" aria-label={GROUPS.find((g) => g.id === open)!.label}>
			{#each lines as line, i (line.key)}
				{@const [first] = line.values}
				{@const wrong = line.values.some((v) => v.name === trouble?.name)}
				<li class="border-hair border-b py-1.5">
					<div class="flex flex-wrap items-center gap-x-3 gap-y-1">
						<span class="min-w-[190px] flex-1"
							><span class="block font-[530]">{line.label}</span>{#if said(line, i)}<span class="text-ink2 block text-xs leading-4"
									>{said(line, i)}</span
								>{/if}</span
						>
						{#if line.values.length === 1}<ValueGauge
								number={valueOf(working, first!.keys)}
								shipped={first!.shipped}
								min={first!.min}
								max={first!.max}
							/>{/if}
						<span class="flex items-center gap-1.5">
							{#each line.values as value (value.name)}
								{#key trouble?.name === value.name}<ValueField
										{value}
										number={valueOf(working, value.keys)}
										troubleId={trouble?.name === value.name ? 'value-trouble' : undefined}
										onchange={(n) => set(value, n)}
									/>{/key}
							{/each}
							<span class="text-ink2 w-[74px] text-xs">{first!.unit}</span>
						</span>
						<span class="w-[150px] text-right text-xs">
							{#if isChanged(line)}<button type="button" class="dotted" onclick={() => reset(line)}>as shipped: {shippedText(line)}</button
								>{:else if line.values.length === 1}<span class="text-ink3">{first!.min} to {first!.max}</span>{/if}
						</span>
					</div>
					{#if wrong}<p id="value-trouble" class="text-flag pt-1 text-xs" role="alert">{trouble!.message}</p>{/if}
				</li>
			{/each}
		</ul>
	</div>
</div>
