<script lang="ts">
	import { atOnceOf, lastingOf, leftLessRight, onSide, type AtOnce, type Lasting } from '$lib/core/assess/lasting';
	import { measuredRow, type ObservationId } from '$lib/core/assess/registry';
	import { lengthText, type LengthUnit } from '$lib/core/assess/units';
	import type { Session } from '$lib/core/records/session';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import VerdictSign from '../../parts/verdict/VerdictSign.svelte';

	interface Props {
		sessions: readonly Session[];
		observed: ObservationId;
		unit: LengthUnit;
		/** Also what lies between the sides. */
		uneven?: boolean;
	}
	let { sessions, observed, unit, uneven = false }: Props = $props();
	const rows = $derived(
		[
			...sidesAsSeen().map((side) => ({ name: `client’s ${side}`, value: onSide(observed, side) })),
			...(uneven ? [{ name: 'left less right', value: leftLessRight(observed) }] : [])
		].map(({ name, value }) => ({ name, atOnce: atOnceOf(sessions, value), lasting: lastingOf(sessions, value) }))
	);
	const signed = (mm: number) => {
		const text = lengthText(Math.abs(mm), unit);
		return Number(text) === 0 ? text : `${mm < 0 ? '−' : '+'}${text}`;
	};
	const WORDS: Record<Lasting['verdict'], string> = {
		less: 'less',
		more: 'more',
		'may-be-chance': 'may be chance',
		'too-few': 'not enough visits',
		'other-hours': 'not enough visits at the same hour'
	};
	const sign = ({ verdict, middle }: AtOnce | Lasting) =>
		verdict === 'less' || verdict === 'more'
			? ({ verdict: 'changed', delta: middle } as const)
			: ({ verdict: verdict === 'may-be-chance' ? 'within-error' : 'not-comparable', delta: null } as const);
	const bounded = ({ low, high }: AtOnce | Lasting) => Number.isFinite(low) && Number.isFinite(high);
</script>

{#snippet figure(estimate: AtOnce | Lasting, visits: string)}
	<td class="pl-3"
		><span class="flex items-center gap-1.5 whitespace-nowrap {sign(estimate).verdict === 'changed' ? 'font-semibold' : ''}"
			><VerdictSign change={sign(estimate)} />{#if bounded(estimate)}<span>{signed(estimate.middle)}</span>
				<span class="text-ink2 font-normal">{signed(estimate.low)} to {signed(estimate.high)}</span>{/if}</span
		>
		<span class="text-ink2 block text-[12px] leading-4">{WORDS[estimate.verdict]}, {estimate.n} {visits}</span></td
	>
{/snippet}
<table class="h-fit text-[13px]">
	<caption class="sr-only">{measuredRow(observed).label}: what a session does at once, and what stays</caption>
	<thead class="text-ink3 text-[11.5px]"
		><tr class="text-left"
			><th class="pr-2 font-normal">{measuredRow(observed).label}, {unit}</th><th class="pl-3 font-normal">at once: after less before</th
			><th class="pl-3 font-normal">lasting: before, a week</th></tr
		></thead
	>
	<tbody>
		{#each rows as { name, atOnce, lasting } (name)}
			<tr class="border-hair border-t align-top">
				<th scope="row" class="py-1 pr-2 text-left font-normal">{name}</th>
				{@render figure(atOnce, 'sessions')}
				{@render figure(lasting, 'visits at like hours')}
			</tr>
		{/each}
	</tbody>
</table>
