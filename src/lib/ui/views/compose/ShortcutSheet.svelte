<script lang="ts">
	import Modal from '../../parts/controls/Modal.svelte';

	interface Props {
		open: boolean;
		ontour: () => void;
	}
	let { open = $bindable(), ontour }: Props = $props();
	const GROUPS = [
		{
			title: 'Steps',
			keys: [
				['↑ ↓', 'step before, step after'],
				['Alt ↑ ↓', 'move the step'],
				['+ −', 'one more, one less'],
				['0 to 4', 'pressure'],
				['S', 'side: both, left then right, right then left'],
				['L', 'drain link on or off'],
				['D', 'duplicate'],
				['O', 'repeat on the other side'],
				['M', 'mirror the sides'],
				['Delete', 'remove']
			]
		},
		{
			title: 'Several steps',
			keys: [
				['Shift ↑ ↓', 'choose more'],
				['Ctrl A', 'choose all'],
				['C', 'choose all of the aim; again: of the phase, the pressure, the side'],
				[', .', 'one lighter, one firmer'],
				['E', 'the same on the other eyelid'],
				['G', 'do them side by side, as a block'],
				['Ctrl C, X, V', 'copy, cut, paste, as text'],
				['+ − 0 to 4 S O M D', 'as with one, on all of them']
			]
		},
		{
			title: 'Everywhere here',
			keys: [
				['A', 'to the map, to add a step'],
				['W', 'moves for the whole face'],
				['/', 'type a step'],
				['T', 'the sequence as text'],
				['R', 'play at its pace, halt'],
				['F', 'findings'],
				['Ctrl Z', 'undo'],
				['Ctrl Shift Z', 'do again'],
				['P', 'print'],
				['Alt 1 to 4', 'room: even, face large, steps long, score tall'],
				['K', 'fold the score, unfold it'],
				['Tab to a divider, arrows', 'move it'],
				['?', 'this sheet']
			]
		},
		{
			title: 'On the map',
			keys: [
				['↑ ↓', 'places in anatomical order'],
				['← →', 'other side'],
				['Enter', 'choose, and on to the moves'],
				['Shift Enter', 'choose and stay: a second place makes a stroke'],
				['Esc', 'let go']
			]
		},
		{
			title: 'On the score',
			keys: [
				['← →', 'step before, step after'],
				['Enter', 'choose'],
				['Tab to the clock, ← →', 'scrub by the second'],
				['Ctrl and wheel', 'zoom']
			]
		}
	] as const;
</script>

<Modal bind:open title="Keys in Compose" width={680}>
	<div class="grid gap-x-8 gap-y-4 sm:grid-cols-2">
		{#each GROUPS as group (group.title)}
			<section>
				<h3 class="mb-1 text-[13.5px] font-semibold">{group.title}</h3>
				<dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
					{#each group.keys as [key, words] (key + words)}
						<dt>
							<kbd class="border-edge bg-sheet rounded border px-1.5 py-px font-sans text-[11.5px] whitespace-nowrap">{key}</kbd>
						</dt>
						<dd class="text-ink2">{words}</dd>
					{/each}
				</dl>
			</section>
		{/each}
	</div>
	<p class="border-hair mt-4 border-t pt-3">
		<button type="button" class="btn" onclick={ontour}>Show me around</button>
	</p>
</Modal>
