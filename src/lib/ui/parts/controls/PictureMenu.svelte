<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { Picture } from '../picture/picture';

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

<DropdownMenu.Root>
	<DropdownMenu.Trigger class="icon-btn" aria-label={label} title={label} {disabled}>{@render children()}</DropdownMenu.Trigger>
	<DropdownMenu.Portal>
		<DropdownMenu.Content class="floating" align="end" collisionPadding={8}>
			<DropdownMenu.Item class="floating-item" onSelect={() => save('svg')}>Picture as SVG, to print large</DropdownMenu.Item>
			<DropdownMenu.Item class="floating-item" onSelect={() => save('png')}>Picture as PNG, to send</DropdownMenu.Item>
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
{#if trouble}<span class="text-flag text-xs" role="alert">{trouble}</span>{/if}
