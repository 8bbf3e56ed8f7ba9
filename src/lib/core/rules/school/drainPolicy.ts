import { isNode, placeOf } from '../../atlas/places';
import { runsToDrain } from '../../links/drainPolicy';
import { endPlace } from '../../step/levelsOf';
import { placesTouched, strokesOf } from '../../step/parts';
import type { Step } from '../../step/step.schema';
import type { School } from '../../school/school.schema';
import { aimRow } from '../../vocabulary/vocabulary';
import type { Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** Leads off what was moved: a link, or a drain that ends at a node group or at the ear. */
const leadsOff = (step: Step): boolean => step.end.kind === 'link' || strokesOf(step).some(isFluidStroke);
/** Leads on upwards along the jaw, and so leaves fluid there. */
const lifts = ({ aim }: Step): boolean => aimRow(aim).goesOnAlongJaw && !aimRow(aim).movesFluid;
const endsAtNode = (step: Step): boolean => isNode(placeOf(endPlace(step)));

const WORDS: Record<School['drainPolicy'], string> = {
	'every-move': 'drains after every move',
	'every-zone': 'drains after every zone',
	'every-region': 'drains after every region',
	end: 'drains at the end'
};

/** The school drains when it says that it does. */
export const drainPolicy: Rule = {
	id: 'drain-policy',
	kind: 'school',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) => WORDS[school.drainPolicy],
	check({ sequence, school, byId, steps }) {
		// Where the links are the policy's they are kept by it.
		if (sequence.links === 'policy') return [];
		// What hangs on a condition is drained where it is done.
		const runs = runsToDrain(sequence)
			.map((run) => run.filter((step) => byId.has(step.id) && step.onlyIf === undefined))
			.filter((run) => run.length);
		const drains = (step: Step) => leadsOff(step) || endsAtNode(step);
		// After a zone or a region the drain itself may begin in the next one: where the moves left their fluid.
		const follows = school.drainPolicy === 'every-zone' || school.drainPolicy === 'every-region';
		const takesUp = (run: readonly Step[], next: readonly Step[] = []) => {
			const left = placeOf(endPlace(run.at(-1)!));
			return next.some((step) => drains(step) && placesTouched(step).some((ref) => placeOf(ref) === left));
		};
		const dry = runs.filter((run, i) => !run.some(drains) && !(follows && takesUp(run, runs[i + 1])));
		// Who drains at the end is asked for one drain after lifts; where it must reach is asked elsewhere.
		const once = school.drainPolicy === 'end';
		if (once && (steps.some(({ step }) => leadsOff(step)) || !dry.flat().some(lifts))) return [];
		const last = dry.at(-1)?.at(-1);
		if (!last) return [];
		const number = byId.get(last.id)!.number;
		return [{ stepIds: [last.id], params: { number, times: dry.length, after: school.drainPolicy } }];
	}
};
