import { FIGURE } from './geometry';
import { ZONE_IDS, type ZoneId } from './zones';

/** cm² in one square drawing unit (working value: one unit is 0.51 mm). */
export const CM2_PER_SQUARE_UNIT = 0.0026;

/** Area of each zone on one side, cm²: the larger of the two views (working values). */
export const ZONE_AREA_CM2 = Object.fromEntries(
	ZONE_IDS.map((id) => [
		id,
		Math.max(FIGURE.front.zones[id]?.area ?? 0, FIGURE.profile.zones[id]?.area ?? 0) * CM2_PER_SQUARE_UNIT
	])
) as Record<ZoneId, number>;
