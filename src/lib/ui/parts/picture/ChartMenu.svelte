<script lang="ts">
	import ImageDown from '@lucide/svelte/icons/image-down';
	import PictureMenu from '../controls/PictureMenu.svelte';

	interface Props {
		/** Part of the file’s name. */
		title: string;
		/** The drawing on the page. */
		drawing: SVGSVGElement | undefined;
	}
	let { title, drawing }: Props = $props();
	async function picture() {
		const { standalone } = await import('./standalone');
		return standalone(drawing!);
	}
</script>

<PictureMenu label="Save as a picture: {title}" {title} {picture} disabled={!drawing}><ImageDown size={17} /></PictureMenu>
