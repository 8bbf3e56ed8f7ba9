<script lang="ts">
	import type { FollowUp } from '$lib/core/client/answer.schema';
	import { openReactions } from '$lib/core/screening/reactions';
	import type { Session } from '$lib/core/records/session';
	import { dayOfYear, onWall } from '../../parts/dates';

	interface Props {
		sessions: readonly Session[];
		followUps: readonly FollowUp[];
		today: string;
		now: () => string;
		onanswer: (followUp: FollowUp) => void;
	}
	let { sessions, followUps, today, now, onanswer }: Props = $props();
	const open = $derived(openReactions(sessions, followUps, today));
	const WENT = [
		['gone', 'Gone'],
		['better', 'Better'],
		['still', 'Still there'],
		['worse', 'Worse']
	] as const;
</script>

<!-- What was noted after an earlier session comes back, until it is said how it went. -->
{#each open as session (session.id)}
	<section class="border-flag mb-3 border-l-2 pl-3" aria-label="How it went">
		<h2 class="text-[14px] leading-5 font-semibold">After {dayOfYear(onWall(session.startedAt, session))}: {session.sideEffects}</h2>
		<p class="text-ink2 text-[12.5px]">How did it go?</p>
		<div class="mt-1 flex flex-wrap gap-1.5">
			{#each WENT as [went, label] (went)}
				<button type="button" class="btn" onclick={() => onanswer({ sessionId: session.id, went, note: '', day: today, at: now() })}
					>{label}</button
				>
			{/each}
		</div>
	</section>
{/each}
