<script lang="ts">
	import { CHAPTERS } from '$lib/core/screening/flag';
	import type { Intake } from '$lib/state/intake.svelte';

	interface Props {
		intake: Intake;
		/** A chapter is wished, from 1. */
		onchapter: (n: number) => void;
	}
	let { intake, onchapter }: Props = $props();
	/** Tablets by chapter. */
	const chapters = $derived(
		[...new Set(intake.questions.map((q) => q.flag.chapter))].map((chapter) => ({
			chapter,
			questions: intake.questions.filter((q) => q.flag.chapter === chapter)
		}))
	);
</script>

<!-- A tablet a question, gaps between chapters; one that acts stands up. Each chapter is a button. -->
<div class="mt-2 flex flex-wrap gap-x-2.5 gap-y-1" role="group" aria-label="Chapters">
	{#each chapters as { chapter, questions }, i (chapter)}
		<button
			type="button"
			class="flex min-h-6 flex-wrap items-end gap-[2px] rounded"
			title={CHAPTERS[chapter]}
			aria-label="{CHAPTERS[chapter]}: {questions.filter((q) => q.done).length} of {questions.length} answered"
			onclick={() => onchapter(i + 1)}
		>
			{#each questions as q (q.flag.id)}
				<i
					class="border-edge w-[7px] rounded-[2px] border {q === intake.question
						? 'bg-ink h-[17px]'
						: q.answer && q.answer.says !== 'no' && q.done
							? 'bg-flag border-flag h-[14px]'
							: q.done
								? 'bg-restfill h-[9px]'
								: 'h-[9px]'}"
				></i>
			{/each}
		</button>
	{/each}
</div>
