import type { Technique } from './technique.schema';

/** What a technique is where nothing else is said. */
export const DEFAULT_TECHNIQUE = {
	paths: [] as never[],
	posture: 'neutral',
	breath: 'free',
	by: 'practitioner',
	mouth: 'closed',
	eyes: 'closed',
	lanes: 1,
	reverse: false,
	end: 'none',
	how: [] as never[],
	contra: [] as never[]
} as const;

/** The shipped techniques of a family, whole: its file says only what is not usual. A test holds each to the schema. */
export const shipped = (family: readonly object[]): Technique[] =>
	family.map((entry) => ({ ...DEFAULT_TECHNIQUE, ...entry }) as unknown as Technique);
