<script lang="ts">
	interface Props {
		label: string;
		/** The key, as printed on it. */
		hint: string;
		/** Path of the glyph on a 46 × 46 ground. */
		glyph: string;
		sand?: boolean;
		onclick: () => void;
	}
	let { label, hint, glyph, sand = false, onclick }: Props = $props();
</script>

<button
	type="button"
	class="border-hair flex min-h-[92px] items-center gap-4 border-l px-6 text-left first:border-l-0 {sand
		? 'bg-sand'
		: 'bg-sea hover:bg-wash'}"
	{onclick}
>
	<svg
		width="46"
		height="46"
		viewBox="0 0 46 46"
		fill="none"
		stroke="var(--ink)"
		stroke-width="2.4"
		stroke-linecap="round"
		stroke-linejoin="round"
		aria-hidden="true"><path d={glyph} /></svg
	>
	<span>
		<span class="block text-[26px] leading-8 font-semibold">{label}</span>
		<kbd class="border-ink2 text-ink2 rounded-md border px-2 font-sans text-[16px] leading-6">{hint}</kbd>
	</span>
</button>
