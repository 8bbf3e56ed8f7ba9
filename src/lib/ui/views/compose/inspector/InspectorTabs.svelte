<script lang="ts" module>
	export type InspectorTab = 'step' | 'findings' | 'sequence' | 'text';
</script>

<script lang="ts">
	import { Tabs } from 'bits-ui';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import { loadTechniques, type Techniques } from '$lib/state/techniques.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import ComposeFacts from '../ComposeFacts.svelte';

	/** Each is fetched when it is looked at. */
	const stepInspector = () => import('./StepInspector.svelte');
	const manyPanel = () => import('./ManyPanel.svelte');
	const findingsPanel = () => import('./FindingsPanel.svelte');
	const sequencePanel = () => import('./SequencePanel.svelte');
	const textPane = () => Promise.all([import('../text/TextPane.svelte'), loadTechniques()]);

	interface Props {
		draft: SequenceDraft;
		tide: TideState | null;
		library: Techniques;
		newId: () => string;
		tab: InspectorTab;
	}
	let { draft, tide, library, newId, tab = $bindable() }: Props = $props();
	const TABS = $derived([
		{ value: 'step', label: draft.chosen.many ? `${draft.chosen.ids.size} steps` : 'Step' },
		{ value: 'findings', label: `Findings ${draft.judgement.findings.length || ''}` },
		{ value: 'sequence', label: 'Sequence' },
		{ value: 'text', label: 'Text' }
	]);
</script>

<Tabs.Root bind:value={tab} class="flex min-h-0 flex-1 flex-col">
	<Tabs.List class="border-hair flex flex-none gap-4 border-b" aria-label="Inspector">
		{#each TABS as t (t.value)}
			<Tabs.Trigger
				value={t.value}
				class="text-ink2 data-[state=active]:text-ink data-[state=active]:border-ink -mb-px min-h-7 border-b-2 border-transparent data-[state=active]:font-semibold"
				>{t.label}</Tabs.Trigger
			>
		{/each}
	</Tabs.List>
	<Tabs.Content value="step" class="panel">
		{#if tab !== 'step'}<!-- drawn when it is looked at -->{:else if draft.chosen.many}
			{#await manyPanel() then { default: ManyPanel }}<ManyPanel {draft} {newId} />{/await}
		{:else if draft.inspected}
			{#await stepInspector() then { default: StepInspector }}{#if draft.inspected}<StepInspector
						{draft}
						placed={draft.inspected}
						{tide}
						{newId}
					/>{/if}{/await}
		{:else}<ComposeFacts {draft} onfindings={() => (tab = 'findings')} />{/if}
	</Tabs.Content>
	<Tabs.Content value="findings" class="panel"
		>{#if tab === 'findings'}{#await findingsPanel() then { default: FindingsPanel }}<FindingsPanel
					{draft}
					{tide}
				/>{/await}{/if}</Tabs.Content
	>
	<Tabs.Content value="sequence" class="panel"
		>{#if tab === 'sequence'}{#await sequencePanel() then { default: SequencePanel }}<SequencePanel {draft} />{/await}{/if}</Tabs.Content
	>
	<Tabs.Content value="text" class="flex min-h-0 flex-1 flex-col pt-2"
		>{#if tab === 'text'}{#await textPane() then [{ default: TextPane }]}<TextPane {draft} {library} {newId} />{/await}{/if}</Tabs.Content
	>
</Tabs.Root>

<style>
	/* The tabs stay in sight; what they show scrolls. */
	:global(.panel) {
		flex: 1;
		min-height: 0;
		overflow-y: auto;
		margin-right: -16px;
		padding: 8px 16px 12px 0;
		position: relative;
	}
	:global(.panel[hidden]) {
		display: none;
	}
</style>
