<script lang="ts">
	import { tideOf } from '../../../parts/shell/addresses';
	import Check from '@lucide/svelte/icons/check';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronUp from '@lucide/svelte/icons/chevron-up';
	import { MODEL_SAYS } from '$lib/core/flow/words';
	import { startOptions, type TideState, type TideStart } from '$lib/state/tide.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import BalanceBar from './BalanceBar.svelte';

	interface Props {
		state: TideState;
		cursorSeconds: number;
		/** The sequence, to set it against others. */
		sequenceId: string;
		/** When the client was felt, in words. */
		when: string;
		/** Zones whose ribbons are shown, and whether more could be. */
		all: boolean;
		more: boolean;
		onall: () => void;
	}
	let { state, cursorSeconds, sequenceId, when, all, more, onall }: Props = $props();
</script>

<div class="bg-sea flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1">
	{#if state.tide}<BalanceBar tide={state.tide} seconds={cursorSeconds} />{/if}
	{#if state.notice && !state.trouble}<p class="text-ink2 text-[11.5px]" role="status">{state.notice}</p>{/if}
	{#if state.trouble}<p class="text-flag text-[11.5px]" role="alert">{state.trouble}</p>{/if}
	<span class="text-ink2 ml-auto flex items-center gap-2 text-[11.5px]">
		{#if more || all}
			<button type="button" class="dotted flex min-h-6 items-center gap-1 whitespace-nowrap" aria-expanded={all} onclick={onall}
				>{#if all}<ChevronUp size={13} />Fewer zones{:else}<ChevronDown size={13} />All zones{/if}</button
			>
		{/if}
		<button
			type="button"
			class="dotted flex min-h-6 items-center gap-1.5 whitespace-nowrap"
			aria-pressed={state.layer}
			title="Every step left out, over {state.allWorth?.draws ?? 'many'} modelled faces. {MODEL_SAYS}"
			onclick={() => (state.layer = !state.layer)}
			>{#if state.layer}<Check size={13} />{/if}What each step is worth{#if state.layer && state.weighed < 1}<span role="status"
					>{Math.round(100 * state.weighed)} %</span
				>{/if}</button
		>
		<Select
			label="The face at the start"
			value={state.start}
			options={startOptions(state.canBeFelt, when)}
			onchange={(s: TideStart) => state.choose(s)}
			class="!min-h-6 !py-0 text-[11.5px]"
		/>
		<a class="dotted whitespace-nowrap" href={tideOf([sequenceId])}>Compare</a>
		<a class="dotted whitespace-nowrap" href="/library/model" title={MODEL_SAYS}>What this is</a>
	</span>
</div>
