import { isMidlinePlace } from '../atlas/midline';
import { ownSideOf, placeOf } from '../atlas/places';
import { SPOTS } from '../atlas/spots';
import { aimRow, isStationary, toolRow } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

/** What is wrong at a place of a step or a sequence, and what is needed there. */
export interface Problem {
	readonly path: readonly (string | number)[];
	readonly message: string;
}

/** What a JSON Schema cannot say about one step; listed in docs/formats.md. */
export function stepProblems(step: Step): Problem[] {
	const problems: Problem[] = [];
	const problem = (path: Problem['path'], message: string) => problems.push({ path, message });
	const { dose } = step;
	if (!(dose.min <= dose.target && dose.target <= dose.max))
		problem(['dose'], `min ≤ target ≤ max is needed: ${dose.min}, ${dose.target}, ${dose.max}`);
	if ((step.pressure === undefined) === (step.levels === undefined))
		problem(['pressure'], 'either one pressure or a level for each place is needed, not both');
	if (step.levels && step.levels.length !== step.places.length)
		problem(['levels'], `one level for each of the ${step.places.length} places is needed: ${step.levels.length}`);
	if (!step.places.length && aimRow(step.aim).needsPlace)
		problem(['places'], `at least one place is needed for the aim ${step.aim}`);
	if ((step.contact === 'tool') !== (step.tool !== undefined && !toolRow(step.tool.id).worn))
		problem(['tool'], 'a tool is needed where a tool touches the skin, and only there (gloves aside)');
	if (step.tool?.edge && !toolRow(step.tool.id).edged)
		problem(['tool', 'edge'], `only a stone plate has edges: ${step.tool.id}`);
	if (step.target && step.aim !== 'cleanse') problem(['target'], 'a target belongs to the aim cleanse only');
	if (step.side === 'midline' && !step.places.every((p) => ownSideOf(p) !== null || isMidlinePlace(p)))
		problem(['side'], 'midline is possible only on places that reach the midline');
	if (step.laneWays && step.laneWays.length !== step.lanes - 1)
		problem(['laneWays'], `a path for each further lane is needed: ${step.lanes - 1}, not ${step.laneWays.length}`);
	const own = Math.max(0, ...(step.levels ?? [step.pressure ?? 0]));
	if (step.risesTo !== undefined && step.risesTo < own)
		problem(['risesTo'], `a hold rises to its own pressure or more: ${step.risesTo}`);
	if (step.swellsTo !== undefined && step.swellsTo < own)
		problem(['swellsTo'], `a stroke swells to its own pressure or more: ${step.swellsTo}`);
	if (step.swellsTo !== undefined && isStationary(step.motion))
		problem(['swellsTo'], 'only a stroke swells; a hold rises');
	if (step.swellsTo !== undefined && step.risesTo !== undefined)
		problem(['swellsTo'], 'a pressure swells in each stroke or rises over all of them, not both');
	if (step.besideWork && !step.beside) problem(['besideWork'], 'work beside it needs a second path');
	if (step.besideWork?.contact === 'tool')
		problem(['besideWork', 'contact'], 'on the second path works a hand, not a tool');
	if (step.spots && !step.places.length) problem(['spots'], 'spots lie within a place');
	if (step.spots && 'named' in step.spots)
		for (const id of step.spots.named)
			if (!step.places.some((ref) => placeOf(ref) === SPOTS[id].place))
				problem(['spots'], `a spot lies within a place of the step: ${id} lies in ${SPOTS[id].place}`);
	if (step.tape?.firstHours !== undefined && step.tape.firstHours > step.tape.wearHours)
		problem(
			['tape', 'firstHours'],
			`the first time is no longer than later: ${step.tape.firstHours}, ${step.tape.wearHours}`
		);
	if (step.tape?.leastHours !== undefined && step.tape.leastHours > step.tape.wearHours)
		problem(['tape', 'leastHours'], `least ≤ most hours are needed: ${step.tape.leastHours}, ${step.tape.wearHours}`);
	step.stations?.places.forEach((station, i) => {
		if (!step.places.includes(station))
			problem(['stations', 'places', i], `a station must lie on the path: ${station}`);
	});
	return problems;
}
