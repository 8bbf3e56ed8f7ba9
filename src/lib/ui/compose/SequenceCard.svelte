<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import { GOALS } from '$lib/core/goal/goals';
	import { clock } from '$lib/core/sequence/describe';
	import { expand, type ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import MiniScore from '../score/MiniScore.svelte';

	interface Props {
		sequence: Sequence;
		context: ExpandContext;
		/** Seconds of the longest sequence of the list: all miniatures share one time axis. */
		longestSeconds: number;
		onremove: () => void;
	}
	let { sequence, context, longestSeconds, onremove }: Props = $props();
	const steps = $derived(stepsOf(sequence));
	const byId = $derived(new Map(steps.map((s) => [s.step.id, s])));
	const events = $derived(expand(sequence, context));
	const seconds = $derived(events.at(-1)?.endSeconds ?? 0);
	const goals = $derived(sequence.goals.map((g) => GOALS[g.id].label.toLowerCase()).join(', '));
	let room = $state(560);
	const width = $derived(Math.max(90, (seconds / Math.max(600, longestSeconds)) * (room - 64)));
</script>

<li
	class="border-hair hover:bg-wash/40 grid grid-cols-[minmax(0,260px)_minmax(0,1fr)_150px_32px] items-center gap-4 border-b py-1 max-md:grid-cols-[minmax(0,1fr)_32px]"
>
	<a href="/compose/{sequence.id}" class="min-w-0">
		<span class="block truncate text-[13.5px] font-[560]">{sequence.title}</span>
		<span class="text-ink2 block truncate text-xs">{goals || 'no goal set'}</span>
	</a>
	<a
		href="/compose/{sequence.id}"
		class="flex min-w-0 items-center gap-2 max-md:hidden"
		tabindex="-1"
		aria-hidden="true"
		bind:clientWidth={room}
	>
		<MiniScore {events} {byId} {width} label="Score of {sequence.title}" />
		<b class="font-semibold">{clock(seconds)}</b>
	</a>
	<span class="text-ink2 text-xs max-md:hidden">{sequence.school.title.toLowerCase()}<br />{steps.length} steps</span>
	<DropdownMenu.Root>
		<DropdownMenu.Trigger class="icon-btn" aria-label="More for {sequence.title}"><Ellipsis size={15} /></DropdownMenu.Trigger>
		<DropdownMenu.Portal>
			<DropdownMenu.Content class="floating" align="end">
				<DropdownMenu.Item class="floating-item">
					{#snippet child({ props })}<a {...props} href="/session?sequence={sequence.id}">Start a session</a>{/snippet}
				</DropdownMenu.Item>
				<DropdownMenu.Item class="floating-item">
					{#snippet child({ props })}<a {...props} href="/print/{sequence.id}">Print</a>{/snippet}
				</DropdownMenu.Item>
				<DropdownMenu.Item class="floating-item" onSelect={onremove}>Remove</DropdownMenu.Item>
			</DropdownMenu.Content>
		</DropdownMenu.Portal>
	</DropdownMenu.Root>
</li>
