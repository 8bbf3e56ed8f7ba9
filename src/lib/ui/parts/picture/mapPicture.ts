import type { Component, ComponentProps } from 'svelte';
import { loadProfile } from '$lib/core/atlas/drawing';
import { drawApart } from './drawApart';
import MapSheet from './MapSheet.svelte';
import type { Picture } from './picture';

/** The face with the step, its water and its nodes, title and legend. */
export async function mapPicture(props: ComponentProps<typeof MapSheet>): Promise<Picture> {
	if (props.view === 'profile') await loadProfile();
	return drawApart(
		MapSheet as Component<typeof props & Record<string, unknown>>,
		props as typeof props & Record<string, unknown>
	);
}
