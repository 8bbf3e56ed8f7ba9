<script lang="ts">
	import Trash from '@lucide/svelte/icons/trash-2';
	import { missingPoints } from '$lib/core/measure/faults';
	import type { Photo } from '$lib/core/records/photo';
	import { VIEW_LABELS } from '$lib/core/records/photoViews';
	import type { PhotoBook } from '$lib/state/photoBook.svelte';
	import { hour } from '../../parts/dates';
	import { photoAt } from '../../parts/shell/addresses';
	import PhotoPicture from '../../parts/picture/PhotoPicture.svelte';

	interface Props {
		book: PhotoBook;
		photo: Photo;
		chosen: boolean;
		onchoose: () => void;
		onremove: () => void;
	}
	let { book, photo, chosen, onchoose, onremove }: Props = $props();
	const missing = $derived(missingPoints(photo.points, photo.view === 'front' ? 'front' : 'profile').length);
	const name = $derived(`${VIEW_LABELS[photo.view]}, ${photo.when}, ${hour(photo.takenAt)}`);
</script>

<li class="bg-sheet border-edge flex w-[148px] flex-col rounded-lg border {chosen ? 'outline-ink outline-2' : ''}">
	<a href={photoAt(photo.id)} class="block overflow-hidden rounded-t-lg" aria-label="Points on: {name}">
		<PhotoPicture {book} fileId={photo.thumbId} alt="" class="h-[180px] w-full" />
	</a>
	<div class="flex-1 px-2 pt-1.5 pb-1 text-[12px] leading-4">
		<b class="font-semibold">{VIEW_LABELS[photo.view]}</b>, {photo.when}
		<br /><span class="text-ink2">{hour(photo.takenAt)}{photo.source === 'simulated' ? ', simulated' : ''}</span>
		<br /><span class={missing ? 'text-ink2' : ''}>{missing ? `${missing} points to place` : 'all points placed'}</span>
	</div>
	<div class="border-hair flex border-t">
		<label class="flex min-h-8 flex-1 items-center gap-1.5 px-2 text-[12px]">
			<input type="checkbox" checked={chosen} onchange={onchoose} aria-label="Compare: {name}" /> compare
		</label>
		<button class="icon-btn" onclick={onremove} aria-label="Remove: {name}" title="Remove this photograph"><Trash size={14} /></button>
	</div>
</li>
