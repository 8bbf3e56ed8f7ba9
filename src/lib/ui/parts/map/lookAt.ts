import { FIGURE, type View } from '$lib/core/atlas/geometry';
import { REGION_ZONES } from './regionZones';
import { frameOf, type Frame, type Orientation } from './orientation';
import { boundsOf } from './strokeShape';

/** Parts of the figure that can be looked at closely. */
export const LOOKS = ['head', 'eye', 'mouth', 'neck', 'chest'] as const;
export type LookAt = (typeof LOOKS)[number];
export const LOOK_WORDS: Record<LookAt, string> = {
	head: 'Head and neck',
	eye: 'Eyes',
	mouth: 'Mouth and jaw',
	neck: 'Neck',
	chest: 'Down to the chest'
};

/** Room about the zones of a look, units. */
const MARGIN = 14;

/** The frame of a look as it stands after the turn; null where the usual frame of the view is meant. */
export function frameFor(look: LookAt, view: View, orientation: Orientation): Frame | null {
	if (look === 'head' || look === 'chest') return null;
	const boxes = REGION_ZONES[look].flatMap((zone) => {
		const shape = FIGURE[view].zones[zone];
		return shape ? [boundsOf(shape.d)] : [];
	});
	if (!boxes.length) return null;
	const whole = frameOf(view, true);
	const xs = boxes.flatMap((b) => [b.x, b.x + b.width]);
	const ys = boxes.flatMap((b) => [b.y, b.y + b.height]);
	let [x0, x1, y0, y1] = [
		Math.min(...xs) - MARGIN,
		Math.max(...xs) + MARGIN,
		Math.min(...ys) - MARGIN,
		Math.max(...ys) + MARGIN
	];
	// The front view holds the client's left half only: the right mirrors it.
	if (view === 'front') x0 = 800 - x1;
	const [cx, cy] = [whole.x + whole.width / 2, whole.y + whole.height / 2];
	if (orientation !== 'facing') [x0, x1] = [2 * cx - x1, 2 * cx - x0];
	if (orientation === 'head-end') [y0, y1] = [2 * cy - y1, 2 * cy - y0];
	return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}
