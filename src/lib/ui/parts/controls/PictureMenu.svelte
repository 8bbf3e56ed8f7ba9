<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Picture } from '../picture/picture';
	import Menu from './Menu.svelte';

	interface Props {
		label: string;
		/** Title of the sequence: part of the file's name. */
		title: string;
		/** Draws the picture when it is asked for. */
		picture: () => Promise<Picture>;
		disabled?: boolean;
		children: Snippet;
	}
	let { label, title, picture, disabled = false, children }: Props = $props();
	let trouble = $state('');
	async function save(kind: 'svg' | 'png') {
		try {
			const { savePicture } = await import('../picture/savePicture');
			await savePicture(await picture(), title, kind);
			trouble = '';
		} catch {
			trouble = 'The picture could not be made here. Try the other form.';
		}
	}
</script>

<Menu
	{label}
	{disabled}
	{children}
	items={[
		{ label: 'Picture as SVG, to print large', onselect: () => void save('svg') },
		{ label: 'Picture as PNG, to send', onselect: () => void save('png') }
	]}
/>
{#if trouble}<span class="text-flag text-xs" role="alert">{trouble}</span>{/if}
