<script lang="ts">
	import { askedWords, type Supplies } from '$lib/core/perform/supplies';
	import type { PlacedStep } from '$lib/core/sequence/walk';

	interface Props {
		placed: PlacedStep;
		supplies: Supplies;
	}
	let { placed, supplies }: Props = $props();
	const { step, number } = $derived(placed);
</script>

<!-- The condition of a step, and what is done if it is met. -->
<b class="font-semibold">If {step.onlyIf}:</b>
<span class="text-ink2">{askedWords(step, supplies)} (step {number})</span>
