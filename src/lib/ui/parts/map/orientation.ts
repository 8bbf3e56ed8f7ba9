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

/** The sides in the order in which a map and every table beside it show them, from the viewer's left. */
export const sidesAsSeen = (orientation: Orientation = 'facing'): readonly Side[] =>
	sideOnViewersLeft(orientation) === 'right' ? ['right', 'left'] : ['left', 'right'];

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
export const sideOnViewersLeft = (orientation: Orientation): Side => (orientation === 'facing' ? 'right' : 'left');

/** A closer frame around some points of the figure, as it stands after the turn; `aspect` is width by height. */
export function focusFrame(
	view: View,
	orientation: Orientation,
	points: readonly (readonly [number, number])[],
	aspect: number
): Frame {
	const whole = frameOf(view, true);
	const close = frameOf(view, false);
	if (!points.length) return close;
	const [cx, cy] = [whole.x + whole.width / 2, whole.y + whole.height / 2];
	const turned = points.map(([x, y]) => [
		orientation === 'facing' ? x : 2 * cx - x,
		orientation === 'head-end' ? 2 * cy - y : y
	]);
	const xs = turned.map((p) => p[0]!);
	const ys = turned.map((p) => p[1]!);
	const [w, h] = [Math.max(...xs) - Math.min(...xs) + 130, Math.max(...ys) - Math.min(...ys) + 130];
	// Never so close that one no longer sees which part of the face it is.
	const width = Math.max(300, w, h * aspect);
	const height = width / aspect;
	return {
		x: (Math.max(...xs) + Math.min(...xs)) / 2 - width / 2,
		y: (Math.max(...ys) + Math.min(...ys)) / 2 - height / 2,
		width,
		height
	};
}
