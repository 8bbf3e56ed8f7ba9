import { twinOf } from './network';
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
/** Whether one side holds as much as the other, ml. */
export const isAlike = (ml: number, otherMl: number): boolean => Math.abs(ml - otherMl) <= ALIKE_SHARE * otherMl;
/** Both places of a pair, in the order of the network. */
export const both = (place: number, twin: number): number[] => [place, twin].sort((a, b) => a - b);

/** Marks with their twins joined, in the order given. */
export function markGroups(marks: readonly TideMark[]): MarkGroup[] {
	const used = new Set<TideMark>();
	return marks.flatMap((mark): MarkGroup[] => {
		if (used.has(mark)) return [];
		const { kind, stepId, place, ml } = mark;
		const twinPlace = twinOf(place);
		const twin = marks.find(
			(m) => m.kind === kind && m.stepId === stepId && m.place === twinPlace && isAlike(m.ml, ml)
		);
		used.add(mark);
		if (!twin || used.has(twin)) return [{ kind, stepId, places: [place], ml }];
		used.add(twin);
		return [{ kind, stepId, places: both(place, twin.place), ml }];
	});
}
