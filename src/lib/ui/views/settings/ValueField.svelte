<script lang="ts">
	import { numberOf } from '$lib/core/assess/units';
	import type { WorkingValue } from '$lib/core/working/workingValues';

	interface Props {
		value: WorkingValue;
		/** As it is set. */
		number: number;
		/** The id of the sentence that says what is wrong with it; absent where nothing is. */
		troubleId?: string | undefined;
		/** NaN where what was typed is no number. */
		onchange: (number: number) => void;
	}
	let { value, number, troubleId, onchange }: Props = $props();
	const changed = $derived(number !== value.shipped);
</script>

<input
	autocomplete="off"
	class="field w-[74px] text-right {changed ? 'font-semibold' : ''} {troubleId ? 'border-flag' : ''}"
	inputmode="decimal"
	aria-label="{value.label}{value.unit ? `, ${value.unit}` : ''}"
	aria-invalid={troubleId !== undefined}
	aria-describedby={troubleId}
	value={String(number)}
	onchange={(e) => onchange(numberOf(e.currentTarget.value) ?? NaN)}
/>
