<script lang="ts">
	interface Props {
		uid: string;
	}
	let { uid }: Props = $props();
	/** One cell a texture, mirrored below the shore: aim = texture as well as glyph and hue. */
	const CELLS = [
		{ id: 'drain', w: 14, h: 4.6, d: 'M0 2.3c2.3 -1.6 4.7 -1.6 7 0s4.7 1.6 7 0', tone: 'drain', width: 0.8 },
		{ id: 'lift', w: 5, h: 5, d: 'M-1 6L6 -1M-1 1L1 -1M4 6L6 4', tone: 'lift', width: 0.8 },
		{
			id: 'release',
			w: 9,
			h: 7,
			d: 'M0 7A4.5 4.5 0 0 1 9 7M-4.5 3.5A4.5 4.5 0 0 1 4.5 3.5M4.5 3.5A4.5 4.5 0 0 1 13.5 3.5',
			tone: 'release',
			width: 0.8
		},
		{ id: 'point', w: 3.4, h: 8, d: 'M1.7 0V8', tone: 'point', width: 0.8 },
		{ id: 'stimulate', w: 6, h: 6, d: 'M1.4 1.4h.01M4.4 4.4h.01', tone: 'stim', width: 1.5 },
		{ id: 'exercise', w: 8, h: 5, d: 'M0 4L4 1L8 4', tone: 'release', width: 0.8 },
		{ id: 'cool', w: 7, h: 7, d: 'M3.5 1.6V5.4M1.6 3.5H5.4', tone: 'stim', width: 0.8 },
		{ id: 'fix', w: 5, h: 5, d: 'M0 0L5 5M5 0L0 5', tone: 'rest', width: 0.6 },
		{ id: 'cleanse', w: 8, h: 5, d: 'M1 2.5H5', tone: 'rest', width: 0.9 }
	] as const;
</script>

<defs>
	{#each CELLS as cell (cell.id)}
		{#each [1, -1] as dir (dir)}
			<pattern
				id="{uid}-t-{cell.id}{dir < 0 ? '' : '-d'}"
				width={cell.w}
				height={cell.h}
				patternUnits="userSpaceOnUse"
				patternTransform={dir < 0 ? undefined : 'scale(1 -1)'}
			>
				<path d={cell.d} fill="none" stroke="var(--{cell.tone})" stroke-width={cell.width} stroke-linecap="round" />
			</pattern>
		{/each}
	{/each}
</defs>
