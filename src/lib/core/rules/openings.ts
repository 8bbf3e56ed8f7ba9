import { type NodeId, NODES } from '../atlas/nodes';
import { nodesUnder } from '../atlas/graph';
import { isZone, nodeOf, placeOf, type PlaceId, type Side } from '../atlas/places';
import type { Pass } from '../sequence/passes';
import { sidesOf } from '../sequence/workedSide';
import { strokesOf } from '../step/parts';
import { opensByAim, opensNodes } from './strokes';
import { basicTechnique } from '../technique/basics';
import { makeStep } from '../technique/makeStep';
import { insertStep, type Spot } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import { freeId } from '../sequence/freeId';
import type { Sequence } from '../sequence/sequence.schema';
import type { PlacedStep } from '../sequence/walk';
import type { Working } from '../working/working.schema';

/** The groups that are opened on a place: itself, or those under skin that is opened by name. */
function nodesAt(place: PlaceId, onSkin: boolean): readonly NodeId[] {
	const node = nodeOf(place);
	if (node) return [node];
	return onSkin && isZone(place) ? nodesUnder(place) : [];
}

const key = (node: NodeId, side: Side) => `${node}:${side}`;

/** What openings are read from. */
interface Facts {
	readonly passes: readonly Pass[];
	readonly byId: ReadonlyMap<string, PlacedStep>;
	readonly working: Working;
}

/** When each node group was last pumped open before a moment; strokes do not open. */
export class Openings {
	readonly #times = new Map<string, number[]>();

	constructor(context: Facts) {
		for (const pass of context.passes) {
			const step = context.byId.get(pass.stepId)!.step;
			const link = pass.kind === 'link';
			if (link ? pass.reps < context.working.openingPumps : !strokesOf(step).some(opensNodes)) continue;
			// The pumps of a link are done at its last node group.
			const refs = link ? pass.event.places.slice(-1) : pass.places;
			for (const node of refs.flatMap((ref) => nodesAt(placeOf(ref), !link && opensByAim(step)))) {
				for (const side of sidesOf(pass.side)) {
					const k = key(node, side);
					const known = this.#times.get(k);
					if (known) known.push(pass.endSeconds);
					else this.#times.set(k, [pass.endSeconds]);
				}
			}
		}
	}

	/** Second of the last opening at or before a moment, or null. */
	lastBefore(node: NodeId, side: Side, seconds: number): number | null {
		const times = this.#times.get(key(node, side)) ?? [];
		// The times ascend: the last one that is not later is the one.
		for (let i = times.length - 1; i >= 0; i--) if (times[i]! <= seconds + 1e-9) return times[i]!;
		return null;
	}
}

/** What is left of an opening, 0..1: 2^(−Δt / half-life). */
export function openness(secondsAgo: number, halfLifeSeconds: number): number {
	return 2 ** (-secondsAgo / halfLifeSeconds);
}

/** In the rules a node group is open while at least half of its opening is left. */
export const OPEN_ENOUGH = 0.5;

/** An edit that pumps a node group open before a step. */
export function openBefore(context: Facts & { readonly sequence: Sequence }, node: NodeId, spot: Spot): Edit {
	const step = makeStep(basicTechnique('open-nodes'), {
		id: freeId(context, `open-${node}`),
		places: [`n:${node}`]
	});
	return insertStep(context.sequence, step, spot, `Open the ${NODES[node].label.toLowerCase()} first`);
}
