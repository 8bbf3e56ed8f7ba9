<script lang="ts">
	// Markup only.
</script>

<svg
	width="15"
	height="8"
	viewBox="0 0 18 8"
	class="stroke-ink3 mx-1 inline-block flex-none fill-none align-[1px]"
	stroke-width="1.1"
	stroke-linecap="round"
	stroke-linejoin="round"
	role="img"
	aria-label="to"
>
	<path d="M1 4H16M12.6 1.2L16.2 4L12.6 6.8" />
</svg>
