<script lang="ts">
	interface Props {
		label: string;
		/** The key, as printed on it. */
		hint: string;
		/** Path of the glyph on a 46 × 46 ground. */
		glyph: string;
		sand?: boolean;
		/** Nothing to do for it just now. */
		off?: boolean;
		onclick: () => void;
	}
	let { label, hint, glyph, sand = false, off = false, onclick }: Props = $props();
</script>

<button
	type="button"
	class="border-hair flex items-center border-t border-l text-left first:border-l-0 {sand ? 'bg-sand' : 'bg-sea hover:bg-wash'} {off
		? 'off'
		: ''}"
	aria-disabled={off}
	{onclick}
>
	<svg
		viewBox="0 0 46 46"
		fill="none"
		stroke="var(--ink)"
		stroke-width="2.4"
		stroke-linecap="round"
		stroke-linejoin="round"
		aria-hidden="true"><path d={glyph} /></svg
	>
	<span class="min-w-0">
		<span class="label-large block font-semibold">{label}</span>
		<kbd class="border-ink2 text-ink2 rounded-md border px-2 font-sans text-[16px] leading-6">{hint}</kbd>
	</span>
</button>

<style>
	/* To the very edge of the screen, so that an elbow finds them; smaller only where the window is. */
	button {
		min-height: clamp(64px, 11.5dvh, 96px);
		padding: 0 clamp(10px, 2vw, 24px);
		gap: clamp(8px, 1.4vw, 16px);
	}
	.off > * {
		opacity: 0.45;
	}
	svg {
		flex: none;
		width: clamp(28px, 5.4dvh, 46px);
		height: clamp(28px, 5.4dvh, 46px);
	}
	.label-large {
		font-size: min(clamp(18px, 3.2dvh, 26px), 2.3vw);
		line-height: 1.12;
	}
	@media (max-width: 1000px) {
		button {
			padding: 0 10px;
			gap: 10px;
		}
		svg {
			width: 36px;
			height: 36px;
		}
	}
	/* Five in a row by thumb: the glyph above its word. */
	@media (max-width: 600px) {
		.label-large {
			font-size: 13.5px;
			white-space: normal;
		}
		button {
			flex-direction: column;
			justify-content: center;
			min-height: 80px;
			padding: 6px 2px;
			gap: 4px;
			text-align: center;
		}
	}
	@media (max-height: 560px), (max-width: 600px) {
		kbd {
			position: absolute;
			clip-path: inset(50%);
		}
	}
</style>
