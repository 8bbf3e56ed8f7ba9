<script lang="ts">
	import { mlFor } from '$lib/core/glide/film';
	import { amountText, MEDIA, mediumById } from '$lib/core/medium/media';
	import { joinEdits, setStep } from '$lib/core/sequence/edits';
	import { embedMedium } from '$lib/core/sequence/embed';
	import type { Step } from '$lib/core/step/step.schema';
	import { useApp } from '$lib/state/app.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const wanted = $derived(mlFor(step, draft.context.working));
	const medium = $derived(step.medium ?? null);
	const app = useApp();
	const own = $derived([...app.own.media, ...draft.sequence.media.filter((m) => !app.own.media.some((o) => o.id === m.id))]);
	const known = (id: string) => mediumById(id, own);
	function set(next: Step['medium'], label: string) {
		const change = setStep(draft.sequence, step.id, { medium: next }, label);
		const mine = next && own.find((m) => m.id === next.id);
		const along = mine ? embedMedium(draft.sequence, mine) : null;
		draft.do(along ? joinEdits(label, [change, along]) : change);
	}
	const drops = $derived(medium ? Math.round(medium.ml / draft.context.working.dropMl) : 0);
</script>

<div class="flex flex-wrap items-center gap-1.5 text-xs">
	<Select
		label="Medium"
		value={medium?.id ?? 'none'}
		options={[{ value: 'none', label: 'Nothing new' }, ...[...own, ...MEDIA].map((m) => ({ value: m.id, label: m.title }))]}
		onchange={(id) =>
			set(
				id === 'none' ? undefined : { id, ml: medium?.ml ?? wanted },
				id === 'none' ? 'Take no medium here' : `Take ${known(id).title.toLowerCase()}`
			)}
	/>
	{#if medium}
		<Stepper
			label="drops"
			unit="dr"
			value={drops}
			min={1}
			max={400}
			onchange={(n) => set({ ...medium, ml: Math.round(n * draft.context.working.dropMl * 100) / 100 }, `Take ${n} drops`)}
		/>
		<span class="text-ink2"
			>{amountText(wanted, draft.context.working)} for full cover{known(medium.id).allergens.length
				? ` · ${known(medium.id).allergens.join(', ').replaceAll('-', ' ')}`
				: ''}</span
		>
	{/if}
</div>
