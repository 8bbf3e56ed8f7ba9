import { bell } from './curve';
import { sided, type FaceSide, type StudyFace } from './face.schema';

/** Where the eyes lie, mm: the same in every made-up head. */
export const EYE = {
	x: 31,
	inner: 16,
	outer: 46.5,
	innerY: 1.6,
	outerY: -1.2,
	z: 66.6,
	ball: 12.3,
	lid: 13.5,
	iris: 5.85
} as const;
/** From the inner corner of the eye (0) to the outer one (1). */
export const alongEye = (ax: number): number => (ax - EYE.inner) / (EYE.outer - EYE.inner);

/** Lines of the face: height (mm, downwards) over the distance from the midline. They are drawn, and they are the truth. */
export interface Features {
	readonly lidUpper: (ax: number, side: FaceSide) => number;
	readonly lidLower: (ax: number, side: FaceSide) => number;
	readonly brow: (ax: number, side: FaceSide) => number;
	readonly mouth: (ax: number, side: FaceSide) => number;
	readonly lipUpper: (ax: number, side: FaceSide) => number;
	readonly lipLower: (ax: number, side: FaceSide) => number;
}

export function featuresOf(face: StudyFace): Features {
	const corners = (t: number) => EYE.innerY + (EYE.outerY - EYE.innerY) * t;
	const inEye = (t: number) => t > 0 && t < 1;
	const mouth = (ax: number, side: FaceSide): number => {
		const u = ax / 25;
		const lifted = (u < 1.3 ? u * u : 1.69) * Math.exp(-Math.max(0, u - 1) * 1.2);
		return 66.4 + bell(ax / 4.6) - 0.35 * bell((ax - 9) / 5) + 0.25 * u * u - sided(face, 'corner', side) * lifted;
	};
	return {
		lidUpper(ax, side) {
			const t = alongEye(ax);
			if (!inEye(t)) return corners(t);
			const height = 4.75 + sided(face, 'open', side) - 0.25 * sided(face, 'upperLid', side);
			return corners(t) - height * Math.sin(Math.PI * t ** 0.9) ** 0.78;
		},
		lidLower(ax, side) {
			const t = alongEye(ax);
			if (!inEye(t)) return corners(t);
			return corners(t) + (4.9 - 0.28 * sided(face, 'bag', side)) * Math.sin(Math.PI * t ** 1.12) ** 0.85;
		},
		brow(ax, side) {
			const t = (ax - 11) / 44;
			const arch = Math.sin(Math.PI * Math.min(1.12, Math.max(0, t * 0.86)) ** 1.12);
			return (
				-17.6 - sided(face, 'brow', side) - 5.6 * arch + (t > 0.72 ? 10 * (t - 0.72) : 0) + (t < 0 ? 1.2 * t * t : 0)
			);
		},
		mouth,
		lipUpper(ax, side) {
			const u = ax / 26;
			if (u >= 1) return mouth(ax, side);
			return mouth(ax, side) - 7.6 * (1 - u * u) ** 0.72 * (1 - 0.12 * u) + 1.5 * bell(ax / 2.6);
		},
		lipLower(ax, side) {
			const u = ax / 25;
			return u >= 1 ? mouth(ax, side) : mouth(ax, side) + 9.6 * (1 - u ** 2.1) ** 0.8;
		}
	};
}
