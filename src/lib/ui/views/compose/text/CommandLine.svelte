<script lang="ts">
	import { onMount } from 'svelte';
	import { clock, doseText, sideText, stepTitle } from '$lib/core/step/describe';
	import { troubleText } from '$lib/core/notation/parse';
	import { stepsFromText } from '$lib/state/clipboard';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { Techniques } from '$lib/state/techniques.svelte';
	import { timingOfStep } from './timingOfStep';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';
	import { openEditor, type Editor } from './editor';

	interface Props {
		draft: SequenceDraft;
		library: Techniques;
		/** What was typed before the editor was there: lines that were ended, and the one that was not. */
		begun: readonly string[];
		/** Steps that were written or pasted here. */
		onadd: (text: string) => boolean;
		/** With what stands in the line, and what was to come after it. */
		onescape: (lines: readonly string[]) => void;
	}
	let { draft, library, begun, onadd, onescape }: Props = $props();
	let host: HTMLDivElement;
	let editor: Editor | undefined;
	let text = $state('');
	/** What stands so far: a comma or a > at the end only waits for more. */
	const wholeOf = (line: string) => line.replace(/[\s,>+→]+$/, '');
	const whole = $derived(wholeOf(text));
	const beginsPhase = (line: string) => /^\s*~/.test(line);
	const readingOf = (line: string) =>
		line && !beginsPhase(line) ? stepsFromText(line, draft.sequence, library.all, () => 'preview') : null;
	const read = $derived(readingOf(whole));
	const isPhase = $derived(beginsPhase(text));
	/** Of a word that is still being typed nothing is said. */
	const trouble = $derived.by(() => {
		const first = read && 'troubles' in read ? read.troubles[0] : undefined;
		return first && (asked || /[\s,]$/.test(text) || first.endColumn <= text.trimEnd().length) ? first : undefined;
	});
	/** Enter was pressed on this line. */
	let asked = $state(false);
	const step = $derived(read && 'steps' in read ? read.steps[0] : undefined);

	/** What is still to come of what was typed beforehand. */
	let ahead: readonly string[] = [];

	onMount(() => {
		ahead = begun;
		editor = openEditor({
			parent: host,
			text: '',
			single: true,
			label: 'Type a step',
			hint: 'drain chin > under the jaw, index hook, light, 8 each side',
			complete: { movesFor: (aim, places) => library.suiting(places).filter((t) => t.aim === aim) },
			onchange: (now) => {
				text = now;
				asked = false;
				editor?.setTroubles([]);
			},
			onenter: (now) => {
				// An empty line is over: the keys belong to the page again.
				if (!now.trim()) return ahead.some((line) => line.trim()) ? goOn() : onescape([]);
				if (adds(whole)) goOn();
				else showTroubles();
			},
			isWhole: () => isPhase || (step !== undefined && text.trim() === whole),
			onescape: () => onescape([text, ...ahead]),
			onlines: (lines) => {
				if (onadd(lines)) goOn();
			}
		});
		goOn();
		return () => editor?.destroy();
	});
	/** What is wrong with a line is said beside it, not over the steps as well. */
	function adds(line: string) {
		const reading = readingOf(line);
		return !(reading && 'troubles' in reading) && onadd(line);
	}
	function showTroubles() {
		asked = true;
		if (read && 'troubles' in read) editor?.setTroubles(read.troubles);
	}
	/** Adds the lines that were ended before, up to one that cannot be read: that one stands here, with what is wrong with it. */
	function goOn() {
		while (ahead.length > 1 && adds(wholeOf(ahead[0]!))) ahead = ahead.slice(1);
		const wrong = ahead.length > 1;
		const next = ahead[0] ?? '';
		ahead = ahead.slice(1);
		editor?.typeIn(next);
		if (wrong) showTroubles();
	}
</script>

<div bind:this={host} data-editor class="min-w-0 flex-1"></div>
<p class="text-ink2 flex min-h-5 basis-full items-center gap-1.5 text-[11.5px] leading-4" role="status">
	{#if trouble}
		<span class="text-flag">{troubleText(trouble).replace('Line 1, column', 'Column')}</span>
	{:else if isPhase}
		<span>Enter begins this phase; the lines that follow belong to it.</span>
	{:else if step}
		<AimGlyph aim={step.aim} size={13} /><span
			>Enter adds <b class="text-ink font-[560]">{stepTitle(step)}</b>, {doseText(step.dose)}, {sideText(step.side)}, {clock(
				timingOfStep(step, draft)
			)}</span
		>
	{:else}Enter adds the step after the chosen one. Tab takes what is offered, Ctrl Space asks for it. Enter on an empty line gives the keys
		back to the page.{/if}
</p>
