<script lang="ts">
	/** The shore between this browser (land) and the files (sea), running down the page. */
	let height = $state(700);
	const und = (y: number) => 20 + 5 * Math.sin(y / 96 + 0.6) + 2.4 * Math.sin(y / 41 + 1);
	const edge = $derived.by(() => {
		const points: string[] = [];
		for (let y = 0; y <= height + 6; y += 6) points.push(`${und(y).toFixed(1)} ${y}`);
		return points.join('L');
	});
	const grains = $derived.by(() => {
		let d = '';
		for (let i = 0; i < 260; i++) d += `M${(((i * 0.7548777) % 1) * 22).toFixed(1)} ${(((i * 0.6180339) % 1) * height).toFixed(1)}h.01`;
		return d;
	});
</script>

<div class="pointer-events-none absolute inset-y-0 left-0 w-10 max-lg:hidden" bind:clientHeight={height} aria-hidden="true">
	<svg width="40" {height} viewBox="0 0 40 {height}">
		<path d="M0 0L{edge}L0 {height}Z" fill="var(--sand)" />
		<path d={grains} stroke="var(--sandline)" stroke-width="1.1" stroke-linecap="round" fill="none" />
		<path d="M{edge}" fill="none" stroke="var(--coast)" stroke-width="1.2" />
		<path d="M{edge}" transform="translate(4 0)" fill="none" stroke="var(--ink)" stroke-width="0.6" opacity="0.4" />
		<path d="M{edge}" transform="translate(8 0)" fill="none" stroke="var(--ink)" stroke-width="0.6" opacity="0.2" />
	</svg>
</div>
