<script lang="ts">
	import { tick } from 'svelte';
	import type { Answer } from '$lib/core/client/answer.schema';
	import { sidedWords } from '$lib/core/client/sidedZone';
	import { notTwice } from '$lib/state/notTwice';
	import { CHAPTERS, SURENESS } from '$lib/core/screening/flag';
	import { effectsOf } from '$lib/core/screening/allowed';
	import { BECAUSE_WORDS } from '$lib/core/screening/questions';
	import { saidDay } from '$lib/core/client/saidDay';
	import { modalOpen } from '$lib/state/modal';
	import type { Intake, Says } from '$lib/state/intake.svelte';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import AnswerDetails from './AnswerDetails.svelte';
	import QuestionTablets from './QuestionTablets.svelte';

	interface Props {
		intake: Intake;
		today: string;
		onredflags: () => void;
	}
	let { intake, today, onredflags }: Props = $props();
	const question = $derived(intake.question);
	const SAYS: readonly { says: Says; key: string; label: string }[] = [
		{ says: 'yes', key: 'Y', label: 'Yes' },
		{ says: 'no', key: 'N', label: 'No' },
		{ says: 'unsure', key: 'U', label: 'Not sure' }
	];
	const TOLD = { yes: 'yes', no: 'no', unsure: 'not sure' } as const;
	const before = $derived(
		intake.questions.slice(Math.max(0, (question ? intake.index : intake.questions.length) - 4), question ? intake.index : undefined)
	);
	const after = $derived(question ? intake.questions.slice(intake.index + 1, intake.index + 4) : []);
	const consequence = (says: Says): { words: string; severity: 'stop' | 'caution' | 'advice' | null } => {
		const limits = says === 'no' ? [] : intake.wouldDo(says);
		const words = effectsOf(limits).slice(0, 3).join('. ');
		const severity = limits.some((l) => l.severity === 'stop') ? 'stop' : (limits[0]?.severity ?? null);
		if (says === 'no' || !limits.length) return { words: 'Nothing changes.', severity: null };
		return { words: says === 'unsure' ? `Counts as yes until it is known. ${words}.` : `${words}.`, severity };
	};
	const isTyping = (target: EventTarget | null) =>
		target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
	/** Arrows belong to what is moved through by them, letters to a list that is open. */
	const belongsTo = (target: EventTarget | null, key: string) =>
		target instanceof HTMLElement || target instanceof SVGElement
			? target.closest(
					key.startsWith('Arrow') ? '[role="radio"], [data-map], [role="listbox"], [role="menu"]' : '[role="listbox"], [role="menu"]'
				) !== null
			: false;
	/** Enter belongs to what is chosen by it: a place, a list, the map, whatever stands outside of the questions. */
	const ownsEnter = (target: EventTarget | null) =>
		target instanceof Element &&
		(target.closest('[data-answer-details] button, [data-map], [role="listbox"], [role="menu"]') !== null ||
			(target.closest('a, button, input, textarea') !== null && !target.closest('[data-questions]')));
	let heading = $state<HTMLElement>();
	/** An answer leads to the next question, and the keys go there: not to the button that was pressed. */
	async function then(act: () => void) {
		const asked = question?.flag.id;
		act();
		await tick();
		if (intake.question?.flag.id !== asked || intake.says === null) heading?.focus();
	}
	const noToRest = notTwice(() => then(() => intake.noToRest(intake.mode === 'intake' ? question?.flag.chapter : undefined)));
	const ACTIONS: Record<string, () => void> = {
		y: () => intake.look('yes'),
		n: () => intake.look('no'),
		u: () => intake.look('unsure'),
		ArrowUp: () => intake.back(),
		ArrowRight: () => intake.later()
	};
	function onkeydown(e: KeyboardEvent) {
		if (e.ctrlKey || e.metaKey || e.altKey || modalOpen()) return;
		if (e.key === 'Enter') {
			if (ownsEnter(e.target)) return;
			// What is held down answers nothing, and presses no button again and again.
			if (intake.says || e.repeat) e.preventDefault();
			if (intake.says && !e.repeat) void then(() => intake.record());
			return;
		}
		if (isTyping(e.target) || belongsTo(e.target, e.key)) return;
		const chapter = Number(e.key);
		const action = ACTIONS[e.key.length === 1 ? e.key.toLowerCase() : e.key];
		if (!action && !(chapter >= 1)) return;
		e.preventDefault();
		if (e.repeat) return;
		void then(action ?? (() => intake.chapter(chapter)));
	}
	const saidOf = ({ says, since, places, note }: Answer) =>
		[TOLD[says], since ? `since ${saidDay(since)}` : '', sidedWords(places).join('; '), note].filter(Boolean).join(', ');
</script>

