<svelte:options namespace="svg" />

<script lang="ts">
	import type { gradesByZone } from '$lib/core/assess/assessment';
	import { gradeShape, STRONGEST_GRADE } from './cardShapes';

	interface Props {
		grades: ReturnType<typeof gradesByZone>;
	}
	let { grades }: Props = $props();
</script>

<!-- Places of a face, the stronger the higher the grade: inside of a drawing. -->
{#each grades as grade (`${grade.zone} ${grade.side}`)}{#if grade.grade > 0}<path
			d={gradeShape(grade)}
			fill="var(--water1)"
			fill-opacity={(0.75 * grade.grade) / STRONGEST_GRADE}
		/>{/if}{/each}
