<script lang="ts">
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { measuredRow } from '$lib/core/assess/registry';
	import { TAPE_ENDS, TAPE_GUIDES, TAPE_HOW } from '$lib/core/assess/tapeGuides';
	import type { LengthUnit } from '$lib/core/assess/units';
	import { MOST_TAKES, tapeTargets, Taping, type TapeTarget } from '$lib/state/taping.svelte';
	import Modal from '../../parts/controls/Modal.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import TapeGuide from './TapeGuide.svelte';

	interface Props {
		open: boolean;
		assessment: Assessment;
		usual: Assessment | null;
		unit: LengthUnit;
		/** All seven distances, or the usual ones. */
		all: boolean;
		onchange: (assessment: Assessment) => void;
	}
	let { open = $bindable(), assessment, usual, unit, all, onchange }: Props = $props();
	const taping = $derived(
		new Taping({
			assessment: () => assessment,
			usual: () => usual,
			unit: () => unit,
			targets: tapeTargets(all),
			onchange: (a) => onchange(a)
		})
	);
	const target = $derived(taping.target);
	const guide = $derived(TAPE_GUIDES[target.id]);
	const sided = ({ spot }: TapeTarget) => (spot.side ? `, client’s ${spot.side}` : '');
	const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', 'back'] as const;
	let field = $state<HTMLInputElement>();
	/** Keys go to the reading as soon as the room is open, and after each touch. */
	$effect(() => {
		if (open) setTimeout(() => field?.focus());
	});
	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'Enter') taping.enter();
		else if (event.key === 'PageUp' || event.key === 'ArrowUp') taping.choose(taping.at - 1);
		else if (event.key === 'PageDown' || event.key === 'ArrowDown') taping.choose(taping.at + 1);
		else return;
		event.preventDefault();
	}
	function press(key: string) {
		taping.press(key);
		field?.focus();
	}
	function next() {
		taping.enter();
		field?.focus();
	}
</script>

<Modal bind:open title="Tape, one by one" width={900}>
	<div class="grid gap-x-6 gap-y-4 pt-1 sm:grid-cols-[minmax(0,290px)_minmax(0,1fr)]">
		<TapeGuide {target} />
		<div class="space-y-3">
			<div aria-live="polite">
				<h3 class="text-[17px] leading-6 font-semibold">
					<span class="text-ink2 font-normal">{taping.at + 1} of {taping.targets.length}</span>
					{measuredRow(target.id).label}{sided(target)}
				</h3>
				<p class="text-ink2 text-[13px] leading-[18px]">
					{#if guide?.kind === 'line'}From {TAPE_ENDS[guide.from]} to {TAPE_ENDS[guide.to]}.
					{:else if guide}Round the neck, {guide.where}.{/if}
					{TAPE_HOW}
				</p>
			</div>
			<label class="border-ink flex items-baseline justify-end gap-2 border-b-2 pb-0.5">
				<span class="text-ink2 flex-1 text-[13px]"
					>{taping.shown(target) && !taping.typed ? 'Taken, reading' : 'Reading'} {taping.take}</span
				>
				<input
					bind:this={field}
					class="w-[150px] bg-transparent text-right text-[40px] leading-[46px] font-[540]"
					inputmode="none"
					autocomplete="off"
					placeholder={taping.shown(target) || '–'}
					value={taping.typed}
					oninput={(e) => {
						taping.type(e.currentTarget.value);
						e.currentTarget.value = taping.typed;
					}}
					{onkeydown}
				/>
				<span class="text-ink2 text-[18px]">{unit}</span>
			</label>
			{#if taping.refusal || taping.question?.words}
				<div role="alert" class="space-y-2 text-[13.5px] leading-[18px]">
					<p>{taping.refusal || taping.question?.words}</p>
					<p class="flex flex-wrap gap-2">
						{#if taping.question?.instead}<button type="button" class="btn btn-primary min-h-11" onclick={() => taping.instead()}
								>{taping.question.instead.label}</button
							>{/if}
						{#if !taping.refusal}<button type="button" class="btn min-h-11" onclick={() => taping.keep()}
								>It is {taping.typed} {unit}</button
							>{/if}
					</p>
				</div>
			{/if}
			<div class="grid grid-cols-[repeat(3,minmax(0,64px))_minmax(0,1fr)] gap-2">
				{#each KEYS as key, i (key)}
					<button
						type="button"
						class="btn min-h-[52px] text-[20px]"
						aria-label={key === 'back' ? 'Take the last digit away' : key}
						onclick={() => press(key)}>{key === 'back' ? '⌫' : key}</button
					>
					{#if i === 2}<button type="button" class="btn btn-primary row-span-4 text-[17px]" onclick={next}>Next</button>{/if}
				{/each}
			</div>
			<div class="flex flex-wrap items-center gap-3">
				<Segmented
					label="Which reading"
					value={String(taping.take)}
					options={Array.from({ length: MOST_TAKES }, (_, i) => ({ value: String(i + 1), label: ['First', 'Again', 'Third'][i]! }))}
					onchange={(take) => taping.setTake(Number(take))}
				/>
				<span class="text-ink2 text-[12.5px]">{taping.done} of {taping.targets.length} taken</span>
			</div>
			<p class="text-ink2 text-[12px] leading-4">
				Again: lift the tape and lay it anew, blind to the first reading. How far two lie apart tells how exactly you measure.
				{#if taping.apart(target)}These lie {taping.apart(target)} {unit} apart.{/if}
			</p>
		</div>
	</div>
</Modal>
