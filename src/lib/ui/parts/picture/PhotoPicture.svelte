<script lang="ts">
	import type { PhotoBook } from '$lib/state/photoBook.svelte';

	interface Props {
		book: PhotoBook;
		fileId: string;
		alt: string;
		class?: string;
	}
	let { book, fileId, alt, class: extra = '' }: Props = $props();
	const url = $derived(book.urlOf(fileId));
</script>

<!-- A picture out of the store: it takes its room before it is there. -->
{#await url}<span class="bg-wash block {extra}" aria-hidden="true"></span>
{:then src}{#if src}<img {src} {alt} class="block object-cover {extra}" draggable="false" />
	{:else}<span class="bg-wash text-ink3 grid place-items-center text-[11px] {extra}">file missing</span>{/if}
{:catch}<span class="bg-wash text-ink3 grid place-items-center text-[11px] {extra}">not readable</span>{/await}
