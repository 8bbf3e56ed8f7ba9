<script lang="ts">
	import { page } from '$app/state';
	import { followStage, type ScreenFrame } from '$lib/state/secondScreen';
	import StageFace from '$lib/ui/views/session/StageFace.svelte';

	let frame = $state.raw<ScreenFrame | null>(null);
	$effect(() => followStage((next) => (frame = next)));
	/** A pupil sees it as the practitioner does, a client as in a mirror. */
	const mirror = $derived(page.url.searchParams.get('as') === 'mirror');
</script>

<div class="bg-paper relative h-dvh overflow-hidden">
	<h1 class="sr-only">The face, on a second screen</h1>
	{#if frame}
		<div class="absolute inset-0">
			<StageFace
				step={frame.step}
				position={frame.position}
				orientation={mirror ? 'mirror' : frame.orientation}
				open={new Map()}
				limits={[]}
				moving={frame.moving}
			/>
		</div>
		{#if frame.breath}
			<p class="absolute inset-x-0 bottom-[6dvh] text-center text-[clamp(24px,6dvh,56px)]" role="status">
				<b class="bg-paper/85 rounded-full px-8 py-2 font-semibold">Breathe {frame.breath}</b>
			</p>
		{/if}
		<a class="bg-paper/85 text-ink2 absolute top-3 right-3 rounded-xl px-3 py-2" href={mirror ? '?' : '?as=mirror'}
			>{mirror ? 'As the practitioner sees it' : 'As in a mirror'}</a
		>
	{:else}
		<p class="grid h-full place-items-center px-6 text-center text-[22px]">
			Here the face and the breath will be seen, as soon as a stage is open in another window of this browser. No name and no record is
			shown.
		</p>
	{/if}
</div>
