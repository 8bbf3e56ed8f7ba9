<script lang="ts">
	import type { Severity } from '$lib/core/school/school.schema';
	import PennantMark from './PennantMark.svelte';

	interface Props {
		severity: Severity;
		/** px, default 15. */
		size?: number;
	}
	let { severity, size = 15 }: Props = $props();
</script>

<svg width={size} height={size} viewBox="0 0 15 16" aria-hidden="true" class="flex-none"><PennantMark {severity} /></svg>
