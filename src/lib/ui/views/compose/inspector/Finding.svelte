<script lang="ts">
	import EllipsisVertical from '@lucide/svelte/icons/ellipsis-vertical';
	import type { Finding } from '$lib/core/rules/rule';
	import { fixLabel, type Sentence } from '$lib/core/rules/wording';
	import type { Preview } from '$lib/state/previewOf';
	import Menu from '../../../parts/controls/Menu.svelte';
	import ChangePreview from './ChangePreview.svelte';
	import Pennant from '../../../parts/glyphs/Pennant.svelte';

	interface Props {
		finding: Finding;
		/** What is said of it; of several at once where they belong together. */
		sentence: Sentence;
		/** What the model says to it. */
		model?: string | null;
		/** What its fix would change; null where no fix is possible. */
		preview: (() => Preview | null) | null;
		onfix: () => void;
		/** The steps that it was found on, where they are several. */
		steps?: readonly { readonly id: string; readonly number: number }[];
		onstep?: (id: string) => void;
		onjump?: () => void;
		/** Absent where it cannot be set aside. */
		onmute?: (reason: string) => void;
	}
	let { finding, sentence, model = null, preview, onfix, steps = [], onstep, onjump, onmute }: Props = $props();
	const uid = $props.id();
	const WORD = { stop: 'Stop', caution: 'Caution', advice: 'Advice' } as const;
	/** So many steps are named, the others counted. */
	const MOST = 12;
	let shown = $state<'nothing' | 'fix' | 'mute'>('nothing');
	let reason = $state('');
	const made = $derived(shown === 'fix' && preview ? preview() : null);
	const focus = (node: HTMLElement) => node.focus();
</script>

<li class="grid grid-cols-[18px_minmax(0,1fr)_auto] items-start gap-x-1.5 py-1.5 text-xs leading-4" data-rule={finding.ruleId}>
	<span title={WORD[finding.severity]} class="pt-px"><Pennant severity={finding.severity} size={14} /></span>
	<p class="text-ink2">
		<span class="sr-only">{WORD[finding.severity]}.</span>
		{#if onjump}<button type="button" class="text-ink hover:dotted text-left font-semibold" onclick={onjump}>{sentence.head}</button>
		{:else}<b class="text-ink font-semibold">{sentence.head}</b>{/if}
		{sentence.body}
		{#if model}<span class="water text-ink2 block" data-model>{model}</span>{/if}
	</p>
	<span class="flex items-start">
		{#if preview && shown === 'nothing'}<button type="button" class="btn ml-1.5 min-h-[26px] px-2.5" onclick={() => (shown = 'fix')}
				>{fixLabel(finding.ruleId)}</button
			>{/if}
		<Menu
			label="More on this finding"
			class="icon-btn h-[26px] w-5"
			items={[
				{ label: 'About this rule', href: `/library/rules?rule=${finding.ruleId}` },
				...(onmute ? [{ label: 'Set aside, with a reason', onselect: () => (shown = 'mute'), opensField: true }] : [])
			]}><EllipsisVertical size={14} /></Menu
		>
	</span>
	{#if steps.length > 1}
		<p class="col-span-2 col-start-2 flex flex-wrap gap-1 pt-1" aria-label="Steps">
			{#each steps.slice(0, MOST) as { id, number } (id)}
				<button
					type="button"
					class="border-hair hover:bg-wash min-h-6 min-w-6 rounded border px-1 text-[11px]"
					aria-label="To step {number}"
					onclick={() => onstep?.(id)}>{number}</button
				>
			{/each}
			{#if steps.length > MOST}<span class="text-ink2 self-center">and {steps.length - MOST} more</span>{/if}
		</p>
	{/if}
	{#if shown === 'fix' && made}
		<div class="col-span-2 col-start-2 mt-1">
			<ChangePreview
				preview={made}
				label="What the fix changes"
				onapply={() => {
					shown = 'nothing';
					onfix();
				}}
				oncancel={() => (shown = 'nothing')}
			/>
		</div>
	{:else if shown === 'mute'}
		<form
			class="col-span-2 col-start-2 mt-1 flex gap-2"
			onsubmit={(e) => {
				e.preventDefault();
				if (reason.trim()) onmute?.(reason);
			}}
		>
			<label class="sr-only" for="{uid}-why">Why it is set aside</label>
			<input
				autocomplete="off"
				id="{uid}-why"
				class="field min-h-7 flex-1 py-0.5 text-xs"
				placeholder="Why you set it aside"
				maxlength="2000"
				required
				bind:value={reason}
				use:focus
				onkeydown={(e) => e.key === 'Escape' && (shown = 'nothing')}
			/>
			<button type="submit" class="btn min-h-7">Set aside</button>
		</form>
	{/if}
</li>
