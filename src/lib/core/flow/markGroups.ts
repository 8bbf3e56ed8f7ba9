import { faceNetwork } from './network';
import type { TideMark } from './tide';

/** Marks of one kind and one step: in one place, or as much on both sides. */
export interface MarkGroup {
	readonly kind: TideMark['kind'];
	readonly stepId: string;
	/** Indexes in the face network: one, or left and right. */
	readonly places: readonly number[];
	/** In each of them. */
	readonly ml: number;
}

/** Both sides are spoken of together where they differ by less than this share. */
const ALIKE_SHARE = 0.02;
const mirrored = (id: string): string => id.replace(/(left|right)$/, (side) => (side === 'left' ? 'right' : 'left'));

/** Marks with their twins joined, in the order given. */
export function markGroups(marks: readonly TideMark[]): MarkGroup[] {
	const { ids, indexOf } = faceNetwork();
	const used = new Set<TideMark>();
	return marks.flatMap((mark): MarkGroup[] => {
		if (used.has(mark)) return [];
		const { kind, stepId, place, ml } = mark;
		const twinPlace = indexOf.get(mirrored(ids[place]!));
		const twin = marks.find(
			(m) => m.kind === kind && m.stepId === stepId && m.place === twinPlace && Math.abs(m.ml - ml) <= ALIKE_SHARE * ml
		);
		used.add(mark);
		if (!twin || used.has(twin)) return [{ kind, stepId, places: [place], ml }];
		used.add(twin);
		return [{ kind, stepId, places: [place, twin.place].sort((a, b) => a - b), ml }];
	});
}
