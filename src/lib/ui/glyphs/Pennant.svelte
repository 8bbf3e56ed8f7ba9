<script lang="ts">
	import type { Severity } from '$lib/core/school/school.schema';

	interface Props {
		severity: Severity;
		/** px, default 15. */
		size?: number;
	}
	let { severity, size = 15 }: Props = $props();
</script>

<!-- Filled: caution. Outlined: advice. Two on one staff: stop. -->
<svg
	width={size}
	height={size}
	viewBox="0 0 15 16"
	aria-hidden="true"
	class="flex-none"
	fill="none"
	stroke="var(--flag)"
	stroke-width="1.5"
	stroke-linecap="round"
	stroke-linejoin="round"
>
	<path d="M3 14.5V1.8" />
	{#if severity === 'stop'}
		<path d="M3 1.8L13 3.7L3 6.4ZM3 8L13 9.9L3 12.6Z" fill="var(--flag)" />
	{:else}
		<path d="M3 2L13 4.6L3 8.4Z" fill={severity === 'caution' ? 'var(--flag)' : 'var(--sheet)'} />
	{/if}
</svg>
