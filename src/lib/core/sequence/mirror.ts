import { otherSide, ownSideOf, placeOf, type PlaceRef } from '../atlas/places';
import { swappedSide } from './edits';
import type { Block, Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';

/** The same place on the other half of the body; one without a side of its own stays. */
export function mirroredPlace(ref: PlaceRef): PlaceRef {
	const side = ownSideOf(ref);
	return side ? (`${placeOf(ref)}:${otherSide(side)}` as PlaceRef) : ref;
}

const mirroredTape = (tape: NonNullable<Step['tape']>): NonNullable<Step['tape']> => ({
	...tape,
	...(tape.anchor ? { anchor: mirroredPlace(tape.anchor) } : {}),
	...(tape.towards ? { towards: mirroredPlace(tape.towards) } : {})
});

/** The step as its mirror image: sides, and places that name one. */
export function mirroredStep(step: Step): Step {
	const { places, side, stations, support, end, parts, beside, laneWays, tape, towards } = step;
	const turned = (list: readonly PlaceRef[]) => list.map(mirroredPlace);
	return {
		...step,
		places: places.map(mirroredPlace),
		...(side === undefined ? {} : { side: swappedSide(side) }),
		...(stations ? { stations: { ...stations, places: stations.places.map(mirroredPlace) } } : {}),
		...(parts ? { parts: parts.map((p) => (p.places ? { ...p, places: turned(p.places) } : p)) } : {}),
		...(beside ? { beside: turned(beside) } : {}),
		...(laneWays ? { laneWays: laneWays.map(turned) } : {}),
		...(towards === 'left' || towards === 'right' ? { towards: otherSide(towards) } : {}),
		...(tape ? { tape: mirroredTape(tape) } : {}),
		...(support?.place ? { support: { ...support, place: mirroredPlace(support.place) } } : {}),
		end: end.kind === 'link' ? { ...end, places: end.places.map(mirroredPlace) } : end
	};
}

const mirroredSides = (sides: Block['sides']): Block['sides'] =>
	sides === 'asSteps' ? sides : { ...sides, first: otherSide(sides.first) };

/** The sequence as its mirror image: what was done on the left is done on the right. */
export const mirroredSequence = (sequence: Sequence): Sequence => ({
	...sequence,
	phases: sequence.phases.map((phase) => ({
		...phase,
		blocks: phase.blocks.map((block) => ({
			...block,
			sides: mirroredSides(block.sides),
			steps: block.steps.map(mirroredStep)
		}))
	}))
});
