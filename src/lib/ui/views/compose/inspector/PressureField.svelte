<script lang="ts">
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { capAt } from '$lib/core/pressure/caps';
	import type { Level } from '$lib/core/step/levels';
	import { levelAt } from '$lib/core/screening/meets';
	import { touchesOf } from '$lib/core/screening/touch';
	import { setStep } from '$lib/core/sequence/edits';
	import type { Step } from '$lib/core/step/step.schema';
	import { levelsOf, peakLevel } from '$lib/core/step/levelsOf';
	import { pressingAreaCm2 } from '$lib/core/pressure/area';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import { LEVEL_OPTIONS } from '../../../parts/steps/options';
	import { setLevel } from '../steps/stepEdits';
	import PressureKeys from './PressureKeys.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const sequence = $derived(draft.sequence);
	const cap = $derived(
		step.places
			.map((p) => capAt(step, p, sequence.school))
			.reduce<ReturnType<typeof capAt>>((a, b) => (!a || (b && b.level < a.level) ? b : a), null)
	);
	/** What this client may have at the places that it touches. */
	const hers = $derived(
		touchesOf(step).reduce<Level | null>((least, touch) => {
			const level = levelAt(draft.client?.limits ?? [], touch.place);
			return level !== null && (least === null || level < least) ? level : least;
		}, null)
	);
	const levels = $derived(levelsOf(step));
	function setAt(index: number, level: Level) {
		const next = step.places.map((_, i) => (i === index ? level : (levels[i] ?? levels[0]!)));
		draft.do(setStep(sequence, step.id, { levels: next, pressure: undefined }, 'Change the pressure at one place'));
	}
</script>

<PressureKeys
	level={peakLevel(step)}
	cap={hers !== null && (cap === null || hers < cap.level) ? hers : (cap?.level ?? null)}
	hers={hers !== null && (cap === null || hers < cap.level)}
	areaCm2={pressingAreaCm2(step, draft.context.working)}
	working={draft.context.working}
	onchange={(l) => draft.do(setLevel(sequence, step, l))}
/>
{#if step.places.length > 1}
	<details class="mt-1 text-xs" open={step.levels !== undefined}>
		<summary class="text-ink2 cursor-pointer">{step.levels ? 'Place by place' : 'The same all the way'}</summary>
		<ul class="mt-1 grid gap-1">
			{#each step.places as ref, i (`${ref}${i}`)}
				<li class="flex items-center gap-2">
					<span class="water min-w-0 flex-1 truncate">{labelOf(placeOf(ref))}</span>
					<Select
						label="Pressure at {labelOf(placeOf(ref))}"
						value={String(levels[i] ?? levels[0]) as `${Level}`}
						options={LEVEL_OPTIONS}
						onchange={(v) => setAt(i, Number(v) as Level)}
					/>
				</li>
			{/each}
		</ul>
	</details>
{/if}
