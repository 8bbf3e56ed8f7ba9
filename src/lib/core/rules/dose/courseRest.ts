import { mostAWeek, type Course } from '../../sequence/course';
import { setHead } from '../../sequence/edits';
import { peakLevel } from '../../step/levelsOf';
import { isInside, touches } from '../facts';
import type { JudgeContext, RawFinding, Rule } from '../rule';

type Rest = 'deep' | 'inside' | 'tape';

/** The most often in a week that the work of a sequence may come. */
const mostOf = ({ working }: JudgeContext): Record<Rest, number> => ({
	deep: (7 * 24) / working.deepRestHours,
	inside: working.insideAWeek,
	// Tape that is laid on every day leaves the skin none to itself.
	tape: 6
});

function busyFor(context: JudgeContext, kind: Rest): JudgeContext['steps'][number] | undefined {
	const { steps, working } = context;
	if (kind === 'tape') return steps.find(({ step }) => step.aim === 'fix');
	if (kind === 'inside') return steps.find(({ step }) => isInside(step));
	return steps.find(({ step }) => touches(step) && !isInside(step) && peakLevel(step) > working.deepLevel);
}

/** As often as the rest allows, in one part; tape only gets its days of rest. */
const mended = (kind: Rest, most: number): Partial<Course> =>
	kind === 'tape'
		? { restDays: 2 }
		: { times: Math.max(1, Math.floor(most)), most: undefined, per: 'week', then: undefined, restDays: undefined };

/** What is done again and again leaves the days of rest that its work asks for. */
export const courseRest: Rule = {
	id: 'course-rest',
	kind: 'dose',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check(context) {
		const { course } = context.sequence;
		if (!course) return [];
		const often = mostAWeek(course);
		return (['deep', 'inside', 'tape'] as const).flatMap((kind): RawFinding[] => {
			const most = mostOf(context)[kind];
			const placed = often > most ? busyFor(context, kind) : undefined;
			if (!placed) return [];
			const params = { number: placed.number, rest: kind, often: Math.round(10 * often) / 10, most };
			return [{ stepIds: [placed.step.id], params, severity: kind === 'tape' ? 'advice' : 'caution' }];
		});
	},
	fix(context, finding) {
		const { course } = context.sequence;
		if (!course) return null;
		const changed = { ...course, ...mended(finding.params.rest as Rest, Number(finding.params.most)) };
		const said = Object.fromEntries(Object.entries(changed).filter(([, v]) => v !== undefined)) as Course;
		return setHead(context.sequence, { course: said }, 'Leave the days of rest');
	}
};
