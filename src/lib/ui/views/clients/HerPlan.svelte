<script lang="ts">
	import { stepsOf } from '$lib/core/sequence/walk';
	import { fitWords, type PlanOfToday } from '$lib/core/visit/planOfToday';
	import { BECAUSE_SAID, type Chosen } from '$lib/core/visit/sequenceFor';
	import { composeAt, sessionFor } from '../../parts/shell/addresses';

	interface Props {
		clientId: string;
		/** The sequence of today; null where there is none yet. */
		chosen: Chosen | null;
		plan: PlanOfToday;
		/** It is looked at in Compose: the client is up next then. */
		onlook: () => void;
	}
	let { clientId, chosen, plan, onlook }: Props = $props();
	const refused = $derived(plan.refusals.length > 0);
</script>

{#if chosen}
	<section class="border-ink mt-0 flex items-start gap-4 border-t pt-2.5" aria-label="The plan of today">
		<p class="min-w-0 flex-1 text-[13px] leading-[18px]">
			<b class="font-semibold">{chosen.sequence.title}</b>, {BECAUSE_SAID[chosen.because]}, {stepsOf(chosen.sequence).length} steps: {fitWords(
				plan
			)}.
			{#if refused}No massage today.{:else if plan.fitted?.unsaved.length}{#each plan.fitted.unsaved.slice(0, 2) as u (u.what)}<span
						class="text-flag block">{u.what}</span
					>{/each}{:else if plan.clientStops.length === 0}Nothing is left that she must not have.{/if}
			<a class="dotted" href={composeAt(chosen.sequence.id)} onclick={onlook}>Look at it in Compose</a>
		</p>
		{#if !refused}<a class="btn" href={sessionFor(clientId, chosen.sequence.id)}>{plan.fitted?.edit ? 'Make it fit her' : 'Begin'}</a>{/if}
	</section>
{/if}
