<script lang="ts">
	import { capital } from '$lib/core/capital';
	import { pointName } from '$lib/core/measure/faults';
	import { landmarkOf, type AnyPoint, type Pixel } from '$lib/core/measure/landmarks';
	import type { Photo } from '$lib/core/records/photo';
	import { Placing, type Target } from '$lib/state/placing.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import PointHint from './PointHint.svelte';

	interface Props {
		photo: Photo;
		url: string;
		placing: Placing;
		/** Looks for points to suggest; absent where none may be. */
		onsuggest?: (() => void) | undefined;
		/** What is said of that. */
		suggesting?: string;
	}
	let { photo, url, placing, onsuggest, suggesting = '' }: Props = $props();
	const ZOOM = 4;
	const LOUPE_PX = 250;
	let svg = $state<SVGSVGElement>();
	let width = $state(500);
	/** px of the picture for one of the screen: marks keep their size. */
	const unit = $derived(Math.max(photo.widthPx / Math.max(1, width), 0.5));
	const here = $derived(placing.here);
	const loupe = $derived((LOUPE_PX * unit) / ZOOM);
	const target = $derived(placing.target);
	const landmark = $derived(placing.endName(target) === null ? (target as AnyPoint) : null);
	const name = (t: Target) => placing.endName(t) ?? pointName(t as AnyPoint);
	const done = $derived(placing.targets.filter((t) => placing.placed(t)).length);
	function pixelAt(event: PointerEvent): Pixel {
		const matrix = svg!.getScreenCTM()!.inverse();
		const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
		return [x, y];
	}
	let dragging = false;
	const apart = (a: Pixel, b: Pixel) => Math.hypot(a[0] - b[0], a[1] - b[1]);
	/** Chooses the point whose mark lies nearest. */
	function chooseNear(at: Pixel) {
		const marks = [
			...placing.suggestions,
			...placing.targets.flatMap((target) => {
				const placed = placing.placed(target);
				return placed ? [{ target, at: placed }] : [];
			})
		];
		if (!marks.length) return;
		const nearest = marks.reduce((a, b) => (apart(at, b.at) < apart(at, a.at) ? b : a));
		placing.choose(placing.targets.indexOf(nearest.target));
	}
	function down(event: PointerEvent) {
		const at = pixelAt(event);
		if (event.shiftKey) return chooseNear(at);
		dragging = true;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		placing.move(at);
	}
	const move = (event: PointerEvent) => dragging && placing.move(pixelAt(event));
	function up() {
		if (!dragging) return;
		dragging = false;
		placing.confirm();
	}
	const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	function onkeydown(event: KeyboardEvent) {
		const arrow = ARROWS[event.key];
		if (arrow) placing.nudge(arrow[0], arrow[1], event.shiftKey ? 'far' : event.altKey ? 'fine' : 'usual');
		else if (event.key === 'Enter') placing.confirm();
		else if (event.key === 'Backspace' || event.key === 'PageUp') placing.choose(placing.at - 1);
		else if (event.key === 'PageDown') placing.choose(placing.at + 1);
		else if (event.key === 'Delete') placing.take();
		else return;
		event.preventDefault();
	}
	let lengthTrouble = $state('');
	function setLength(input: HTMLInputElement) {
		const mm = input.valueAsNumber;
		const fits = mm >= 5 && mm <= 200;
		lengthTrouble = fits ? '' : `The length of the marker is 5 to 200 mm; it stays at ${placing.lengthMm} mm.`;
		if (fits) placing.setLength(mm);
		else input.value = String(placing.lengthMm);
	}
	const SIZES = {
		front: [
			{ value: 'none', label: 'Nothing' },
			{ value: 'iris', label: 'Irises' },
			{ value: 'marker', label: 'A marker' }
		],
		profile: [
			{ value: 'none', label: 'Nothing' },
			{ value: 'marker', label: 'A marker' }
		]
	} as const;
	const cross = (at: Pixel, r: number) => `M${at[0] - r} ${at[1]}H${at[0] + r}M${at[0]} ${at[1] - r}V${at[1] + r}`;
