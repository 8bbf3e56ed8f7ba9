import { CONTACT_ROWS, type Contact } from '../vocabulary/contacts';
import { EDGE_ROWS, TOOL_ROWS, type StoneEdge, type ToolId } from '../vocabulary/tools';
import { TYPICAL_DOSES } from './typicalDoses';

type Levels = [touch: number, light: number, medium: number, firm: number, deep: number];

/** The areas of those rows that have one. */
const areas = <K extends string>(rows: Readonly<Record<K, { areaCm2: number | null }>>) =>
	Object.fromEntries(
		Object.entries<{ areaCm2: number | null }>(rows).flatMap(([id, { areaCm2 }]) =>
			areaCm2 === null ? [] : [[id, areaCm2] as const]
		)
	) as Record<K, number>;

/** The working values as they ship: numbers only. Their ranges, and what is said of them, stand in `working.schema.ts`. */
export const DEFAULT_WORKING = {
	pressureUpperKPa: [0.7, 3, 6, 12, 25] as Levels,
	pressureMiddleKPa: [0.35, 1.85, 4.5, 9, 18.5] as Levels,
	contactAreaCm2: areas<Contact>(CONTACT_ROWS),
	toolAreaCm2: areas<ToolId>(TOOL_ROWS),
	edgeAreaCm2: areas<StoneEdge>(EDGE_ROWS),
	typicalDoses: TYPICAL_DOSES,
	doseBreathSeconds: 10,
	cueBreathHalfSeconds: 5,
	toolPickUpSeconds: 6,
	sideChangeSeconds: 2,
	postureChangeSeconds: 3,
	topUpSeconds: 20,
	glovesSeconds: 30,
	signalRestSeconds: 0.25,
	onceSeconds: 1,
	gapSeconds: 3,
	linkPlaceSeconds: 1,
	linkPumpSeconds: 1,
	linkPumps: 3,
	openingPumps: 5,
	openingHalfLifeSeconds: 600,
	evenShare: 0.05,
	deepLevel: 3,
	deepCapSeconds: 120,
	slidesPerZone: 100,
	rushedPaceSeconds: 1.5,
	slowPaceSeconds: 2.5,
	neckFirmLevel: 2,
	usualTiltDegrees: 15,
	steepFaceDegrees: 30,
	steepNeckDegrees: 45,
	coldSeconds: 40,
	insideSeconds: 120,
	eyeTapeHours: 2,
	tapeHours: 8,
	tapeSoakSeconds: 300,
	deepRestHours: 48,
	insideAWeek: 3,
	firstTapeHours: 3,
	nightTapeHours: 10,
	fullFilmUlCm2: 1,
	handFilmUlCm2: 0.2,
	toolFilmUlCm2: 0.3,
	handWearShare: 0.01,
	toolWearShare: 0.02,
	oilyShare: 0.1,
	dropMl: 0.05,
	pumpMl: 0.1,
	distanceErrorMm: 1.1,
	compositeErrorMm: 2.6,
	circumferenceErrorMm: 4,
	gradeErrorSteps: 1,
	comparableHourMinutes: 90
};
