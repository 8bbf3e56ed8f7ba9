<script lang="ts">
	import { stepTitle } from '$lib/core/step/describe';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';

	interface Props {
		placed: PlacedStep;
	}
	let { placed }: Props = $props();
	const { step, number } = $derived(placed);
</script>

<!-- The condition of a step, and what is done if it is met. -->
<b class="font-semibold">If {step.onlyIf}:</b>
<span class="text-ink2">{number}, {AIMS[step.aim].toLowerCase()} {stepTitle(step).toLowerCase()}</span>
