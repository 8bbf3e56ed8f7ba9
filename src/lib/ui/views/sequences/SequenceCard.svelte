<script lang="ts">
	import { composeAt, facesAt, printAt, readAt, sessionFor } from '../../parts/shell/addresses';
	import { shortDay } from '../../parts/dates';
	import { Checkbox } from 'bits-ui';
	import Check from '@lucide/svelte/icons/check';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import { clock } from '$lib/core/step/describe';
	import { expand, type ExpandContext } from '$lib/core/sequence/expand';
	import { stepsOf } from '$lib/core/sequence/walk';
	import Menu from '../../parts/controls/Menu.svelte';
	import MiniScore from '../../parts/score/MiniScore.svelte';
	import type { OverviewRow } from './overview';

	interface Props {
		row: OverviewRow;
		context: ExpandContext;
		/** Seconds of the longest sequence of the list: all miniatures share one time axis. */
		longestSeconds: number;
		/** Ticked for a comparison. */
		ticked: boolean;
		ontick: () => void;
		onduplicate: () => void;
		onarchive: () => void;
		onremove: () => void;
	}
	let { row, context, longestSeconds, ticked, ontick, onduplicate, onarchive, onremove }: Props = $props();
	const sequence = $derived(row.sequence);
	const steps = $derived(stepsOf(sequence));
	const byId = $derived(new Map(steps.map((s) => [s.step.id, s])));
	const events = $derived(expand(sequence, context));
	let room = $state(480);
	const width = $derived(Math.max(90, (row.seconds / Math.max(600, longestSeconds)) * (room - 64)));
</script>

<li
	class="border-hair hover:bg-wash/40 grid grid-cols-[24px_minmax(0,250px)_minmax(0,1fr)_130px_88px_32px] items-center gap-4 border-b py-1 max-md:grid-cols-[24px_minmax(0,1fr)_32px]"
	data-sequence={sequence.id}
>
	<Checkbox.Root
		checked={ticked}
		onCheckedChange={ontick}
		aria-label="Compare {sequence.title}"
		class="border-edge bg-sheet data-[state=checked]:bg-primary data-[state=checked]:text-onink grid size-6 place-items-center rounded-md border"
	>
		{#if ticked}<Check size={14} />{/if}
	</Checkbox.Root>
	<a href={composeAt(sequence.id)} class="min-w-0">
		<span class="block truncate text-[13.5px] font-[560]">{sequence.title}</span>
		<span class="text-ink2 block truncate text-xs">{row.goals || 'no goal set'}</span>
	</a>
	<a
		href={composeAt(sequence.id)}
		class="flex min-w-0 items-center gap-2 max-md:hidden"
		tabindex="-1"
		aria-hidden="true"
		bind:clientWidth={room}
	>
		<MiniScore {events} {byId} {width} label="Score of {sequence.title}" />
		<b class="font-semibold">{clock(row.seconds)}</b>
	</a>
	<span class="text-ink2 text-xs max-md:hidden">{sequence.school.title.toLowerCase()}<br />{steps.length} steps</span>
	<span class="text-ink2 text-xs max-md:hidden"
		>{row.lastUsed ? `used ${shortDay(row.lastUsed)}` : 'never used'}<br />changed {shortDay(row.updatedAt)}</span
	>
	<Menu
		label="More for {sequence.title}"
		items={[
			{ label: 'Start a session', href: sessionFor(null, sequence.id) },
			{ label: 'Read through', href: readAt(sequence.id) },
			{ label: 'Print', href: printAt(sequence.id) },
			{ label: 'Print the faces', href: facesAt(sequence.id) },
			{ label: 'Duplicate', onselect: onduplicate },
			{ label: row.archived ? 'Back into the list' : 'Archive', onselect: onarchive },
			{ label: 'Remove', onselect: onremove }
		]}><Ellipsis size={15} /></Menu
	>
</li>
