<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { Popover } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { View } from './views';

	interface Props {
		places: readonly View[];
		here: (path: string) => boolean;
		theme: Snippet;
	}
	let { places, here, theme }: Props = $props();
	let open = $state(false);
</script>

<!-- One slim line that names the page; the others are in its menu. -->
<nav aria-label="Views" class="ml-1">
	<Popover.Root bind:open>
		<Popover.Trigger class="flex min-h-11 items-center gap-1.5 px-2 text-[15px] font-semibold"
			><span class="sr-only">Views, here: </span>{places.find((p) => here(p.path))?.label ?? 'Views'}<ChevronDown
				size={16}
			/></Popover.Trigger
		>
		<Popover.Portal>
			<Popover.Content class="floating !max-h-[88vh] !min-w-[220px]" sideOffset={2} collisionPadding={8} aria-label="Views">
				{#each places as place (place.path)}
					<a
						href={place.path}
						class="floating-item !min-h-11 text-[15px] {here(place.path) ? 'font-semibold' : ''}"
						aria-current={here(place.path) ? 'page' : undefined}
						onclick={() => (open = false)}>{place.label}</a
					>
				{/each}
				<div class="border-hair mt-1 border-t p-2">{@render theme()}</div>
			</Popover.Content>
		</Popover.Portal>
	</Popover.Root>
</nav>
