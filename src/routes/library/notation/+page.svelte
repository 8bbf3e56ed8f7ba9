<script lang="ts">
	import { CLAUSES } from '$lib/core/notation/clauses';
	import { HEAD_LINES } from '$lib/core/notation/headLines';
	import { SAMPLE } from '$lib/core/notation/notationDoc';

	import WordsOfNotation from '$lib/ui/views/library/WordsOfNotation.svelte';

	const LINES = [
		['~ <title>, may end here', 'A phase. “May end here”: a short version may stop after it.'],
		['~~ side by side [from right]', 'A block whose steps are done on one side, then on the other.'],
		['<aim> <way>, <clause>, …', 'A step. “>” leads on and fills what lies between, “+” adds a place and leaves the gap.'],
		['as <move>', 'Among the clauses: begin from a move of the library.'],
		['.. <clause>', 'A text that belongs to the step above.'],
		['# <anything>', 'A comment. It stays with the step or the phase below it.']
	] as const;
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<h1 class="py-3 text-xl font-[520]">How a sequence is written</h1>
	<div class="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,460px)_minmax(0,1fr)]">
		<section aria-label="An example">
			<pre
				class="bg-sheet border-hair overflow-x-auto border-y py-3 font-[inherit] text-xs leading-[19px] whitespace-pre-wrap">{SAMPLE}</pre>
			<p class="text-ink2 pt-2 leading-[18px]">
				Places are written by their id or their label. What a line leaves out follows from its aim. Open Text in <a
					class="dotted"
					href="/compose">Compose</a
				> to see any sequence so, with completion and explanations under the pointer.
			</p>
		</section>
		<div class="space-y-6">
			{#each [{ title: 'Lines', rows: LINES }, { title: 'Clauses of a step', rows: CLAUSES.map((c) => [c.form, c.says] as const) }, { title: 'At the head', rows: HEAD_LINES.map((h) => [h.form, h.says] as const) }] as { title, rows } (title)}
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
			{/each}
		</div>
	</div>
	<div class="pt-6"><WordsOfNotation /></div>
</div>