<svelte:window {onkeydown} onpagehide={intake.settle} />
<svelte:document onvisibilitychange={() => document.hidden && intake.settle()} />
<div class="contents" data-questions>
	<p class="sr-only" role="status">{intake.said}</p>
	<div class="flex flex-wrap items-baseline justify-between gap-2">
		<h2 class="text-[15px] font-semibold">{intake.mode === 'intake' ? 'Intake' : 'Before this visit'}</h2>
		<p class="text-ink2 text-[12.5px]">
			{#if question}{CHAPTERS[question.flag.chapter].toLowerCase()}, {intake.answered} of {intake.questions.length} answered{:else}{intake
					.questions.length} answered{/if}
		</p>
	</div>
	<QuestionTablets {intake} onchapter={(n) => then(() => intake.chapter(n))} />
	{#if intake.last}
		<p class="mt-2 flex min-h-8 items-center gap-2 text-[13px]">
			<span class="min-w-0 flex-1 truncate">{intake.last}</span>
			<button type="button" class="btn" onclick={() => then(() => intake.undo())}>Undo</button>
		</p>
	{/if}
	<ul class="border-hair mt-2 border-t text-[12.5px]" aria-label="Answered last">
		{#each before as { flag, answer } (flag.id)}
			<li class="border-hair border-b">
				<button
					type="button"
					class="hover:bg-wash/50 flex min-h-7 w-full items-center gap-2 text-left"
					onclick={() => then(() => intake.goTo(flag.id))}
				>
					<span class="text-ink2 min-w-0 flex-1 truncate">{flag.name}</span>
					<b class="font-[560]">{answer ? TOLD[answer.says] : 'open'}{answer?.since ? `, ${answer.since}` : ''}</b>
				</button>
			</li>
		{/each}
	</ul>
	{#if question}
		{@const { flag, because } = question}
		{@const before = intake.before}
		<section class="mt-4" aria-label="The question">
			<h3 class="flare text-[19px] leading-[26px] font-[520] outline-none" data-question={flag.id} tabindex="-1" bind:this={heading}>
				{flag.question}
			</h3>
			<p class="text-ink2 mt-1 text-[12.5px] leading-[18px]">
				{flag.help ?? flag.reason}
				{#if intake.mode === 'visit' && because !== 'visit'}<b class="font-[560]">{BECAUSE_WORDS[because]}.</b>{/if}
				{#if before && before.says !== 'no'}Last time: {TOLD[before.says]}{before.since ? `, since ${saidDay(before.since)}` : ''}.{/if}
			</p>
			<div class="mt-3" role="group" aria-label="Answers">
				{#each SAYS as { says, key, label } (says)}
					{@const { words, severity } = consequence(says)}
					<button
						type="button"
						class="border-hair flex min-h-[50px] w-full items-center gap-3 border-b px-2 text-left {intake.says === says
							? 'bg-wash rounded-md'
							: 'hover:bg-wash/50'}"
						aria-pressed={intake.says === says}
						aria-keyshortcuts={key}
						onclick={() => then(() => intake.look(says))}
					>
						<kbd class="border-edge bg-sheet grid size-[21px] flex-none place-items-center rounded border text-[11.5px]">{key}</kbd>
						<b class="w-[74px] flex-none text-[15px] font-semibold">{label}</b>
						{#if severity}<Pennant {severity} />{/if}
						<span class="text-ink2 min-w-0 flex-1 py-1 text-[12.5px] leading-[17px]">{words}</span>
					</button>
				{/each}
			</div>
			{#if intake.says && intake.says !== 'no'}<AnswerDetails {intake} {flag} {today} />{/if}
			<div class="mt-3 flex flex-wrap items-center gap-2">
				<button
					type="button"
					class="btn btn-primary"
					disabled={!intake.says || intake.problems.length > 0}
					onclick={() => then(() => intake.record())}>Record</button
				>
				<button type="button" class="btn" disabled={intake.index === 0} onclick={() => then(() => intake.back())}>Back</button>
				<button type="button" class="btn" onclick={() => then(() => intake.later())}>Later</button>
				<button type="button" class="btn ml-auto" title="What came up before is asked by itself; no is not assumed of it" onclick={noToRest}
					>{intake.mode === 'intake' ? 'No to the rest of this chapter' : 'Nothing else is new'}</button
				>
			</div>
			{#if intake.history.length}
				<details class="mt-2 text-[12.5px] leading-[18px]">
					<summary class="text-ink2 min-h-6 cursor-pointer">Answers to this question: {intake.history.length}</summary>
					<ul>
						{#each intake.history as said, i (said.at + said.says)}
							<li class="border-hair flex items-center gap-2 border-b py-0.5">
								<span class="min-w-0 flex-1">{saidDay(said.day)}: {saidOf(said)}</span>
								{#if i === 0 && said.day === today}<button type="button" class="btn" onclick={() => then(() => intake.takeBack(said))}
										>Take back</button
									>{/if}
							</li>
						{/each}
					</ul>
				</details>
			{/if}
			<p class="text-ink3 mt-2 text-[11.5px] leading-4">
				{SURENESS[flag.sure]}. <br />Keys: Y, N, U answer, Enter records, up goes back, right leaves it for later, a digit leads to a
				chapter.
			</p>
		</section>
		{#if after.length}
			<ul class="border-hair text-ink2 mt-3 border-t text-[12.5px]" aria-label="Asked next">
				{#each after as q (q.flag.id)}<li class="border-hair truncate border-b py-1">{q.flag.question}</li>{/each}
			</ul>
		{/if}
	{:else}
		<div class="mt-6 space-y-3" role="status">
			<p class="flare text-[19px] leading-[26px] font-[520] outline-none" tabindex="-1" bind:this={heading}>
				{intake.mode === 'intake' ? 'The intake is whole.' : 'She is asked for today.'}
			</p>
			{#if intake.mode === 'visit'}<button type="button" class="btn" onclick={() => intake.switchTo('intake')}
					>Go through the whole intake</button
				>{:else}<button type="button" class="btn" onclick={() => intake.switchTo('visit')}>Ask only what can have changed</button>{/if}
		</div>
	{/if}
	<p class="text-ink2 mt-auto flex flex-wrap justify-between gap-2 pt-4 text-[12.5px]">
		<button type="button" class="dotted" onclick={onredflags}>What makes one stop and refer</button>
		<span>each answer is kept at once</span>
	</p>
</div>
