<script lang="ts">
	import { CLAUSES } from '$lib/core/notation/clauses';
	import { HEAD_LINES } from '$lib/core/notation/headLines';
	import { LINES, SAMPLE } from '$lib/core/notation/notationDoc';

	import WordsOfNotation from '$lib/ui/views/library/WordsOfNotation.svelte';
</script>

{#snippet table(title: string, rows: readonly (readonly [form: string, says: string])[])}
	<section>
		<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">{title}</h2>
		<dl>
			{#each rows as [form, says] (form)}
				<div class="border-hair grid grid-cols-[minmax(0,240px)_minmax(0,1fr)] gap-4 border-b py-1.5">
					<dt class="font-[560]">{form}</dt>
					<dd class="text-ink2 leading-[18px]">{says}</dd>
				</div>
			{/each}
		</dl>
	</section>
{/snippet}

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<h1 class="py-3 text-xl font-[520]">How a sequence is written</h1>
	<div class="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,460px)_minmax(0,1fr)]">
		<section aria-label="An example">
			<pre
				class="bg-sheet border-hair overflow-x-auto border-y px-3 py-3 font-[inherit] text-xs leading-[19px] whitespace-pre-wrap">{SAMPLE}</pre>
			<p class="text-ink2 pt-2 leading-[18px]">
				Places are written by their labels; their ids are understood too. What a line leaves out follows from its aim. Open Text in <a
					class="dotted"
					href="/compose">Compose</a
				> to see any sequence so, with completion and explanations under the pointer.
			</p>
		</section>
		<WordsOfNotation />
	</div>
	<div class="grid gap-x-10 gap-y-6 pt-8 lg:grid-cols-2">
		<div class="space-y-6">
			{@render table('Lines', LINES)}
			{@render table(
				'At the head',
				HEAD_LINES.map((h) => [h.form, h.says])
			)}
		</div>
		{@render table(
			'Clauses of a step',
			CLAUSES.map((c) => [c.form, c.says])
		)}
	</div>
</div>
