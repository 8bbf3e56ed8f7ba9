<script lang="ts">
	import type { Step } from '$lib/core/step/step.schema';

	interface Props {
		side: Step['side'];
	}
	let { side }: Props = $props();
	const SHORE = 'M1 7H25';
	const UP = 'M5 7C9 7 9 1.6 13 1.6S17 7 21 7';
	const DOWN = 'M5 7C9 7 9 12.4 13 12.4S17 7 21 7';
	const FIRST_UP = 'M2.5 7C5 7 5 1.6 7.8 1.6S10.5 7 13 7M13 7C15.5 7 15.5 12.4 18.2 12.4S21 7 23.5 7';
	const FIRST_DOWN = 'M2.5 7C5 7 5 12.4 7.8 12.4S10.5 7 13 7M13 7C15.5 7 15.5 1.6 18.2 1.6S21 7 23.5 7';
	const TURNS = 'M2 7C4 7 4 2 6 2S8 7 10 7C12 7 12 12 14 12S16 7 18 7C20 7 20 2 22 2S24 7 25 7';
	const MIDLINE = 'M7 7C10 7 10 3 13 3S16 7 19 7M7 7C10 7 10 11 13 11S16 7 19 7M13 3V11';
	const d = $derived.by(() => {
		if (side === undefined) return SHORE;
		if (side === 'both') return SHORE + UP + DOWN;
		if (side === 'midline') return SHORE + MIDLINE;
		if (side === 'left') return SHORE + UP;
		if (side === 'right') return SHORE + DOWN;
		if ('alternate' in side) return SHORE + TURNS;
		return SHORE + (side.first === 'left' ? FIRST_UP : FIRST_DOWN);
	});
</script>

<svg
	width="26"
	height="14"
	viewBox="0 0 26 14"
	aria-hidden="true"
	class="stroke-ink2 flex-none fill-none"
	stroke-width="1.2"
	stroke-linecap="round"
>
	<path {d} />
</svg>
