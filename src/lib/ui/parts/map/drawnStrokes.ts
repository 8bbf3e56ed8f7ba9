import { partAs, strokesOf } from '$lib/core/step/parts';
import type { Step } from '$lib/core/step/step.schema';
import type { Finger } from './finger';

/** A stroke of a step as it is drawn, and whether the hand is on it. */
export interface DrawnStroke {
	readonly stroke: Step;
	/** The stroke that the step itself is; the others are drawn thinner. */
	readonly first: boolean;
	readonly holds: (finger: Finger) => boolean;
}

const sameWay = (a: Step, b: Step): boolean => a.places.join() === b.places.join();

/** What of a step is drawn: its own stroke, the lanes that have their own ways, what goes beside it, and the parts that go elsewhere. */
export function drawnStrokes(step: Step): DrawnStroke[] {
	if (strokesOf(step).length === 1) return [{ stroke: step, first: true, holds: () => true }];
	const ownLanes = step.laneWays !== undefined;
	const first: DrawnStroke = {
		stroke: ownLanes ? { ...step, lanes: 1 } : step,
		first: true,
		holds: ({ part, lane }) => (part === 0 || sameWay(partAs(step, part - 1), step)) && (!ownLanes || lane === 1)
	};
	const { laneWays = [], beside, parts = [] } = step;
	const like = (places: Step['places']): Step => ({
		...step,
		places,
		lanes: 1,
		laneWays: undefined,
		levels: undefined,
		end: { kind: 'none' }
	});
	return [
		first,
		...laneWays.map((way, i): DrawnStroke => ({
			stroke: like(way),
			first: false,
			holds: ({ lane }) => lane === i + 2
		})),
		...(beside ? [{ stroke: like(beside), first: false, holds: first.holds }] : []),
		...parts.flatMap((_, i): DrawnStroke[] => {
			const stroke = partAs(step, i);
			return sameWay(stroke, step) ? [] : [{ stroke, first: false, holds: ({ part }) => part === i + 1 }];
		})
	];
}
