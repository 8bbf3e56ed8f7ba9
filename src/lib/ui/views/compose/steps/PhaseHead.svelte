<script lang="ts">
	import Menu from '../../../parts/controls/Menu.svelte';
	import type { MenuItem } from '../../../parts/controls/menuItem';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import { clock } from '$lib/core/step/describe';
	import type { Edit } from '$lib/core/sequence/edit.schema';
	import { removePhase, renamePhase, setExit } from '$lib/core/sequence/edits';
	import { setExitTitle, setPasses } from '$lib/core/sequence/versionEdits';
	import type { Phase, Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsInPhase } from '$lib/core/sequence/walk';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';

	interface Props {
		phase: Phase;
		sequence: Sequence;
		seconds: number;
		open: boolean;
		ontoggle: () => void;
		onedit: (edit: Edit) => void;
	}
	let { phase, sequence, seconds, open, ontoggle, onedit }: Props = $props();
	const steps = $derived(stepsInPhase(phase));
	const times = $derived(phase.passes ?? 1);
	const later = $derived(sequence.phases.slice(sequence.phases.indexOf(phase) + 1));
	/** What a version that ends here leaves out. */
	const dropped = $derived(later.map((p) => p.title.toLowerCase()).join(', '));
	let naming = $state(false);
	let renaming = $state(false);
	function nameExit(title: string) {
		naming = false;
		if (title.trim() !== (phase.exitTitle ?? '')) onedit(setExitTitle(sequence, phase.id, title.trim().slice(0, 200)));
	}
	function rename(title: string) {
		renaming = false;
		if (title.trim() && title.trim() !== phase.title) onedit(renamePhase(sequence, phase.id, title.trim().slice(0, 200)));
	}
	const focus = (node: HTMLInputElement) => node.select();
	const items = $derived<MenuItem[]>([
		{ label: 'Rename', onselect: () => (renaming = true), opensField: true },
		{
			label: 'A short version may end here',
			checked: phase.exitAfter,
			onselect: () => onedit(setExit(sequence, phase.id, !phase.exitAfter))
		},
		...(phase.exitAfter ? [{ label: 'Name the short version', onselect: () => (naming = true), opensField: true }] : []),
		{ label: 'Do it once more', disabled: times > 8, onselect: () => onedit(setPasses(sequence, phase.id, times + 1)) },
		...(times > 1 ? [{ label: 'Do it once less', onselect: () => onedit(setPasses(sequence, phase.id, times - 1)) }] : []),
		{
			label: 'Remove with its steps',
			disabled: sequence.phases.length < 2,
			onselect: () => onedit(removePhase(sequence, phase.id))
		}
	]);
</script>

<div class="border-hair flex h-[27px] items-center gap-2 border-t pr-[18px]">
	{#if renaming}
		<input
			autocomplete="off"
			class="field h-6 min-h-0 w-56 py-0 font-semibold"
			aria-label="Name of the phase"
			value={phase.title}
			maxlength="200"
			use:focus
			onblur={(e) => rename(e.currentTarget.value)}
			onkeydown={(e) => {
				if (e.key === 'Enter') e.currentTarget.blur();
				if (e.key === 'Escape') renaming = false;
				e.stopPropagation();
			}}
		/>
	{:else if naming}
		<input
			autocomplete="off"
			class="field h-6 min-h-0 w-56 py-0"
			aria-label="Name of the short version"
			placeholder="such as: five minutes"
			value={phase.exitTitle ?? ''}
			maxlength="200"
			use:focus
			onblur={(e) => nameExit(e.currentTarget.value)}
			onkeydown={(e) => {
				if (e.key === 'Enter') e.currentTarget.blur();
				if (e.key === 'Escape') naming = false;
				e.stopPropagation();
			}}
		/>
	{:else}
		<button
			type="button"
			class="flex h-6 items-center gap-1 rounded pr-2 focus-visible:-outline-offset-2"
			aria-expanded={open}
			onclick={ontoggle}
		>
			{#if open}<ChevronDown size={15} />{:else}<ChevronRight size={15} />{/if}
			<span class="flare font-semibold">{phase.title}</span>
		</button>
	{/if}
	{#if times > 1}<span class="text-ink2 text-[11.5px] whitespace-nowrap">{times} times</span>{/if}
	{#if phase.exitAfter}<span class="text-ink2 truncate text-[11.5px]"
			>{phase.exitTitle ?? 'a short version'} may end here{dropped ? `, without ${dropped}` : ''}</span
		>{/if}
	<span class="flex flex-1 gap-2 overflow-hidden">
		{#if !open}{#each steps.slice(0, 14) as step (step.id)}<AimGlyph aim={step.aim} />{/each}{/if}
	</span>
	{#if !open || !steps.length}<span class="text-ink3 text-[11.5px]">{steps.length} {steps.length === 1 ? 'step' : 'steps'}</span>{/if}
	<Menu label="More for the phase {phase.title}" class="icon-btn h-6 w-6" {items}><Ellipsis size={14} /></Menu>
	<span class="w-9 text-right text-xs font-semibold">{clock(seconds)}</span>
</div>
