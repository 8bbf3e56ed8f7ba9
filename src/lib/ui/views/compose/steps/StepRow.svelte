<script lang="ts">
	import { clock, contactText, doseText, sideText, wayText } from '$lib/core/step/describe';
	import { type Level, LEVEL_NAMES } from '$lib/core/step/levels';
	import type { Severity } from '$lib/core/school/school.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import type { Edit } from '$lib/core/sequence/edit.schema';
	import { setStep } from '$lib/core/sequence/edits';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Step } from '$lib/core/step/step.schema';
	import { AIMS, type Contact } from '$lib/core/vocabulary/vocabulary';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../../parts/glyphs/Footprint.svelte';
	import LinkGlyph from '../../../parts/glyphs/LinkGlyph.svelte';
	import Pennant from '../../../parts/glyphs/Pennant.svelte';
	import Ripples from '../../../parts/glyphs/Ripples.svelte';
	import SideGlyph from '../../../parts/glyphs/SideGlyph.svelte';
	import InlineMenu from '../../../parts/controls/InlineMenu.svelte';
	import { HAND_OPTIONS, LEVEL_OPTIONS } from '../../../parts/steps/options';
	import PathText from '../../../parts/steps/PathText.svelte';
	import { choiceOf, sideOf, sideOptions } from '../../../parts/steps/sideOptions';
	import type { RowWorth } from './rowWorth';
	import { setContact, setLevel, setTarget } from './stepEdits';

	interface Props {
		step: Step;
		/** Its number, from 1. */
		number: number;
		seconds: number;
		flag: Severity | undefined;
		/** What it is worth in the model, while that is looked at: shares of the deepest, 0..1, and words. */
		worth?: RowWorth | undefined;
		/** Chosen alone: its values can be edited in place. */
		selected: boolean;
		/** One of several that are chosen together. */
		chosen?: boolean;
		/** The one tab stop of the list. */
		current?: boolean;
		onselect: (e: MouseEvent) => void;
		/** Makes an edit of the sequence as it is then. */
		onedit: (make: (sequence: Sequence) => Edit) => void;
	}
	let { step, number, seconds, flag, worth, selected, chosen = false, current = selected, onselect, onedit }: Props = $props();
	const level = $derived(peakLevel(step));
	const contactWords = $derived(contactText(step).toLowerCase());
	/** Values that can be edited lie above the row's own button. */
	const over = $derived(selected ? 'z-10' : 'pointer-events-none');
	const FLAG_WORDS = { stop: 'may hurt', caution: 'a caution', advice: 'an advice' } as const;
	/** What a step hangs on, in a few words beside its way. */
	const hangs = $derived(
		step.onlyIf ? `if ${step.onlyIf}` : step.later ? 'later' : step.choice ? `${step.choice.group}: ${step.choice.option}` : ''
	);
</script>

<!-- The row is a choice in a list; its values are edited in place once it is chosen. -->
<div
	role="presentation"
	class="row group hover:bg-wash/45 items-center rounded-md {selected
		? 'bg-wash font-[530]'
		: chosen
			? 'bg-wash/70 shadow-[inset_3px_0_var(--ink)]'
			: ''}"
	data-row={step.id}
	onclick={onselect}