</script>

<div
	class="grid min-h-0 flex-1 grid-cols-1 gap-x-5 gap-y-4 overflow-y-auto px-4 pb-4 md:grid-cols-[minmax(0,1fr)_270px] xl:grid-cols-[minmax(0,1fr)_270px_290px]"
>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<div
		class="relative mx-auto h-fit max-h-[calc(100vh-130px)] w-full"
		style="max-width: calc((100vh - 130px) * {photo.widthPx / photo.heightPx})"
		role="application"
		aria-label="The photograph: arrows move the point at hand, Enter places it, Backspace goes back"
		tabindex="0"
		{onkeydown}
		bind:clientWidth={width}
	>
		<svg
			bind:this={svg}
			viewBox="0 0 {photo.widthPx} {photo.heightPx}"
			class="block w-full cursor-crosshair touch-none rounded-lg"
			onpointerdown={down}
			onpointermove={move}
			onpointerup={up}
			aria-hidden="true"
		>
			<image href={url} width={photo.widthPx} height={photo.heightPx} />
			{#each placing.targets as t (t)}
				{@const at = placing.placed(t)}
				{#if at && t !== target}<circle cx={at[0]} cy={at[1]} r={3.4 * unit} fill="#fff" stroke="#10263d" stroke-width={1.4 * unit} />{/if}
			{/each}
			{#each placing.suggestions as { target: t, at } (t)}
				{#if t !== target}<circle
						cx={at[0]}
						cy={at[1]}
						r={3 * unit}
						fill="none"
						stroke="#10263d"
						stroke-opacity="0.65"
						stroke-width={unit}
						stroke-dasharray="{1.6 * unit} {1.4 * unit}"
					/>{/if}
			{/each}
			<circle cx={here[0]} cy={here[1]} r={13 * unit} fill="none" stroke="#fff" stroke-width={5 * unit} stroke-opacity="0.85" />
			<circle
				cx={here[0]}
				cy={here[1]}
				r={13 * unit}
				fill="none"
				stroke="#10263d"
				stroke-width={2 * unit}
				stroke-dasharray={placing.confirmed ? undefined : `${4 * unit} ${3 * unit}`}
			/>
			<path d={cross(here, 5 * unit)} stroke="#10263d" stroke-width={1.2 * unit} />
		</svg>
	</div>

	<div class="space-y-3">
		<div aria-live="polite">
			<h2 class="text-[15px] leading-5 font-semibold">{capital(name(target))}</h2>
			<p class="text-ink2 text-[12.5px] leading-4">
				{landmark ? capital(landmarkOf(landmark).where) : 'Where the edge is sharpest'}. {placing.confirmed
					? 'Placed.'
					: 'Suggested until you place it.'}
			</p>
		</div>
		<svg
			width={LOUPE_PX}
			height={LOUPE_PX}
			viewBox="{here[0] - loupe / 2} {here[1] - loupe / 2} {loupe} {loupe}"
			class="border-edge max-w-full rounded-full border"
			role="img"
			aria-label="Loupe, {ZOOM} times"
		>
			<rect x={here[0] - loupe} y={here[1] - loupe} width={2 * loupe} height={2 * loupe} fill="var(--wash)" />
			<image href={url} width={photo.widthPx} height={photo.heightPx} />
			<path d={cross(here, loupe / 2)} stroke="#fff" stroke-width={loupe / 90} stroke-opacity="0.8" />
			<path d={cross(here, loupe / 2)} stroke="#10263d" stroke-width={loupe / 300} />
		</svg>
		<div class="flex flex-wrap gap-2">
			<button class="btn btn-primary flex-1" onclick={() => placing.confirm()}>It lies here <kbd>⏎</kbd></button>
			<button class="btn" onclick={() => placing.choose(placing.at - 1)}>Back</button>
			<button class="btn" onclick={() => placing.take()} disabled={!placing.placed(target)}>Take away</button>
		</div>
		<p class="text-ink2 text-[12px] leading-4">
			Arrows: one px. Shift: ten. Alt: a quarter. Enter places it and goes on. Shift and a click choose the nearest point. A dotted ring is
			where a point probably lies: what a treatment moves is never placed for you.
		</p>
		{#if onsuggest}<div class="space-y-1">
				<button class="btn" onclick={onsuggest}>Suggest points</button>
				<p class="text-ink2 text-[12px] leading-4" role="status">
					{suggesting || 'Looks for nose, lips, inner corners and pupils: they lay two pictures onto one another. You confirm each.'}
				</p>
			</div>{/if}
		<PointHint view={photo.view} point={landmark} />
	</div>

	<div class="space-y-3 md:col-span-2 xl:col-span-1">
		<div class="space-y-1.5">
			<h2 class="text-[13.5px] font-semibold">What tells the size</h2>
			<Segmented
				label="What tells the size"
				value={placing.scaleKind}
				options={SIZES[placing.view]}
				onchange={(kind) => placing.setScale(kind)}
			/>
			{#if placing.scaleKind === 'marker'}<label class="flex items-center gap-2 text-[12.5px]"
					>Its length, mm
					<input
						autocomplete="off"
						type="number"
						min="5"
						max="200"
						class="field w-20"
						value={placing.lengthMm}
						onchange={(e) => setLength(e.currentTarget)}
					/></label
				>{/if}
			{#if placing.scaleKind === 'marker' && placing.view === 'front'}<label class="flex items-center gap-2 text-[12.5px]"
					><input type="checkbox" checked={placing.checking} onchange={(e) => placing.check(e.currentTarget.checked)} /> Check it against the
					irises</label
				>{/if}
			{#if lengthTrouble}<p role="alert" class="text-flag text-[12.5px] leading-4">{lengthTrouble}</p>{/if}
			{#if placing.markerOff !== null}<p role="alert" class="text-flag text-[12.5px] leading-4">
					By this marker the irises would be {Math.abs(100 * placing.markerOff).toFixed(0)} % {placing.markerOff > 0 ? 'larger' : 'smaller'} than
					irises are. Check its length and its ends: one of them does not say the truth.
				</p>{/if}
			<p class="text-ink2 text-[12px] leading-4">
				{placing.scaleKind === 'none'
					? placing.view === 'front'
						? 'Without it there are angles and ratios, no lengths.'
						: 'Her nose on the nearest front photograph tells the size, where that one tells its own.'
					: placing.scaleKind === 'iris'
						? 'An iris is 11.7 mm across, 0.5 more or less: all lengths may be 4 % off, alike in all of her photographs.'
						: placing.view === 'front'
							? 'It lies on the forehead, just above the brows, flat to the camera.'
							: 'It lies in the midline, such as a strip along the nose: nearer to the camera it looks longer.'}
			</p>
		</div>
		{#each placing.faults as fault (fault.words)}<p role="alert" class="text-flag text-[12.5px] leading-4">{fault.words}</p>{/each}
		<div>
			<h2 class="pb-1 text-[13.5px] font-semibold">{done} of {placing.targets.length} placed</h2>
			<ol class="columns-2 gap-x-3 text-[12px] leading-[17px]">
				{#each placing.targets as t, i (t)}<li class="truncate">
						<button
							class="w-full truncate text-left {t === target ? 'font-semibold' : placing.placed(t) ? '' : 'text-ink2'}"
							title={capital(name(t))}
							aria-current={t === target ? 'step' : undefined}
							onclick={() => placing.choose(i)}
							><span aria-hidden="true">{placing.placed(t) ? '●' : '○'}</span>
							{capital(name(t).replace('the client’s ', ''))}<span class="sr-only">{placing.placed(t) ? ', placed' : ', not placed'}</span
							></button
						>
					</li>{/each}
			</ol>
		</div>
		{#if photo.truth}<button class="btn" onclick={() => placing.putAll(photo.truth!)}>Place all where they are</button>
			<p class="text-ink2 text-[12px] leading-4">
				The simulated camera knows where its points are. Placed by hand, they show how exactly you place.
			</p>{/if}
	</div>
</div>
