<script lang="ts">
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
	const ACTIONS: Record<string, () => void> = {
		y: () => intake.look('yes'),
		n: () => intake.look('no'),
		u: () => intake.look('unsure'),
		ArrowUp: () => intake.back(),
		ArrowRight: () => intake.later()
	};
	function onkeydown(e: KeyboardEvent) {
		if (e.ctrlKey || e.metaKey || e.altKey || modalOpen() || isTyping(e.target)) return;
		if (e.key === 'Enter') {
			if (!intake.says || (e.target instanceof HTMLElement && e.target.closest('button, a'))) return;
			e.preventDefault();
			void intake.record();
			return;
		}
		if (belongsTo(e.target, e.key)) return;
		const chapter = Number(e.key);
		const action = ACTIONS[e.key.length === 1 ? e.key.toLowerCase() : e.key];
		if (!action && !(chapter >= 1)) return;
		e.preventDefault();
		if (action) action();
		else intake.chapter(chapter);
	}
</script>

<svelte:window {onkeydown} />
<p class="sr-only" role="status">{intake.said}</p>
<div class="flex flex-wrap items-baseline justify-between gap-2">
	<h2 class="text-[15px] font-semibold">{intake.mode === 'intake' ? 'Intake' : 'Before this visit'}</h2>
	<p class="text-ink2 text-[12.5px]">
		{#if question}{CHAPTERS[question.flag.chapter].toLowerCase()}, {intake.answered} of {intake.questions.length} answered{:else}{intake
				.questions.length} answered{/if}
	</p>
</div>
<QuestionTablets {intake} />
<ul class="border-hair mt-2 border-t text-[12.5px]" aria-label="Answered last">
	{#each before as { flag, answer } (flag.id)}
		<li class="border-hair border-b">
			<button type="button" class="hover:bg-wash/50 flex min-h-7 w-full items-center gap-2 text-left" onclick={() => intake.goTo(flag.id)}>
				<span class="text-ink2 min-w-0 flex-1 truncate">{flag.name}</span>
				<b class="font-[560]">{answer ? TOLD[answer.says] : 'open'}{answer?.since ? `, ${answer.since}` : ''}</b>
			</button>
		</li>
	{/each}
</ul>
{#if question}
	{@const { flag, answer, because } = question}
	<section class="mt-4" aria-label="The question">
		<h3 class="flare text-[19px] leading-[26px] font-[520]" data-question={flag.id}>{flag.question}</h3>
		<p class="text-ink2 mt-1 text-[12.5px] leading-[18px]">
			{flag.help ?? flag.reason}
			{#if intake.mode === 'visit' && because !== 'visit'}<b class="font-[560]">{BECAUSE_WORDS[because]}.</b>{/if}
			{#if answer && answer.says !== 'no'}Last time: {TOLD[answer.says]}{answer.since ? `, since ${saidDay(answer.since)}` : ''}.{/if}
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
					onclick={() => intake.look(says)}
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
			<button type="button" class="btn btn-primary" disabled={!intake.says || intake.problems.length > 0} onclick={() => intake.record()}
				>Record</button
			>
			<button type="button" class="btn" disabled={intake.index === 0} onclick={() => intake.back()}>Back</button>
			<button type="button" class="btn" onclick={() => intake.later()}>Later</button>
			<button
				type="button"
				class="btn ml-auto"
				title="What came up before is asked by itself; no is not assumed of it"
				onclick={() => intake.noToRest(intake.mode === 'intake' ? flag.chapter : undefined)}
				>{intake.mode === 'intake' ? 'No to the rest of this chapter' : 'Nothing else is new'}</button
			>
		</div>
		<p class="text-ink3 mt-2 text-[11.5px] leading-4">
			{SURENESS[flag.sure]}. <br />Keys: Y, N, U answer, Enter records, up goes back, right leaves it for later, a digit leads to a chapter.
		</p>
	</section>
	{#if after.length}
		<ul class="border-hair text-ink2 mt-3 border-t text-[12.5px]" aria-label="Asked next">
			{#each after as q (q.flag.id)}<li class="border-hair truncate border-b py-1">{q.flag.question}</li>{/each}
		</ul>
	{/if}
{:else}
	<div class="mt-6 space-y-3" role="status">
		<p class="flare text-[19px] leading-[26px] font-[520]">
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
