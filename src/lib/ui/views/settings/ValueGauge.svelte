<script lang="ts">
	interface Props {
		number: number;
		shipped: number;
		min: number;
		max: number;
	}
	let { number, shipped, min, max }: Props = $props();
	const WIDTH = 116;
	/** Wide ranges would press what ships against the left end: they are drawn by the root. */
	const share = (n: number) => Math.sqrt(Math.max(0, (n - min) / Math.max(1e-9, max - min)));
	const x = (n: number) => 5 + share(n) * (WIDTH - 10);
	const changed = $derived(number !== shipped);
</script>

<!-- A range as a stretch of shore: a post where it ships, water up to where it stands. -->
<svg width={WIDTH} height="20" viewBox="0 0 {WIDTH} 20" fill="none" aria-hidden="true">
	<path d="M5 13H{WIDTH - 5}" stroke="var(--coast)" stroke-width="1.2" stroke-linecap="round" />
	<path d="M5 13H{x(number)}" stroke="var(--drain)" stroke-width="3" stroke-linecap="round" />
	<path d="M{x(shipped)} 5V17" stroke="var(--ink3)" stroke-width="1.2" stroke-dasharray={changed ? '2 2' : undefined} />
	<circle cx={x(number)} cy="13" r="3.6" fill={changed ? 'var(--drain)' : 'var(--paper)'} stroke="var(--drain)" stroke-width="1.6" />
</svg>
