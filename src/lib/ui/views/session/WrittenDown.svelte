<script lang="ts">
	import { asDone } from '$lib/core/perform/account';
	import type { Session } from '$lib/core/records/session';
	import type { ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { stepTitle } from '$lib/core/step/describe';
	import Stepper from '../../parts/controls/Stepper.svelte';

	interface Props {
		session: Session;
		sequence: Sequence;
		context: ExpandContext;
		onchange: (fields: Partial<Session>) => void;
	}
	let { session, sequence, context, onchange }: Props = $props();
	const left = $derived(new Set(session.done.filter((d) => d.skipped).map((d) => d.stepId)));
	const steps = $derived(stepsOf(sequence).filter(({ step }) => session.done.some((d) => d.stepId === step.id)));
	const minutes = $derived(Math.max(1, Math.round(session.workedSeconds / 60)));
	const leave = (stepId: string) => {
		const out = new Set(left);
		if (!out.delete(stepId)) out.add(stepId);
		onchange({ done: asDone(sequence, out, context) });
	};
	function took(value: number) {
		const ended = Date.parse(session.endedAt ?? session.startedAt);
		onchange({ workedSeconds: 60 * value, startedAt: new Date(ended - 60_000 * value).toISOString() });
	}
</script>

<section aria-label="Written down afterwards">
	<h2 class="mb-1 text-[15px] font-semibold">What was done</h2>
	<p class="flex items-center gap-2">
		It took <Stepper value={minutes} label="minutes that it took" unit="min" min={1} max={240} onchange={took} />
	</p>
	<p class="text-ink2 mt-2 text-[13px]">Take away what was left out:</p>
	<ul class="max-h-[260px] overflow-y-auto text-[14px]">
		{#each steps as { step, number } (step.id)}
			<li>
				<label class="flex min-h-8 items-center gap-2"
					><input type="checkbox" class="accent-[var(--drain)]" checked={!left.has(step.id)} onchange={() => leave(step.id)} />{number}. {stepTitle(
						step
					)}</label
				>
			</li>
		{/each}
	</ul>
</section>
