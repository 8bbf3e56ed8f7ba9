<script lang="ts">
	// Markup only.
</script>

<svg
	width="18"
	height="12"
	viewBox="0 0 18 12"
	class="stroke-drain ml-1.5 inline-block flex-none fill-none align-[-2px]"
	stroke-width="1.4"
	stroke-linecap="round"
	role="img"
	aria-label="then a drain link"
>
	<path d="M1 2.5C7 2.5 6 8.5 12.4 8.5" /><circle cx="14.8" cy="8.6" r="2" />
</svg>
