<script lang="ts">
	interface Props {
		kind: 'dammed' | 'stranded';
		/** px */
		size: number;
	}
	let { kind, size }: Props = $props();
</script>

<!-- Dammed: water before a wall. Stranded: a pool that lies still. -->
<svg width={size} height={size} viewBox="-8 -8 16 16" aria-hidden="true" class="flex-none">
	{#if kind === 'dammed'}
		<path d="M-7 5V-1q2 -4 4 0t4 0V5Z" fill="var(--drainfill)" stroke="var(--drain)" stroke-width="1.2" stroke-linejoin="round" />
		<path d="M3 -7V6" stroke="var(--flag)" stroke-width="2.4" stroke-linecap="round" />
	{:else}
		<ellipse cx="0" cy="2.6" rx="6.6" ry="3.6" fill="var(--drainfill)" stroke="var(--drain)" stroke-width="1.2" />
		<path d="M-3.4 2.4q1.7 -1.6 3.4 0t3.4 0" fill="none" stroke="var(--drain)" stroke-width="1.1" />
		<path
			d="M0 -7.2V-2M-2.2 -4L0 -1.6L2.2 -4"
			fill="none"
			stroke="var(--flag)"
			stroke-width="1.6"
			stroke-linecap="round"
			stroke-linejoin="round"
		/>
	{/if}
</svg>
