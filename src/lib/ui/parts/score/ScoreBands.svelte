<script lang="ts">
	import type { BandRow } from './scoreBands';
	import { xAt, type ScoreFrame } from './scoreGeometry';

	interface Props {
		rows: readonly BandRow[];
		frame: ScoreFrame;
		/** px from the top. */
		y: number;
	}
	let { rows, frame, y }: Props = $props();
	const fitted = (words: string, room: number) => {
		const letters = Math.floor(room / 5.9);
		return words.length <= letters ? words : letters < 9 ? '' : `${words.slice(0, letters - 1)}…`;
	};
</script>

{#each rows as row, i (row.id)}
	{#each row.bands as band (band.startSeconds)}
		{@const [a, b] = [xAt(frame, band.startSeconds) + 0.5, xAt(frame, band.endSeconds) - 0.5]}
		<g>
			<title>{row.title}: {band.words}</title>
			<rect
				x={a}
				y={y + 14 * i + 1}
				width={Math.max(1.5, b - a)}
				height="12"
				rx="3"
				fill={row.id === 'tool' ? 'var(--sand)' : row.id === 'posture' ? 'var(--pointfill)' : 'var(--sea)'}
				fill-opacity="0.7"
			/>
			<path d="M{a} {y + 14 * i + 1}v12" stroke="var(--ink3)" stroke-width="1" />
			<text x={a + 4} y={y + 14 * i + 10.5} class="band">{fitted(band.words, b - a - 6)}</text>
		</g>
	{/each}
{/each}

<style>
	.band {
		font-size: 11px;
		fill: var(--ink2);
	}
</style>
