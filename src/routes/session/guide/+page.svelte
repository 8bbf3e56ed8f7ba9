<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';

	const app = useApp();
	const LINES: readonly { readonly head: string; readonly words: string }[] = [
		{ head: 'Before', words: 'Tap what your fingers find, or draw over several places. “As last time” fills in what has not changed.' },
		{ head: 'Start, then Begin', words: 'Put the screen where you see it from the couch. After Begin you need not touch it again.' },
		{
			head: 'The numeral',
			words: 'counts each repetition as it begins. In a change of side the side itself stands there. Outlined: it rests.'
		},
		{
			head: 'The tones',
			words: 'a soft beat a repetition, a higher one for the last, a lower one for a change of side, a rising one for the next step.'
		},
		{
			head: 'Another screen',
			words: '“Second screen” shows the face and the breath in a window for the client or a pupil: no name, no number.'
		},
		{ head: 'The voice', words: 'if you want one, says where, with what, how often and on which side before each step begins.' },
		{
			head: 'Interrupted',
			words: 'Touch the face with an elbow, press space or the left pedal. It waits, and begins the broken stroke again.'
		},
		{
			head: 'Until it is warm',
			words:
				'softer or pink: such a step goes on past the plan. The face, space or a pedal says that it is so; its longest time does at the latest.'
		},
		{
			head: 'Too long, too short',
			words:
				'One more (↑) adds a stroke and offers the other side as much. Fit to time (F) makes what is left fit the clock. Skip leaves a step out; a drain only if you skip twice.'
		},
		{
			head: 'The end',
			words:
				'comes by itself. Pause, then End here; until you close the session you can go on where you were. X walks the shortest way out, over the closing drain.'
		}
	];
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-5 pb-8">
	<div class="mx-auto max-w-[760px]">
		<h1 class="flare pt-4 text-[26px] leading-8 font-[540]">A guided session, in a minute</h1>
		<dl class="border-hair mt-4 border-t">
			{#each LINES as { head, words } (head)}
				<div class="border-hair grid grid-cols-1 gap-x-6 border-b py-2.5 text-[15px] leading-[22px] sm:grid-cols-[170px_1fr]">
					<dt class="font-semibold">{head}</dt>
					<dd>{words}</dd>
				</div>
			{/each}
		</dl>
		<p class="text-ink2 py-4 text-[13.5px] leading-5">
			{app.settings?.voice === 'none' ? 'No voice is chosen yet.' : 'A voice is chosen.'}
			<a class="dotted" href="/settings/guidance">Voice, tones and pedals</a>. On pain, dizziness, numbness or breathlessness: stop;
			<kbd>R</kbd> shows the red flags.
		</p>
		<a class="btn btn-large btn-primary" href="/session">Begin a session</a>
	</div>
</div>
