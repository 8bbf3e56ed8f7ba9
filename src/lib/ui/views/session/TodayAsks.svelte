<script lang="ts">
	import { choiceGroups, conditionalSteps } from '$lib/core/sequence/chosen';
	import { suppliesOf } from '$lib/core/perform/supplies';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Working } from '$lib/core/working/working.schema';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import AskedStep from './AskedStep.svelte';

	interface Props {
		sequence: Sequence;
		working: Working;
		/** Steps whose condition is met today. */
		met: ReadonlySet<string>;
		/** The option taken of each group that is chosen otherwise than the sequence has it. */
		taken: Readonly<Record<string, string>>;
		onmet: (met: ReadonlySet<string>) => void;
		ontake: (group: string, option: string) => void;
	}
	let { sequence, working, met, taken, onmet, ontake }: Props = $props();
	const asked = $derived(conditionalSteps(sequence));
	const groups = $derived(choiceGroups(sequence).filter((g) => g.options.length > 1));
	function answer(id: string, yes: boolean) {
		const next = new Set(met);
		if (yes) next.add(id);
		else next.delete(id);
		onmet(next);
	}
</script>

<!-- What the sequence leaves open until the client is here: which way of several, and what hangs on how she is today. -->
{#if asked.length || groups.length}
	<section aria-label="Asked today" class="space-y-2 text-[13.5px]">
		<h2 class="text-[15px] font-semibold">Asked today</h2>
		{#each groups as { group, options, chosen } (group)}
			<div class="flex flex-wrap items-center gap-2">
				<span class="text-ink2 min-w-16 first-letter:uppercase">{group}</span>
				<Segmented
					large
					label={group}
					value={taken[group] ?? chosen}
					options={options.map((o) => ({ value: o, label: o }))}
					onchange={(o) => ontake(group, o)}
				/>
			</div>
		{/each}
		{#each asked as placed (placed.step.id)}
			<div class="flex flex-wrap items-center gap-2">
				<span class="min-w-0 flex-1"><AskedStep {placed} supplies={suppliesOf(sequence, working)} /></span>
				<Segmented
					large
					label="Is it so: {placed.step.onlyIf}"
					value={met.has(placed.step.id) ? 'yes' : 'no'}
					options={[
						{ value: 'no', label: 'Not today' },
						{ value: 'yes', label: 'It is so' }
					]}
					onchange={(v) => answer(placed.step.id, v === 'yes')}
				/>
			</div>
		{/each}
	</section>
{/if}
