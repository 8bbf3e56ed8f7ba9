import type { z } from 'zod';
import { isNode, placeOf } from '../atlas/places';
import type { Technique } from './technique.schema';
import { isStationary } from '../step/vocabulary';

/** What a JSON Schema cannot say about a technique: parts that contradict each other, each named with its remedy. */
export function checkTechnique(technique: Technique, ctx: z.core.$RefinementCtx<Technique>): void {
	const problem = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
	const { dose, pressure, tool, contact, shape, motion } = technique;
	if (!(dose.min <= dose.target && dose.target <= dose.max))
		problem(['dose'], `min ≤ target ≤ max is needed: ${dose.min}, ${dose.target}, ${dose.max}`);
	if (!(pressure.min <= pressure.default && pressure.default <= pressure.max))
		problem(
			['pressure'],
			`min ≤ default ≤ max is needed: ${pressure.min}, ${pressure.default}, ${pressure.max}; put the default between the two`
		);
	if ((contact === 'tool') !== (tool !== undefined && tool.id !== 'gloves'))
		problem(
			['tool'],
			'a tool is needed with the contact tool, and only with it (gloves aside): choose both or neither'
		);
	if (tool?.edge && tool.id !== 'stone-plate')
		problem(['tool', 'edge'], `only a stone plate has edges: leave the edge out for ${tool.id}`);
	if (shape === 'stroke' && isStationary(motion))
		problem(['motion'], `${motion} stays where it is: choose a sliding motion, or let the technique stay on one place`);
	if (shape !== 'stroke' && (technique.lanes > 1 || technique.reverse) && motion !== 'pinned-circle')
		problem(['lanes'], 'lanes and the way back belong to strokes: set one lane and no way back, or make it a stroke');
	if (technique.target && technique.aim !== 'cleanse')
		problem(['target'], 'a target belongs to the aim cleanse only: leave it out');
	technique.paths.forEach((path, i) => {
		if (shape === 'stroke' && path.length < 2)
			problem(['paths', i], 'a stroke needs at least two places: add where it ends');
		if (motion === 'pump' && !path.every((ref) => isNode(placeOf(ref))))
			problem(['paths', i], 'a pump stays on node groups: choose places such as n:terminus');
	});
}
