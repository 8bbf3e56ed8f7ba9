<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import FileUp from '@lucide/svelte/icons/file-up';
	import { PHOTO_VIEWS, VIEW_LABELS, type PhotoView } from '$lib/core/records/photoViews';
	import type { Session } from '$lib/core/records/session';
	import type { PhotoBook, Taking } from '$lib/state/photoBook.svelte';
	import { onWall, weekDay } from '../../parts/dates';
	import { cameraFor } from '../../parts/shell/addresses';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';

	interface Props {
		book: PhotoBook;
		clientId: string;
		/** The latest last. */
		sessions: readonly Session[];
		sessionId: string | null;
		now: () => string;
	}
	let { book, clientId, sessions, sessionId, now }: Props = $props();
	let view = $state<PhotoView>('front');
	let wished = $state<'before' | 'after' | null>(null);
	let of = $state<string | null>(null);
	const APART = 'apart';
	const chosen = $derived(of ?? sessionId ?? sessions.at(-1)?.id ?? APART);
	const session = $derived(sessions.find((s) => s.id === chosen) ?? null);
	/** A session that is over is looked at after it. */
	const when = $derived(wished ?? (session?.after ? 'after' : 'before'));
	const options = $derived([
		...sessions
			.toReversed()
			.slice(0, 30)
			.map((s) => ({ value: s.id, label: weekDay(onWall(s.startedAt, s)) })),
		{ value: APART, label: 'No session' }
	]);
	const taking = $derived<Omit<Taking, 'takenAt'>>({ clientId, sessionId: session?.id ?? null, when, view });
	const camera = (source: 'camera' | 'simulated') => cameraFor({ client: clientId, session: session?.id ?? null, when, view, of: source });

	async function bring(input: HTMLInputElement) {
		const files = [...(input.files ?? [])];
		input.value = '';
		for (const file of files) if (!(await book.addFile(file, { ...taking, takenAt: now() }))) break;
	}
</script>

<section class="space-y-2.5" aria-label="Take a photograph">
	<h2 class="text-[13.5px] font-semibold">Take one</h2>
	<Segmented
		label="From which side"
		value={view}
		options={PHOTO_VIEWS.map((value) => ({ value, label: VIEW_LABELS[value] }))}
		onchange={(v) => (view = v)}
	/>
	<div class="flex flex-wrap items-center gap-2">
		<Segmented
			label="Before or after the session"
			value={when}
			options={[
				{ value: 'before', label: 'Before' },
				{ value: 'after', label: 'After' }
			]}
			onchange={(w) => (wished = w)}
		/>
		<Select label="Session" value={chosen} {options} onchange={(id) => (of = id)} />
	</div>
	<div class="flex flex-wrap gap-2">
		<a class="btn btn-primary" href={camera('camera')}><Camera size={15} /> Camera</a>
		<label class="btn cursor-pointer"
			><FileUp size={15} /> From files
			<input type="file" class="sr-only" accept="image/*,.heic,.heif" multiple onchange={(e) => bring(e.currentTarget)} /></label
		>
		<a class="btn" href={camera('simulated')}>Simulated camera</a>
	</div>
	<p class="text-ink2 text-[12px] leading-4">
		Pictures are kept in this browser, under the lock where there is one. What a file says of place and device is taken out first. Ask her
		before you photograph.
	</p>
	<p role="status" class="text-[12.5px] leading-4">
		{book.doing}{book.share === null ? '' : ` ${Math.round(100 * book.share)} %`}
	</p>
	{#if book.doubt}<div role="alert" class="text-[12.5px] leading-4">
			<p class="text-flag">{book.doubt.words}</p>
			<button class="btn mt-1" onclick={() => book.doubt?.accept()}>Keep it all the same</button>
		</div>{/if}
	{#if book.room}<p role="alert" class="text-flag text-[12.5px] leading-4">
			{book.room} <a class="dotted" href="/exchange">Exchange</a>
		</p>{/if}
	{#if book.trouble}<p role="alert" class="text-flag text-[12.5px] leading-4">{book.trouble}</p>{/if}
</section>