>
	<!-- No button element: a drag may begin on it. -->
	<div
		role="button"
		class="whole cursor-default self-stretch rounded-md focus-visible:-outline-offset-2"
		data-step-button
		tabindex={current ? 0 : -1}
		aria-current={current ? 'step' : undefined}
		aria-pressed={chosen ? true : undefined}
		onkeydowncapture={(e) => {
			if (e.key !== 'Enter' && e.key !== ' ') return;
			// Taken here, before the list takes it for the beginning of a drag: Alt and arrows move a step.
			e.preventDefault();
			e.stopPropagation();
			e.currentTarget.click();
		}}
		aria-label="{number}. {AIMS[step.aim]}: {wayText(step.places) || 'whole face'}, {contactWords}, {LEVEL_NAMES[level]}, {doseText(
			step.dose
		)}, {sideText(step.side)}, {clock(seconds)}{flag ? `, ${FLAG_WORDS[flag]}` : ''}{worth ? `, in the model ${worth.words}` : ''}"
	></div>
	<span class="pointer-events-none pr-1.5 text-right text-xs {selected ? 'text-ink font-bold' : 'text-ink3'}">{number}</span>
	<span class="pointer-events-none"><AimGlyph aim={step.aim} /></span>
	<span class="pointer-events-none flex min-w-0 items-center"
		><span class="truncate"><PathText {step} /></span>{#if step.parts}<span
				class="text-ink2 ml-1 text-[11px]"
				title="further strokes of each repetition">+{step.parts.length}</span
			>{/if}{#if step.end.kind === 'link'}<LinkGlyph />{/if}{#if hangs}<span class="text-ink2 truncate text-[11.5px] italic">{hangs}</span
			>{/if}</span
	>
	<span class="flex min-w-0 items-center text-xs {over}">
		{#if selected}
			<InlineMenu
				label="Hand or tool: {contactWords}"
				value={step.contact}
				options={HAND_OPTIONS}
				onchange={(c: Contact) => onedit((sequence) => setContact(sequence, step, c))}
				class="min-w-0"
			>
				{#snippet mark(c)}<Footprint contact={c} />{/snippet}
				<Footprint contact={step.contact} tool={step.tool?.id} /><span class="truncate">{contactWords}</span>
			</InlineMenu>
		{:else}
			<span class="text-ink2 flex min-w-0 items-center gap-1.5"
				><Footprint contact={step.contact} tool={step.tool?.id} /><span class="truncate">{contactWords}</span></span
			>
		{/if}
	</span>
	<span class="flex justify-center {over}">
		{#if selected}
			<InlineMenu
				label="Pressure: {LEVEL_NAMES[level]}"
				value={`${level}`}
				options={LEVEL_OPTIONS}
				onchange={(v) => onedit((sequence) => setLevel(sequence, step, Number(v) as Level))}
			>
				{#snippet mark(v)}<Ripples level={Number(v) as Level} size={24} />{/snippet}
				<Ripples {level} />
			</InlineMenu>
		{:else}<Ripples {level} />{/if}
	</span>
	<span class="text-right text-xs {over}">
		{#if selected}
			<input
				autocomplete="off"
				type="number"
				min="1"
				class="dose dotted w-9 bg-transparent text-right"
				aria-label="Repeats in {step.dose.kind}"
				value={step.dose.target}
				onchange={(e) => {
					const wish = e.currentTarget.valueAsNumber;
					if (wish > 0) onedit((sequence) => setTarget(sequence, step, wish));
					else e.currentTarget.value = String(step.dose.target);
				}}
			/>{step.dose.kind === 'reps' ? ' ×' : step.dose.kind === 'seconds' ? ' s' : ' br'}
		{:else}{doseText(step.dose).replace(/ breaths?/, ' br')}{/if}
	</span>
	<span class="flex items-center gap-1.5 pl-2 text-[11.5px] {over} {selected ? '' : 'text-ink2'}">
		{#if selected && step.side !== undefined}
			<InlineMenu
				label="Side: {sideText(step.side)}"
				value={choiceOf(step.side)}
				options={sideOptions(step.places)}
				onchange={(c) => onedit((sequence) => setStep(sequence, step.id, { side: sideOf(c) }))}
			>
				<SideGlyph side={step.side} /><span class="truncate">{sideText(step.side)}</span>
			</InlineMenu>
		{:else}<SideGlyph side={step.side} /><span class="truncate">{sideText(step.side)}</span>{/if}
	</span>
	<span class="pointer-events-none text-right">{clock(seconds)}</span>
	{#if worth?.middle}<span class="worth pointer-events-none" aria-hidden="true" data-row-worth
			><span class="fill {worth.harm ? 'harm' : ''}" style="width: {100 * worth.middle}%"></span><span
				class="spread"
				style="left: {100 * worth.low}%; width: {100 * (worth.high - worth.low)}%"
			></span></span
		>{/if}
	<span class="flag pointer-events-none justify-self-end"
		>{#if flag}<Pennant severity={flag} size={13} />{/if}</span
	>
</div>

<style>
	.row {
		display: grid;
		grid-template-columns: 24px 23px minmax(0, 1fr) var(--hand, 106px) 32px 44px 84px 36px 18px;
		height: 25px;
		white-space: nowrap;
	}
	/* The cells lie over the button in one grid row, without a layer for each: there are many. */
	.row > * {
		grid-row: 1;
	}
	.row > :nth-child(2) {
		grid-column: 1;
	}
	.row > :nth-child(3) {
		grid-column: 2;
	}
	.row > :nth-child(4) {
		grid-column: 3;
	}
	.row > :nth-child(5) {
		grid-column: 4;
	}
	.row > :nth-child(6) {
		grid-column: 5;
	}
	.row > :nth-child(7) {
		grid-column: 6;
	}
	.row > :nth-child(8) {
		grid-column: 7;
	}
	.row > :nth-child(9) {
		grid-column: 8;
	}
	.row > .flag {
		grid-column: 9;
	}
	.row > .whole {
		grid-column: 1 / -1;
	}
	/* What a step is worth: a bar below its way, with nine of ten faces as a line. */
	.row > .worth {
		position: relative;
		grid-column: 3;
		grid-row: 1;
		align-self: end;
		height: 4px;
		margin-bottom: 1px;
	}
	.worth > span {
		position: absolute;
		left: 0;
	}
	.worth > .fill {
		top: 0;
		height: 4px;
		border-radius: 0 2px 2px 0;
		background: var(--water1);
		opacity: 0.65;
	}
	.worth > .fill.harm {
		background: var(--sandline);
	}
	.worth > .spread {
		top: 1.5px;
		height: 1px;
		background: var(--ink);
	}
	.dose::-webkit-inner-spin-button {
		appearance: none;
	}
	.dose {
		appearance: textfield;
	}
	/* Beside a wide pane the place keeps its words: the hand is drawn only. */
	@media (min-width: 621px) {
		@container (max-width: 500px) {
			.row > :nth-child(5) {
				padding-left: 6px;
			}
			.row > :nth-child(5) :global(.truncate) {
				display: none;
			}
		}
	}
	/* Two lines on a phone: where it leads, and with what. */
	@media (max-width: 620px) {
		.row {
			grid-template-columns: 24px 23px minmax(0, 1fr) 34px 50px 40px 38px 16px;
			grid-template-rows: 26px 18px;
			height: 46px;
		}
		.row > :nth-child(4) {
			grid-column: 3 / 7;
		}
		.row > :nth-child(9) {
			grid-column: 7;
		}
		.row > .flag {
			grid-column: 8;
		}
		.row > .worth {
			grid-column: 3 / 7;
		}
		.row > :nth-child(5),
		.row > :nth-child(6),
		.row > :nth-child(7),
		.row > :nth-child(8) {
			grid-row: 2;
		}
		.row > :nth-child(5) {
			grid-column: 3;
		}
		.row > :nth-child(6) {
			grid-column: 4;
		}
		.row > :nth-child(7) {
			grid-column: 5;
		}
		.row > :nth-child(8) {
			grid-column: 6 / -1;
		}
		.row > .whole {
			grid-row: 1 / -1;
		}
	}
</style>
