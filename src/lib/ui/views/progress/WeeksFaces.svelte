<script lang="ts">
	import { gradesByZone } from '$lib/core/assess/assessment';
	import { gradeRow, type ObservationId } from '$lib/core/assess/registry';
	import type { Session } from '$lib/core/records/session';
	import { onWall, shortDay } from '../../parts/dates';
	import Figure from '../../parts/map/Figure.svelte';
	import { frameOf } from '../../parts/map/orientation';
	import GradedPlaces from './GradedPlaces.svelte';

	interface Props {
		sessions: readonly Session[];
		/** What was graded. */
		observed: ObservationId;
		chosenId: string | null;
		onchoose: (id: string) => void;
	}
	let { sessions, observed, chosenId, onchoose }: Props = $props();
	const uid = $props.id();
	const frame = frameOf('front', false);
	const faces = $derived(
		sessions.map((session, i) => ({
			id: session.id,
			number: i + 1,
			day: shortDay(onWall(session.startedAt, session)),
			grades: gradesByZone(session.before, observed)
		}))
	);
	const words = (grades: ReturnType<typeof gradesByZone>) =>
		grades.length
			? `${grades.filter((g) => g.grade > 0).length} of ${grades.length} places graded, the highest ${Math.max(...grades.map((g) => g.grade))}`
			: 'not graded';
</script>

<!-- Every visit a face: the grade before the session, the fuller the stronger. -->
<svg width="0" height="0" class="absolute" aria-hidden="true">
	<symbol id="{uid}-face" viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
		><Figure view="front" uid="{uid}-f" wide={false} plain /></symbol
	>
</svg>
<ol
	class="grid gap-1"
	style="grid-template-columns: repeat(auto-fill, minmax(clamp(58px, 8vw, 96px), 1fr))"
	aria-label="{gradeRow(observed).label} before each session"
>
	{#each faces as { id, number, day, grades } (id)}
		<li>
			<button
				type="button"
				class="block w-full max-w-[116px] rounded-lg p-1 text-center {id === chosenId
					? 'bg-wash outline-primary outline-2'
					: 'hover:bg-wash'}"
				aria-pressed={id === chosenId}
				aria-label="Visit {number}, {day}: {words(grades)}"
				onclick={() => onchoose(id)}
			>
				<svg
					viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
					class="w-full"
					style="aspect-ratio: {frame.width} / {frame.height}"
					aria-hidden="true"
				>
					<use href="#{uid}-face" x={frame.x} y={frame.y} width={frame.width} height={frame.height} />
					<GradedPlaces {grades} />
				</svg>
				<span class="text-[11.5px] leading-4 {id === chosenId ? 'font-semibold' : 'text-ink2'}">{day}</span>
			</button>
		</li>
	{/each}
</ol>
