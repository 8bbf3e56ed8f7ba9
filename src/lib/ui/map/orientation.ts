import type { View } from '$lib/core/atlas/geometry';
import type { Side } from '$lib/core/atlas/places';
import type { Sequence } from '$lib/core/sequence/sequence.schema';

export type Orientation = Sequence['orientation'];
export const ORIENTATIONS: readonly {
	readonly value: Orientation;
	readonly label: string;
	readonly title: string;
}[] = [
	{ value: 'facing', label: 'Facing', title: 'You face the client: her left is on your right' },
	{ value: 'mirror', label: 'Mirror', title: 'Before a mirror: her left is on your left' },
	{ value: 'head-end', label: 'Head end', title: 'You stand at the head of the couch' }
];

/** The part of the figure that is shown: head and neck, or down to the chest. */
export interface Frame {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}
const FRAMES: Record<View, { close: Frame; wide: Frame }> = {
	front: {
		close: { x: 138, y: 18, width: 524, height: 654 },
		wide: { x: 0, y: 10, width: 800, height: 940 }
	},
	profile: {
		close: { x: 118, y: 18, width: 524, height: 654 },
		wide: { x: 60, y: 10, width: 720, height: 940 }
	}
};
export const frameOf = (view: View, wide: boolean): Frame => FRAMES[view][wide ? 'wide' : 'close'];

/** How the whole figure is turned inside its frame. Labels stand outside of it and stay upright. */
export function turnOf(view: View, orientation: Orientation, frame: Frame): string {
	const [cx, cy] = [frame.x + frame.width / 2, frame.y + frame.height / 2];
	if (orientation === 'head-end') return `rotate(180 ${cx} ${cy})`;
	if (orientation === 'mirror') return `matrix(-1 0 0 1 ${2 * cx} 0)`;
	return '';
}

/** The client's side that is seen on the viewer's left. */
export const sideOnViewersLeft = (orientation: Orientation): Side =>
	orientation === 'facing' ? 'right' : 'left';
