<script lang="ts">
	interface Fact {
		readonly name: string;
		readonly stored: string;
		readonly second: string;
	}
	interface Props {
		/** Only what differs is worth reading. */
		facts: readonly Fact[];
		onchoose: (choice: 'stored' | 'second') => void;
	}
	let { facts, onchoose }: Props = $props();
	const different = $derived(facts.filter((f) => f.stored !== f.second));
</script>

<section class="border-flag bg-sheet my-3 max-w-[640px] rounded-xl border p-3" aria-label="Two versions of this record">
	<p class="font-semibold">Two versions of this record</p>
	<p class="text-ink2">It was changed in another window or by a file meanwhile. Both are kept until you choose.</p>
	<table class="my-2 w-full text-left">
		<thead class="text-ink3 text-[11.5px]">
			<tr><th class="font-normal"></th><th class="font-normal">as it is stored</th><th class="font-normal">kept beside it</th></tr>
		</thead>
		<tbody>
			{#each different as f (f.name)}
				<tr class="border-hair border-t align-top"
					><th scope="row" class="text-ink2 py-1 pr-3 font-normal">{f.name}</th><td class="py-1 pr-3">{f.stored || '–'}</td><td class="py-1"
						>{f.second || '–'}</td
					></tr
				>
			{:else}
				<tr><td colspan="3" class="text-ink2">They say the same.</td></tr>
			{/each}
		</tbody>
	</table>
	<button type="button" class="btn" onclick={() => onchoose('stored')}>Go on with the stored one</button>
	<button type="button" class="btn" onclick={() => onchoose('second')}>Go on with the other</button>
</section>
