<script lang="ts">
	import { saidDay } from '$lib/core/client/saidDay';
	import type { AllowedLine } from '$lib/core/screening/allowed';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import WaitDays from './WaitDays.svelte';

	interface Props {
		lines: readonly AllowedLine[];
		/** What is cleared, and by whom. */
		cleared: readonly { readonly name: string; readonly words: string }[];
		/** Whether anything was ever asked. */
		asked: boolean;
	}
	let { lines, cleared, asked }: Props = $props();
</script>

<ol class="border-hair border-t" aria-label="What today allows">
	{#each lines as line (line.key)}
		<li class="border-hair flex gap-3 border-b py-2.5">
			<span
				class="border-ink mt-0.5 grid size-[19px] flex-none place-items-center rounded-full border text-[11.5px] font-[560]"
				aria-hidden="true">{line.number}</span
			>
			<div class="min-w-0 flex-1 leading-[18px]">
				{#each line.effects as effect, i (effect)}
					<p class="text-[13.5px]">
						{#if i === 0}<b class="font-semibold">{effect}</b>{:else}{effect}{/if}
					</p>
				{/each}
				<p class="text-ink2 text-[12.5px]">
					<b class="font-[560]">{line.name}</b>{line.since ? `, ${saidDay(line.since)}` : ''}. {line.reason}
				</p>
				{#if line.wait && line.until}<WaitDays {...line.wait} until={line.until} />
				{:else if line.until}<p class="text-ink2 text-[12.5px]">Until {saidDay(line.until)}.</p>{/if}
			</div>
			<span class="pt-0.5" title={line.severity}><Pennant severity={line.severity} /></span>
		</li>
	{:else}
		<li class="text-ink2 py-3 text-[13.5px] leading-5">
			{asked
				? 'Nothing that was answered limits the work today.'
				: 'Nothing was asked yet. Without the intake, no plan is held to anything.'}
		</li>
	{/each}
	{#each cleared as { name, words } (name)}
		<li class="border-hair text-ink2 flex gap-3 border-b py-2 text-[12.5px] leading-[18px]">
			<span class="w-[19px] text-center" aria-hidden="true">✓</span><span><b class="font-semibold">{name}</b> {words}</span>
		</li>
	{/each}
</ol>
