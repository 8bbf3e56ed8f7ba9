/** Share of the font size that a figure of the stage's type is high, the lowest of what is read there (measured). */
const FIGURE_HEIGHT = 0.7;
const ARC_MINUTE = Math.tan(Math.PI / (180 * 60));

/** How far the eyes usually are from the screen, m (working value). */
export const USUAL_DISTANCE_M = 1.5;
/** What must be read with the hands on a client, and what may be a little smaller; arc minutes (working values). */
export const LARGE_ARC_MINUTES = 20;
export const PLAIN_ARC_MINUTES = 16;

/** Millimetres of a CSS pixel on a phone, a tablet and a laptop of usual size: no browser tells it (working values). */
const PITCH_MM = { phone: 0.1666, tablet: 0.1927, laptop: 0.2238 } as const;
export type ScreenKind = keyof typeof PITCH_MM;

/** What a window is most likely on, by its size in CSS pixels. */
export function screenOf(width: number, height: number): ScreenKind {
	if (Math.min(width, height) < 600 && Math.max(width, height) < 1000) return 'phone';
	return width < 1100 ? 'tablet' : 'laptop';
}

/**
 * Size of type of which a figure is seen under an angle.
 * @param arcMinutes > 0
 * @param distanceM from eye to screen, metres, > 0
 * @returns px, whole
 * @example fontPx(20, 'laptop') // => 56
 */
export const fontPx = (arcMinutes: number, screen: ScreenKind, distanceM = USUAL_DISTANCE_M): number =>
	Math.ceil((arcMinutes * 1000 * distanceM * ARC_MINUTE) / PITCH_MM[screen] / FIGURE_HEIGHT);
