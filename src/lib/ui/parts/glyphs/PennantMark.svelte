<script lang="ts">
	import type { Severity } from '$lib/core/school/school.schema';
	import { pennantShape } from './pennant';

	interface Props {
		severity: Severity;
		/** Left and top of its box, and its scale: 1 is 15 × 16. */
		x?: number;
		y?: number;
		scale?: number;
	}
	let { severity, x = 0, y = 0, scale = 1 }: Props = $props();
	const shape = $derived(pennantShape(severity, x, y, scale));
</script>

<!-- Part of a drawing. Filled: caution. Outlined: advice. Two on one staff: stop. -->
<path d={shape.staff} fill="none" stroke="var(--flag)" stroke-width={1.5 * scale} stroke-linecap="round" />
<path
	d={shape.flag}
	fill={severity === 'advice' ? 'var(--sheet)' : 'var(--flag)'}
	stroke="var(--flag)"
	stroke-width={1.5 * scale}
	stroke-linejoin="round"
/>
