import { FIGURE, mirrorPath } from '$lib/core/atlas/geometry';
import type { Side } from '$lib/core/atlas/places';
import type { ZoneId } from '$lib/core/atlas/zones';

export const STRONGEST_GRADE = 4;
/** The outline of a place that was graded, on its side of the face. */
export function gradeShape({ zone, side }: { readonly zone: ZoneId; readonly side: Side }): string {
	const d = FIGURE.front.zones[zone]?.d ?? '';
	return side === 'right' ? mirrorPath(d) : d;
}

/** Words in lines of at most so many signs: a drawing breaks none by itself. */
export function linesOf(words: string, most: number): string[] {
	const lines: string[] = [];
	for (const word of words.split(' ').filter(Boolean)) {
		const last = lines.at(-1);
		if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
		else lines.push(word);
	}
	return lines;
}
