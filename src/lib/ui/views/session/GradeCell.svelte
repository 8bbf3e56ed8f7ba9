<script lang="ts">
	import { nextGrade } from '$lib/core/assess/assessment';
	import { GRADES, type Grade } from '$lib/core/assess/observation';
	import Gauge from './Gauge.svelte';

	interface Props {
		grade: Grade | null;
		ghost: Grade | null;
		/** Zone and side, read by a screen reader. */
		name: string;
		words: readonly string[];
		active: boolean;
		onchange: (grade: Grade | null) => void;
		onfocus: () => void;
	}
	let { grade, ghost, name, words, active, onchange, onfocus }: Props = $props();
	function key(e: KeyboardEvent) {
		if (/^[0-4]$/.test(e.key)) onchange(Number(e.key) as Grade);
		else if (e.key === 'Delete' || e.key === 'Backspace') onchange(null);
		else if (e.key === 'ArrowUp') onchange(GRADES[Math.min(4, (grade ?? 0) + 1)]!);
		else if (e.key === 'ArrowDown') onchange(GRADES[Math.max(0, (grade ?? 1) - 1)]!);
		else return;
		e.preventDefault();
	}
</script>

<button
	type="button"
	class="flex min-h-11 items-center gap-2 rounded-lg px-2 {active ? 'bg-wash' : 'hover:bg-wash/50'}"
	aria-label="{name}: {grade === null ? 'not felt' : `${grade}, ${words[grade]}`}. Tap for one more, keys 0 to 4 set it."
	onclick={() => onchange(nextGrade(grade))}
	onkeydown={key}
	{onfocus}
>
	<b class="w-4 text-right text-[19px] leading-6 font-semibold {grade === null ? 'text-ink3' : ''}">{grade ?? '–'}</b>
	<Gauge {grade} {ghost} height={32} />
	<span class="text-ink2 w-[74px] text-left text-[13px]">{grade === null ? 'not felt' : words[grade]}</span>
</button>
