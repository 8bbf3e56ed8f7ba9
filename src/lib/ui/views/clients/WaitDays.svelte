<script lang="ts">
	import { saidDay } from '$lib/core/client/saidDay';

	interface Props {
		passed: number;
		days: number;
		/** The day on which it opens. */
		until: string;
	}
	let { passed, days, until }: Props = $props();
	/** One square a day up to four weeks, then one a week. */
	const DAYS_DRAWN = 28;
	const unit = $derived(days <= DAYS_DRAWN ? 1 : 7);
	const squares = $derived(Array.from({ length: Math.ceil(days / unit) }, (_, i) => (i + 1) * unit <= passed));
</script>

<p class="flex flex-wrap items-center gap-x-3 gap-y-1 pt-1 text-[12.5px]">
	<span class="flex flex-wrap gap-[2px]" aria-hidden="true">
		{#each squares as past, i (i)}<i class="border-ink2 size-[7px] border {past ? 'bg-ink2' : ''}"></i>{/each}
	</span>
	<b class="font-semibold">{passed} of {days} days</b>
	<span class="text-ink2">opens {saidDay(until)}</span>
</p>
