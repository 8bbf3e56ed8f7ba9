import front from './data/drawing-front.json' with { type: 'json' };

/** A line of the figure, in the units of its geometry. */
export interface FigureLine {
	readonly id: string;
	readonly d: string;
	readonly weight: 'contour' | 'feature' | 'hint';
	readonly render?: 'ink';
}
export interface FigureFill {
	readonly role: string;
	readonly d: string;
}
/** How the figure is drawn in one view. */
export interface Drawing {
	readonly lines: readonly FigureLine[];
	readonly fills: readonly FigureFill[];
}

export const FRONT_DRAWING = front as unknown as Drawing;

let profile: Drawing | null = null;
/** The profile, once it was fetched; most looks are from the front. */
export const knownProfile = (): Drawing | null => profile;

/** Fetches the drawing of the profile, once. */
export async function loadProfile(): Promise<Drawing> {
	profile ??= (await import('./data/drawing-profile.json', { with: { type: 'json' } })).default as unknown as Drawing;
	return profile;
}
