<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';

	interface Props {
		value: number;
		/** What is counted, for a screen reader. */
		label: string;
		/** Shown after the number. */
		unit: string;
		min: number;
		max: number;
		/** Size of one step, default 1. */
		step?: number;
		onchange: (value: number) => void;
	}
	let { value, label, unit, min, max, step = 1, onchange }: Props = $props();
	const set = (wish: number) => {
		const next = Math.min(max, Math.max(min, Math.round(wish * 100) / 100));
		if (Number.isFinite(next) && next !== value) onchange(next);
	};
</script>

<span class="border-edge bg-sheet inline-flex h-7 items-center rounded-lg border">
	<button type="button" class="icon-btn h-[26px] w-6" aria-label="Less {label}" disabled={value <= min} onclick={() => set(value - step)}>
		<Minus size={13} />
	</button>
	<input
		autocomplete="off"
		class="w-9 bg-transparent text-right font-semibold outline-offset-0"
		type="number"
		inputmode="decimal"
		aria-label={label}
		title={label}
		{min}
		{max}
		{step}
		{value}
		onchange={(e) => set(e.currentTarget.valueAsNumber)}
	/>
	<span class="text-ink2 pl-0.5 text-xs">{unit}</span>
	<button type="button" class="icon-btn h-[26px] w-6" aria-label="More {label}" disabled={value >= max} onclick={() => set(value + step)}>
		<Plus size={13} />
	</button>
</span>

<style>
	input::-webkit-inner-spin-button {
		appearance: none;
	}
	input {
		appearance: textfield;
	}
</style>
