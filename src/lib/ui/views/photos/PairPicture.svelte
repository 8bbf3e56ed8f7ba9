<script lang="ts">
	import type { Pixel, Points } from '$lib/core/measure/landmarks';
	import { alignment } from '$lib/core/measure/pairMeasures';
	import type { Photo } from '$lib/core/records/photo';
	import { measuredView } from '$lib/core/records/photoPairs';
	import { dayAndHour } from '../../parts/dates';
	import { contourPaths, faceFrame, matrixOf } from './pairShapes';

	export type Mode = 'slider' | 'beside' | 'contours' | 'onion';
	interface Props {
		before: Photo;
		after: Photo;
		urls: readonly [string, string];
		mode: Mode;
	}
	let { before, after, urls, mode }: Props = $props();
	let at = $state(50);
	const id = $props.id();
	const view = $derived(measuredView(before.view));
	const aligned = $derived(alignment(before.points as Points, after.points as Points, 1, view));
	const laid = $derived(aligned ? matrixOf(aligned) : undefined);
	const move = (p: Pixel): Pixel => (aligned ? aligned.apply(p) : p);
	const frame = $derived(faceFrame(before.points as Points, [before.widthPx, before.heightPx]));
	const box = $derived(frame.join(' '));
	const line = $derived(frame[2] / 260);
	const split = $derived(frame[0] + (frame[2] * at) / 100);
	const contoursOf = $derived([contourPaths(before.points as Points, view), contourPaths(after.points as Points, view, move)] as const);
	const drawn = $derived(mode !== 'beside');
	function onkeydown(event: KeyboardEvent) {
		const step = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
		if (event.key === ' ') at = at > 50 ? 0 : 100;
		else if (step) at = Math.min(100, Math.max(0, at + step * (event.shiftKey ? 10 : 1)));
		else return;
		event.preventDefault();
	}
</script>

{#snippet picture(photo: Photo, url: string, transform?: string)}<image
		href={url}
		width={photo.widthPx}
		height={photo.heightPx}
		{transform}
	/>{/snippet}
{#snippet contours()}
	{#each contoursOf as lines, i (i)}
		{#each lines as d (d)}{#if d}<path {d} fill="none" stroke="#fff" stroke-width={line * 2.6} stroke-opacity="0.85" />
				<path
					{d}
					fill="none"
					stroke={i ? '#0a6a72' : '#10263d'}
					stroke-width={i ? line * 1.3 : line}
					stroke-dasharray={i ? undefined : `${line * 4} ${line * 2.6}`}
				/>{/if}{/each}
	{/each}
{/snippet}
{#snippet tag(photo: Photo, word: string)}<span class="bg-paper/95 inline-block rounded px-2 py-1 text-[12px] leading-4"
		><b class="font-semibold">{word}</b><br />{dayAndHour(photo.takenAt)}</span
	>{/snippet}

{#if mode === 'beside'}
	<div class="grid grid-cols-2 gap-2">
		{#each [{ photo: before, word: 'Before' }, { photo: after, word: 'After' }] as { photo, word }, i (word)}
			<figure class="relative">
				<svg viewBox={box} class="bg-wash block w-full rounded-lg" role="img" aria-label="{word}, {dayAndHour(photo.takenAt)}"
					>{@render picture(photo, urls[i]!, i ? laid : undefined)}</svg
				>
				<figcaption class="absolute top-2 left-2">{@render tag(photo, word)}</figcaption>
			</figure>
		{/each}
	</div>
{:else}
	<div class="relative mx-auto" style="max-width: calc((100vh - 180px) * 0.75)">
		<svg
			viewBox={box}
			class="bg-wash block w-full rounded-lg"
			role="img"
			aria-label="Before and after, laid onto one another by points that no treatment moves"
		>
			<defs><clipPath id="{id}-right"><rect x={split} y={frame[1]} width={frame[2]} height={frame[3]} /></clipPath></defs>
			{@render picture(before, urls[0])}
			{#if mode === 'slider'}<g clip-path="url(#{id}-right)">{@render picture(after, urls[1], laid)}</g>
				<path d="M{split} {frame[1]}v{frame[3]}" stroke="#fff" stroke-width={line * 2} />
			{:else if mode === 'onion'}<g opacity={at / 100}>{@render picture(after, urls[1], laid)}</g>
			{:else}<rect x={frame[0]} y={frame[1]} width={frame[2]} height={frame[3]} fill="#fff" fill-opacity="0.45" />{/if}
			{#if drawn}{@render contours()}{/if}
		</svg>
		<p class="absolute top-2 left-2">{@render tag(before, mode === 'slider' ? 'Before' : 'Before, dashed')}</p>
		<p class="absolute top-2 right-2 text-right">{@render tag(after, mode === 'slider' ? 'After' : 'After, full line')}</p>
		{#if mode === 'slider' || mode === 'onion'}<input
				type="range"
				min="0"
				max="100"
				bind:value={at}
				{onkeydown}
				class="absolute inset-x-3 bottom-3 w-[calc(100%-24px)]"
				aria-label={mode === 'slider' ? 'Where the second photograph begins' : 'How much of the second photograph shows'}
			/>{/if}
	</div>
{/if}
