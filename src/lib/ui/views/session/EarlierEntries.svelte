<script lang="ts">
	import { entryDifferences, saidDifferences } from '$lib/core/records/earlier';
	import type { Session } from '$lib/core/records/session';
	import { dayAndHour } from '../../parts/dates';

	interface Props {
		session: Session;
	}
	let { session }: Props = $props();
	/** Each state against the next one, the last against what stands now. */
	const changes = $derived(
		session.earlier
			.map((was, i) => {
				const next = session.earlier[i + 1] ?? session;
				return {
					at: was.at,
					rows: [
						...entryDifferences(was.before, next.before).map((d) => ({ ...d, when: 'before' })),
						...entryDifferences(was.after, next.after).map((d) => ({ ...d, when: 'after' })),
						...saidDifferences(was, next).map((d) => ({ ...d, when: '' }))
					]
				};
			})
			.filter(({ rows }) => rows.length)
	);
</script>

{#if changes.length}<details class="text-[12.5px] leading-4">
		<summary class="cursor-pointer">Changed after the session: {changes.length === 1 ? 'once' : `${changes.length} times`}</summary>
		{#each changes as { at, rows } (at)}
			<p class="pt-1.5 font-semibold">{dayAndHour(at)}</p>
			<ul>
				{#each rows as { what, was, is, when } (when + what)}<li>
						{what}{when ? ` (${when})` : ''}: {was || 'nothing'}, now {is || 'nothing'}
					</li>{/each}
			</ul>
		{/each}
	</details>{/if}
