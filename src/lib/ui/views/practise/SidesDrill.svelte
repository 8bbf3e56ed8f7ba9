<script lang="ts">
	import { TEMPLATES } from '$lib/core/template/templates';
	import { sidesPuzzle } from '$lib/core/train/sides';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	const QUESTIONS = 6;
	const another = () => sidesPuzzle(TEMPLATES[Math.floor(Math.random() * TEMPLATES.length)]!, Math.random);
	let puzzle = $state.raw(another());
	let chosen = $state<number | null>(null);
	let asked = $state(0);
	let right = $state(0);
	function choose(i: number) {
		if (chosen !== null) return;
		chosen = i;
		asked++;
		if (i === puzzle.uneven) right++;
		if (asked === QUESTIONS) onround({ value: (100 * right) / QUESTIONS, count: QUESTIONS, what: '', simulated: false });
	}
	function next() {
		if (asked === QUESTIONS) [asked, right] = [0, 0];
		puzzle = another();
		chosen = null;
	}
</script>

<p class="text-ink2">
	Above the line the left, below it the right, as the strokes fell. Which step got more on one side? {asked} of {QUESTIONS} asked, {right} right.
</p>
<ul class="mt-3 max-w-[860px]">
	{#each puzzle.rows as row, i (i)}
		<li class="border-hair border-b">
			<button
				type="button"
				class="hover:bg-wash/50 grid min-h-16 w-full grid-cols-[minmax(0,1fr)_minmax(0,420px)] items-center gap-3 px-2 text-left {chosen !==
					null && i === puzzle.uneven
					? 'bg-wash'
					: ''}"
				disabled={chosen !== null}
				aria-label="{row.title}: {row.left} left, {row.right} right"
				onclick={() => choose(i)}
			>
				<b class="font-semibold">{row.title}</b>
				<svg viewBox="0 0 420 52" class="h-[52px] w-full" aria-hidden="true" stroke="var(--ink)" stroke-width="2.4" stroke-linecap="round">
					<path d="M0 26H420" stroke="var(--hair)" stroke-width="1" />
					{#each row.strokes.left as at (at)}<path d="M{4 + 412 * at} 5V20" />{/each}
					{#each row.strokes.right as at (at)}<path d="M{4 + 412 * at} 32V47" />{/each}
				</svg>
			</button>
		</li>
	{/each}
</ul>
{#if chosen !== null}
	{@const row = puzzle.rows[puzzle.uneven]!}
	<p class="mt-3 text-[18px] leading-7" role="status">
		<b>{chosen === puzzle.uneven ? 'Right.' : 'Not that one.'}</b>
		{row.title}: {row.left} on the left, {row.right} on the right.
	</p>
	<button type="button" class="btn btn-large btn-primary mt-3" onclick={next}>{asked === QUESTIONS ? 'Another round' : 'Next'}</button>
{/if}
