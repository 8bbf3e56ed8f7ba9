<script lang="ts">
	import { makeItFit } from '$lib/core/fitted/makeItFit';
	import type { JudgeInput } from '$lib/core/rules/judge';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { composeAt, sessionWith } from '../../parts/shell/addresses';

	interface Props {
		/** What she had last, or what is made for her; null where there is nothing yet. */
		sequence: Sequence | null;
		given: JudgeInput;
		/** She is chosen before the session opens. */
		onbegin: () => void;
		refused: boolean;
	}
	let { sequence, given, onbegin, refused }: Props = $props();
	const fitted = $derived(sequence ? makeItFit(sequence, given) : null);
	const count = (n: number, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : []);
	const words = $derived.by(() => {
		if (!fitted) return '';
		const gone = fitted.changes.filter((c) => c.kind === 'removed').length;
		const otherwise = new Set(fitted.changes.filter((c) => c.kind === 'changed').map((c) => c.stepId)).size;
		const parts = [...count(gone, 'step falls away', 'steps fall away'), ...count(otherwise, 'is done otherwise', 'are done otherwise')];
		return parts.length ? parts.join(', ') : 'as it is';
	});
</script>

{#if sequence && fitted}
	<section class="border-ink mt-0 flex items-start gap-4 border-t pt-2.5" aria-label="Her plan">
		<p class="min-w-0 flex-1 text-[13px] leading-[18px]">
			<b class="font-semibold">{sequence.title}</b>, {stepsOf(sequence).length} steps: {words}.
			{#if refused}No massage today.{:else if fitted.unsaved.length}{#each fitted.unsaved.slice(0, 2) as u (u.what)}<span
						class="text-flag block">{u.what}</span
					>{/each}{:else}Nothing is left that she must not have.{/if}
			<a class="dotted" href={composeAt(sequence.id)} onclick={onbegin}>Look at it in Compose</a>
		</p>
		{#if !refused}<a class="btn" href={sessionWith(sequence.id)} onclick={onbegin}>{fitted.edit ? 'Make it fit her' : 'Begin'}</a>{/if}
	</section>
{/if}
