<script lang="ts">
	import { fieldWord } from '$lib/core/step/stepFields';
	import type { Problem } from '$lib/formats/problem';

	interface Props {
		problems: readonly Problem[];
	}
	let { problems }: Props = $props();
	const text = ({ path, message, remedy }: Problem) => `${path ? `${fieldWord(path)}: ` : ''}${message.replace(/\.$/, '')}. ${remedy}`;
</script>

{#if problems.length}
	<ul class="text-flag my-2 space-y-0.5 text-xs leading-4" role="alert">
		{#each problems as problem, i (i)}<li>{text(problem)}</li>{/each}
	</ul>
{/if}
