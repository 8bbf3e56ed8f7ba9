<script lang="ts">
	import type { Technique } from '$lib/core/technique/technique.schema';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import { insteadOfTechnique, techniqueToday } from '$lib/core/screening/ofTechnique';
	import { moveAt } from '../shell/addresses';
	import Pennant from '../glyphs/Pennant.svelte';

	interface Props {
		technique: Technique;
		all: readonly Technique[];
		limits: readonly Limit[];
		/** Whose limits they are. */
		name: string;
	}
	let { technique, all, limits, name }: Props = $props();
	const today = $derived(techniqueToday(technique, limits));
	const reasons = $derived([...new Set(today.limits.map((l) => `${l.name}: ${l.reason}`))]);
	const instead = $derived(today.verdict === 'fine' ? [] : insteadOfTechnique(technique, all, limits));
</script>

{#if today.verdict !== 'fine'}
	<section class="border-flag mt-2 border-l-2 pl-3 text-[12.5px] leading-[17px]" aria-label="Today for {name}">
		<p class="flex items-center gap-1.5 font-semibold">
			<Pennant severity={today.verdict === 'not' ? 'stop' : 'caution'} />{today.verdict === 'not'
				? `Not for ${name} today.`
				: `For ${name} only otherwise: elsewhere, lighter, or by hand.`}
		</p>
		{#each reasons as reason (reason)}<p class="text-ink2">{reason}</p>{/each}
		{#if instead.length}<p>
				For the same aim:
				{#each instead as t, i (t.id)}{i ? ', ' : ''}<a class="dotted" href={moveAt(t.id)}>{t.title}</a>{techniqueToday(t, limits)
						.verdict === 'fine'
						? ''
						: ', made to fit'}{/each}.
			</p>{/if}
	</section>
{/if}
