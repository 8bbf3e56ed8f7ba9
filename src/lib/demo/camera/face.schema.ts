import { z } from 'zod';

const bothSides = <N extends string>(names: readonly N[], mm: z.ZodDefault<z.ZodNumber>) =>
	Object.fromEntries(names.flatMap((n) => [`${n}L`, `${n}R`]).map((n) => [n, mm])) as Record<
		`${N}${'L' | 'R'}`,
		z.ZodDefault<z.ZodNumber>
	>;
const fullness = z.number().min(-3).max(4);
const Colour = z.tuple([z.number(), z.number(), z.number()]);

/** What skin is made of, as the made-up head shows it. */
export const CLAYS = {
	sand: [0.8, 0.665, 0.565],
	porcelain: [0.8, 0.7, 0.615],
	terracotta: [0.66, 0.43, 0.32],
	umber: [0.4, 0.265, 0.195],
	olive: [0.66, 0.535, 0.41]
} as const satisfies Record<string, readonly [number, number, number]>;
export type Clay = keyof typeof CLAYS;

/** A made-up face: who it is, and how full, how open, how high. Millimetres, unless it says otherwise; L is the person’s left. */
export const StudyFaceSchema = z.strictObject({
	/** Shares of the usual head. */
	faceWidth: z.number().min(0.9).max(1.1).default(1),
	jawWidth: z.number().min(0.9).max(1.1).default(1),
	noseScale: z.number().min(0.85).max(1.15).default(1),
	chin: fullness.default(0),
	...bothSides(['bag'], z.number().min(0).max(4).default(0.5)),
	...bothSides(['malar', 'buccal', 'masseter'], fullness.default(0)),
	...bothSides(['jowl'], z.number().min(0).max(4).default(0)),
	submental: z.number().min(0).max(4).default(0),
	...bothSides(['upperLid'], z.number().min(0).max(2).default(0)),
	...bothSides(['nasolabial'], z.number().min(0).max(2).default(0.6)),
	/** Upwards. */
	...bothSides(['brow'], z.number().min(-4).max(4).default(0)),
	/** How much further the upper lid opens. */
	...bothSides(['open'], z.number().min(-2).max(2.5).default(0)),
	/** Upwards. */
	...bothSides(['corner'], z.number().min(-3).max(3).default(1.1)),
	clay: z.enum(Object.keys(CLAYS) as [Clay, ...Clay[]]).default('sand'),
	iris: Colour.default([0.105, 0.165, 0.175])
});
export type StudyFace = z.infer<typeof StudyFaceSchema>;
export type StudyFaceInput = z.input<typeof StudyFaceSchema>;
export type FaceSide = 'L' | 'R';
type Sided = keyof StudyFace extends infer K ? (K extends `${infer N}L` ? N : never) : never;
/** A parameter of one side of the face, mm. */
export const sided = (face: StudyFace, name: Sided, side: FaceSide): number => face[`${name}${side}`];

export const CameraSchema = z.strictObject({
	widthPx: z.number().int().min(60).max(4000).default(1200),
	heightPx: z.number().int().min(60).max(4000).default(1600),
	/** > 0: the nose to the viewer’s right. A profile that faces left is −90. */
	yaw: z.number().min(-180).max(180).default(0),
	/** > 0: the chin up. */
	pitch: z.number().min(-45).max(45).default(0),
	/** > 0: clockwise. */
	roll: z.number().min(-180).max(180).default(0),
	distanceMm: z.number().min(300).max(5000).default(1200),
	/** What the height of the picture holds at that distance. */
	fieldMm: z.number().min(100).max(1000).default(330),
	/** What lies in its middle. */
	centreMm: z.tuple([z.number(), z.number()]).default([0, 44]),
	light: z
		.strictObject({
			/** Where it comes from, degrees: < 0 from the viewer’s left; upwards. */
			azimuth: z.number().min(-180).max(180).default(-38),
			elevation: z.number().min(-20).max(90).default(38),
			key: z.number().min(0).max(3).default(1),
			fill: z.number().min(0).max(3).default(1),
			level: z.number().min(0.05).max(3).default(1),
			warm: z.number().min(-2).max(2).default(0)
		})
		.prefault({}),
	/** Standard deviation of the grain, of the blur in px. */
	noise: z.number().min(0).max(0.1).default(0.006),
	blurPx: z.number().min(0).max(6).default(0.6),
	seed: z.number().int().default(7),
	/** Samples a pixel, each way. */
	samples: z.number().int().min(1).max(3).default(1)
});
export type StudyCamera = z.infer<typeof CameraSchema>;
export type StudyCameraInput = z.input<typeof CameraSchema>;
