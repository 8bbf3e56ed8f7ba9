<script lang="ts">
	import type { Runner } from '$lib/state/runner.svelte';
	import StageButton from './StageButton.svelte';

	interface Props {
		runner: Runner;
		/** It is being said what comes first. */
		leading: boolean;
		ontoggle: () => void;
		onend: () => void;
		/** Ending was asked for while it runs: the next touch ends it. */
		armed: boolean;
	}
	let { runner, leading, ontoggle, onend, armed }: Props = $props();
	const GLYPHS = {
		pause: 'M3 33H9C14 33 15 13 21 13S28 33 33 33H43',
		go: 'M3 33H12C18 33 19 13 27 13S35 33 43 33',
		back: 'M5 36H41M14 36C18 36 18 18 23 18S28 36 32 36M32 14A12 10 0 0 0 13 12M13 5V13H21',
		skip: 'M5 36H41M8 28C12 10 32 8 38 26M31 22L38.5 27L42 18.5',
		end: 'M5 36H41M9 36C9 22 14 12 23 12S37 22 37 36M23 13V36'
	};
</script>

<div class="grid grid-cols-2 sm:grid-cols-4 md:grid-cols-[1.35fr_1fr_1fr_1fr]">
	<StageButton
		sand
		label={leading ? 'Wait' : runner.playing ? 'Pause' : runner.begun ? 'Go on' : 'Begin'}
		hint="space"
		glyph={runner.playing ? GLYPHS.pause : GLYPHS.go}
		onclick={ontoggle}
	/>
	<StageButton label="Step again" hint="←" glyph={GLYPHS.back} onclick={() => runner.back()} />
	<StageButton label="Skip" hint="→" glyph={GLYPHS.skip} onclick={() => runner.skip()} />
	<StageButton label={armed ? 'End now' : 'End here'} hint="E" glyph={GLYPHS.end} onclick={onend} />
</div>
