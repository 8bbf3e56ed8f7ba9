<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import type { Photo } from '$lib/core/records/photo';
	import { DeviceCamera } from '$lib/state/cameraSource.svelte';
	import { LiveHints } from '$lib/state/liveHints.svelte';
	import { kindHere, Listening } from '$lib/state/listening.svelte';
	import { Countdown } from '$lib/state/countdown.svelte';
	import { Pedals } from '$lib/state/pedals';
	import type { PhotoBook, Taking } from '$lib/state/photoBook.svelte';
	import PhotoPicture from '../../parts/picture/PhotoPicture.svelte';
	import SimulatedControls from './SimulatedControls.svelte';
	import { simulationOf, USUAL, type Clay, type PictureSize, type Settings } from '$lib/state/simulated';

	interface Props {
		book: PhotoBook;
		taking: Omit<Taking, 'takenAt'>;
		simulated: boolean;
		/** An earlier one from the same side: it shows through, so that the head comes to stand as it stood. */
		ghost: Photo | null;
		now: () => string;
		/** Spoken words release it, where they are recognised on this machine. */
		listens: boolean;
		ontaken: (photo: Photo) => void;
	}
	let { book, taking, simulated, ghost, now, listens, ontaken }: Props = $props();
	/** Time to step back from the screen. */
	const COUNT_SECONDS = 3;
	const LOOK = { widthPx: 300, heightPx: 400, quality: 0.35 };
	const TAKEN = { widthPx: 960, heightPx: 1280, quality: 1, samples: 2 };

	const device = new DeviceCamera();
	const countdown = new Countdown();
	const hints = new LiveHints(untrack(() => book).finder);
	const listening = new Listening((id) => id === 'go' && release());
	let video = $state<HTMLVideoElement>();
	let canvas = $state<HTMLCanvasElement>();
	let through = $state(0.35);
	let settings = $state.raw<Settings>(USUAL);
	let clay = $state<Clay>('sand');
	let seed = $state(1);

	const asked = (size: PictureSize) => simulationOf(settings, clay, taking.view, size, seed);
	/** Only the last thing that was set is drawn. */
	let drawing = false;
	let again = false;
	/** Before the first picture there is nothing to be looked at. */
	let drawn = false;
	async function draw() {
		if (drawing) return void (again = true);
		drawing = true;
		do {
			again = false;
			try {
				const { data, widthPx, heightPx } = await book.preview(asked(LOOK));
				canvas?.getContext('2d')?.putImageData(new ImageData(data, widthPx, heightPx), 0, 0);
				drawn = true;
			} catch {
				again = false;
			}
		} while (again);
		drawing = false;
	}
	$effect(() => {
		void [settings, clay, taking.view];
		if (simulated) void draw();
	});
	async function take() {
		const moment = { ...taking, takenAt: now() };
		const file = simulated || !video ? null : await device.still(video);
		const photo = simulated ? await book.addSimulated(asked(TAKEN), moment) : file ? await book.addFile(file, moment, 'camera') : null;
		seed++;
		if (photo) ontaken(photo);
	}
	async function keepDoubtful() {
		const photo = await book.doubt?.accept();
		if (photo) ontaken(photo);
	}
	const release = () => countdown.begin(COUNT_SECONDS, () => void take());
	$effect(() => {
		const file = taking.view === 'front' ? ghost?.fileId : undefined;
		void (file ? book.blobOf(file) : Promise.resolve(null)).then((picture) => hints.match(picture));
	});
	onMount(() => {
		if (!simulated && video) void device.start(video);
		const pedals = new Pedals({ onsignal: (signal) => signal === 'toggle' && release() });
		const stop = pedals.followAlone();
		const deaf = listens ? listening.follow(kindHere()) : () => {};
		const seen = () => (simulated ? (drawn && canvas ? canvas : null) : video?.videoWidth ? video : null);
		if (taking.view === 'front') void hints.follow(seen);
		return () => {
			stop();
			deaf();
			hints.stop();
			countdown.stop();
			device.stop();
		};
	});
	function onkeydown(event: KeyboardEvent) {
		if ((event.target as Element).closest('input, button, a, [role=radio]')) return;
		if (event.key !== ' ' && event.key !== 'PageDown') return;
		event.preventDefault();
		release();
	}
</script>

<svelte:window {onkeydown} />
<div class="grid min-h-0 flex-1 grid-cols-1 gap-x-6 gap-y-4 overflow-y-auto px-4 pb-4 lg:grid-cols-[minmax(0,1fr)_380px]">
	<div class="bg-ink relative mx-auto aspect-[3/4] h-fit w-full overflow-hidden rounded-xl" style="max-width: calc((100vh - 130px) * 0.75)">
		{#if simulated}<canvas
				bind:this={canvas}
				width={LOOK.widthPx}
				height={LOOK.heightPx}
				class="h-full w-full"
				aria-label="What the simulated camera sees"
			></canvas>
		{:else}<video bind:this={video} muted playsinline class="h-full w-full object-cover" aria-label="What the camera sees"></video>{/if}
		{#if ghost}<div class="pointer-events-none absolute inset-0" style="opacity: {through}">
				<PhotoPicture {book} fileId={ghost.fileId} alt="" class="h-full w-full" />
			</div>{/if}
		<svg
			class="pointer-events-none absolute inset-0 h-full w-full"
			viewBox="0 0 300 400"
			aria-hidden="true"
			fill="none"
			stroke="#fff"
			stroke-opacity="0.75"
		>
			<path d="M0 147H300" stroke-dasharray="2 5" /><path d="M150 20V380" stroke-dasharray="2 5" />
		</svg>
		{#if countdown.left !== null}<p class="absolute inset-0 grid place-items-center text-[160px] font-[620] text-white" role="status">
				{countdown.left}
			</p>{/if}
	</div>
	<div class="space-y-4">
		<button class="btn btn-primary btn-large w-full" onclick={release} disabled={Boolean(book.doing)}>
			{countdown.left === null ? `Take it in ${COUNT_SECONDS} seconds` : 'Not yet'}
		</button>
		<p class="text-ink2 text-[12.5px] leading-4">
			Space, page down{listens ? ', the word “begin”' : ''} or the left pedal do the same. Eyes on the dotted line, nose on the upright one; the
			same place, distance and light as before; face at rest, lips closed.
		</p>
		{#if hints.hints}<div role="status" class="border-hair min-h-[52px] rounded-lg border px-3 py-2 text-[15px] leading-5 font-semibold">
				{#each hints.hints as hint (hint)}<p>{hint}</p>{:else}<p>{hints.matching ? 'Held and lit as before.' : 'Held straight.'}</p>{/each}
			</div>{/if}
		<p role="status" class="text-[13px]">{book.doing}{book.share === null ? '' : ` ${Math.round(100 * book.share)} %`}</p>
		{#if book.doubt}<div role="alert" class="text-[13px] leading-4">
				<p class="text-flag">{book.doubt.words}</p>
				<button class="btn mt-1" onclick={keepDoubtful}>Keep it all the same</button>
			</div>{/if}
		{#if device.trouble || book.trouble}<p role="alert" class="text-flag text-[13px] leading-4">{device.trouble || book.trouble}</p>{/if}
		{#if ghost}<label class="flex items-center gap-3 text-[12.5px]"
				>The earlier one shows through
				<input type="range" min="0" max="0.8" step="0.05" bind:value={through} class="flex-1" /></label
			>{/if}
		{#if simulated}<SimulatedControls
				{settings}
				{clay}
				onset={(id, value) => (settings = { ...settings, [id]: value })}
				onclay={(c) => (clay = c)}
			/>{/if}
	</div>
</div>
