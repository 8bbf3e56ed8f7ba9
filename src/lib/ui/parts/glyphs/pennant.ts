import type { Severity } from '$lib/core/school/school.schema';

/**
 * A pennant as written-out paths: where there are many, a transform for each would make every frame dear.
 * @param x left, @param y top of its box
 * @param scale 1 draws it 15 × 16
 */
export function pennantShape(severity: Severity, x = 0, y = 0, scale = 1): { staff: string; flag: string } {
	const at = (px: number, py: number) => `${+(x + px * scale).toFixed(2)} ${+(y + py * scale).toFixed(2)}`;
	const flag = (top: number, tip: number, foot: number) => `M${at(3, top)}L${at(13, tip)}L${at(3, foot)}Z`;
	return {
		staff: `M${at(3, 14.5)}L${at(3, 1.8)}`,
		flag: severity === 'stop' ? flag(1.8, 3.7, 6.4) + flag(8, 9.9, 12.6) : flag(2, 4.6, 8.4)
	};
}
