<script lang="ts">
	import { CELLS } from '$lib/core/perform/instruction/cells';
	import type { Told } from '$lib/core/perform/instruction/instruction';
	import type { SlotId } from '$lib/core/perform/instruction/slots';
	import { shrink } from '../../parts/shrink';

	interface Props {
		told: readonly Told[];
		/** What has just become otherwise: it stands out for a moment. */
		fresh: ReadonlySet<SlotId>;
		/** What comes before it all: a breath that is led, the last repetition, what the visit before taught. */
		first: readonly string[];
	}
	let { told, fresh, first }: Props = $props();
	const cells = $derived(
		CELLS.map((slots) => {
			// A pressure that stays as it is stands large already.
			const says = ({ slot, words }: Told) => slot !== 'level' || words.includes(',') || fresh.has('level');
			const items = told.filter((t) => slots.includes(t.slot) && says(t));
			return { items, now: items.some(({ slot }) => fresh.has(slot)) };
		})
	);
</script>

<!-- Nine places that are always the same: a thing is always where it was. -->
<div class="grid-of-nine" {@attach shrink(20, 11)}>
	{#if first.length}<p class="first">
			{#each first as words (words)}<b>{words}</b>{' '}{/each}
		</p>{/if}
	<ul class="cells" aria-label="Instruction">
		{#each cells as { items, now }, i (i)}
			<li class:now class:empty={!items.length}>
				{#each items as { slot, words }, k (slot)}{#if k}<span class="text-ink2">{' · '}</span>{/if}<span
						class={k || fresh.size === 0 || fresh.has(slot) ? '' : 'text-ink2'}>{words}</span
					>{/each}
			</li>
		{/each}
	</ul>
</div>

<style>
	.grid-of-nine {
		min-width: 0;
		min-height: 0;
		overflow: hidden;
		line-height: 1.25;
	}
	.first {
		padding: 2px 0;
	}
	.cells {
		display: grid;
		grid-template-rows: repeat(3, auto);
		grid-template-columns: 0.85fr 1.35fr 0.9fr;
		grid-auto-flow: column;
		border-top: 1px solid var(--hair);
	}
	li {
		min-width: 0;
		min-height: 1.65em;
		padding: 0.18em 0.6em;
		border-bottom: 1px solid var(--hair);
		overflow-wrap: anywhere;
	}
	/* Never by colour alone: a bar stands beside it. */
	.now {
		background: var(--wash);
		box-shadow: inset 4px 0 var(--ink);
		font-weight: 600;
	}
	/* By thumb on a phone, and in a low window, the same nine run on as text. */
	@media (max-width: 600px), (max-height: 560px) {
		.cells {
			display: block;
			padding: 4px 0;
		}
		li {
			display: inline;
			padding: 0;
			border: 0;
		}
		li:not(.empty):has(~ li:not(.empty))::after {
			content: ' · ';
		}
		.now {
			box-shadow: inset 0 -2px var(--ink);
		}
	}
	@media (max-height: 560px) {
		.cells {
			padding-block: 2px;
		}
	}
</style>
