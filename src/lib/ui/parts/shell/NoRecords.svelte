<script lang="ts">
	interface Props {
		/** What cannot be shown without records: “Clients”. */
		what: string;
		/** Why there are none, in words. */
		why: string;
	}
	let { what, why }: Props = $props();
</script>

<!-- A page that lives from records, without a store: it says so in its own place, and what works all the same. -->
<section class="max-w-[64ch] p-6 text-[13.5px] leading-5" aria-label="{what}: no records">
	<h1 class="flare text-xl font-[520]">{what}: the records cannot be read</h1>
	<p class="my-2">{why}</p>
	<p class="text-ink2">
		Nothing is lost by that: what was stored is where it was. Without records the <a class="dotted" href="/library">Library</a> still works,
		with its moves, rules, schools and ready sequences, and so does the <a class="dotted" href="/library/notation">notation</a>.
	</p>
</section>
