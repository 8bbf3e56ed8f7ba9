import { z } from 'zod';

const positive = z.number().positive();

/**
 * Every editable working value in one table: defaults that a practitioner may change, none of them measured truth.
 * The core receives this object and reads nothing from outside.
 */
export const WorkingSchema = z.strictObject({
	/** Upper bound of each pressure level 0..4, kPa. */
	pressureUpperKPa: z.tuple([positive, positive, positive, positive, positive]).default([0.7, 3, 6, 12, 25]),
	/** Middle of each pressure level 0..4, kPa: the weight in pressure-weighted seconds. */
	pressureMiddleKPa: z.tuple([positive, positive, positive, positive, positive]).default([0.35, 1.85, 4.5, 9, 18.5]),
	/** One breath as a dose, seconds (deep breath, in and out). */
	doseBreathSeconds: positive.max(60).default(10),
	/** Half of a breath as a cue, seconds. */
	cueBreathHalfSeconds: positive.max(30).default(5),
	toolPickUpSeconds: z.number().min(0).max(120).default(6),
	sideChangeSeconds: z.number().min(0).max(60).default(2),
	postureChangeSeconds: z.number().min(0).max(60).default(3),
	/** More oil in the middle of the work. */
	topUpSeconds: z.number().min(0).max(120).default(20),
	/** Gloves on or off, or a hand wash. */
	glovesSeconds: z.number().min(0).max(300).default(30),
	/** Walking along a drain link: seconds a place, and seconds a pump. */
	linkPlaceSeconds: z.number().min(0).max(30).default(1),
	linkPumpSeconds: z.number().min(0).max(30).default(1),
	/** Pumps at the end of a drain link, unless said otherwise. */
	linkPumps: z.int().min(0).max(50).default(3),
	/** Pumps that open a node group when a link does them. */
	openingPumps: z.int().min(1).max(50).default(5),
	/** Half-life of an opening, seconds. */
	openingHalfLifeSeconds: positive.max(86_400).default(600),
	/** Difference between left and right that is still even, as a share of the larger. */
	evenShare: z.number().min(0).max(1).default(0.05),
	/** Longest deep work on one zone of one side, seconds. */
	deepCapSeconds: positive.max(1800).default(120),
	/** Sliding repetitions over one zone of one side in a session. */
	slidesPerZone: z.int().min(10).max(1000).default(100),
	/** From this level on, both sides of the neck at once are firm. Never editable above 2: the carotid sinus. */
	neckFirmLevel: z.int().min(1).max(2).default(2),
	/** Typical error of one tape distance and of the face composite, mm. */
	distanceErrorMm: positive.default(1.1),
	compositeErrorMm: positive.default(2.6),
	/** A grade may differ by so many steps between two looks at the same face. */
	gradeErrorSteps: z.int().min(0).max(4).default(1),
	/** Two visits further apart in the hour of the day than this are not compared, minutes. */
	comparableHourMinutes: positive.default(90)
});

export type Working = z.infer<typeof WorkingSchema>;

/** The working values as they ship. */
export const DEFAULT_WORKING: Working = WorkingSchema.parse({});
