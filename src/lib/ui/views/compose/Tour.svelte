<script lang="ts">
	import { Popover } from 'bits-ui';
	import { onMount } from 'svelte';

	interface Props {
		onend: () => void;
	}
	let { onend }: Props = $props();
	const STOPS = [
		{
			at: 'map',
			side: 'right',
			title: 'The face',
			words:
				'Tap a place for what can be done there, or drag from place to place for a stroke. The path follows the drainage. The chosen step is drawn here.'
		},
		{
			at: 'steps',
			side: 'right',
			title: 'The steps',
			words: 'One line a step, in phases. Change a value in the chosen line, drag lines to move them, hold Shift or Ctrl to choose several.'
		},
		{
			at: 'words',
			side: 'top',
			title: 'In words',
			words: 'Type a step as you would say it. The tab Text shows the whole sequence so, to read, to mail and to change.'
		},
		{
			at: 'score',
			side: 'top',
			title: 'The score',
			words:
				'Time runs along the shore: above it the client’s left, below it her right. Width is time, height is pressure. Drag a swell’s edge, its crest or its body; R plays.'
		},
		{
			at: 'inspector',
			side: 'left',
			title: 'The whole step, and what is found',
			words:
				'Everything of the chosen step, what the rules find, and the sequence: school, minutes, goals, versions. Each finding leads to its rule.'
		}
	] as const;
	let index = $state(0);
	let anchors = $state.raw<(HTMLElement | null)[]>([]);
	onMount(() => {
		anchors = STOPS.map(({ at }) => document.querySelector<HTMLElement>(`[data-tour="${at}"]`));
		next(0);
	});
	const seen = (i: number) => Boolean(anchors[i]?.getClientRects().length);
	/** To the next stop in a direction that is on the screen now. */
	function next(by: -1 | 0 | 1) {
		let i = index + by;
		while (i >= 0 && i < STOPS.length && !seen(i)) i += by || 1;
		if (i >= STOPS.length) onend();
		else if (i >= 0) index = i;
	}
	const stop = $derived(STOPS[index]!);
	const anchor = $derived(anchors[index] ?? null);
	$effect(() => {
		const el = anchor;
		el?.classList.add('toured');
		return () => el?.classList.remove('toured');
	});
</script>

{#if anchor}
	{#key index}
		<Popover.Root open onOpenChange={(open) => !open && onend()}>
			<Popover.Portal>
				<Popover.Content
					customAnchor={anchor}
					side={stop.side}
					sideOffset={-40}
					collisionPadding={16}
					interactOutsideBehavior="ignore"
					class="border-edge bg-sheet z-50 w-[320px] rounded-xl border p-4"
					aria-label="Show me around"
				>
					<p class="text-ink3 text-[11.5px]">{index + 1} of {STOPS.length}</p>
					<h2 class="flare text-[16px] leading-6 font-[540]">{stop.title}</h2>
					<p class="text-ink2 mt-1 leading-[18px]">{stop.words}</p>
					<div class="mt-3 flex items-center gap-2">
						<button type="button" class="btn btn-primary" onclick={() => next(1)}>{index === STOPS.length - 1 ? 'Done' : 'Next'}</button>
						<button type="button" class="btn" disabled={index === 0} onclick={() => next(-1)}>Back</button>
						<button type="button" class="text-ink2 dotted ml-auto text-xs" onclick={onend}>Leave</button>
					</div>
					<p class="text-ink3 mt-2 text-[11px]">Reopen this tour with ?</p>
				</Popover.Content>
			</Popover.Portal>
		</Popover.Root>
	{/key}
{/if}

<style>
	:global(.toured) {
		outline: 3px solid var(--ink);
		outline-offset: -3px;
		border-radius: 8px;
	}
</style>
