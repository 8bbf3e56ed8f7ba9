import { dequal } from 'dequal';
import { diffArrays } from 'diff';
import { clock, doseText, stepTitle } from '../step/describe';
import { STEP_FIELDS, type StepField, type StepFieldId } from '../step/stepFields';
import type { Step } from '../step/step.schema';
import { courseText } from './course';
import type { Sequence } from './sequence.schema';
import { stepsOf } from './walk';

export interface Difference {
	readonly kind: 'added' | 'removed' | 'moved' | 'changed';
	/** Where it stands: after the change, or before it where it was removed. */
	readonly number: number;
	readonly stepId: string;
	/** What is different, as words after the number. */
	readonly text: string;
}

/** Fields that differ, each as one part in words. */
function partsThatDiffer(before: Step, after: Step): string[] {
	const found = new Map<string, string>();
	for (const id of Object.keys(STEP_FIELDS) as StepFieldId[]) {
		const { part, says } = STEP_FIELDS[id] as StepField;
		if (!dequal(before[id], after[id])) found.set(part, `${part} ${says(after)}, was ${says(before)}`);
	}
	return [...found.values()];
}

/** The longest run of ids that stand in the same order before and after: those outside it were moved. */
function unmoved(before: readonly string[], after: readonly string[]): Set<string> {
	const [was, is] = [new Set(before), new Set(after)];
	const same = diffArrays(
		before.filter((id) => is.has(id)),
		after.filter((id) => was.has(id))
	);
	return new Set(same.filter((part) => !part.added && !part.removed).flatMap((part) => part.value));
}

const none = (texts: readonly string[]): string => texts.join(', ') || 'none';

/** What is said of a sequence as a whole, in words. A new field of the head does not compile until it has its row here. */
const HEAD_PARTS = {
	title: { part: 'title', says: (s) => s.title },
	notes: { part: 'notes', says: (s) => s.notes || 'none' },
	comment: { part: 'comment lines at the end', says: (s) => s.comment ?? 'none' },
	budgetSeconds: { part: 'time', says: (s) => clock(s.budgetSeconds) },
	leastSeconds: {
		part: 'shortest',
		says: (s) => (s.leastSeconds === undefined ? 'not said' : clock(s.leastSeconds))
	},
	choices: { part: 'chosen', says: (s) => none((s.choices ?? []).map((c) => `${c.group}: ${c.option}`)) },
	course: { part: 'how often', says: (s) => (s.course ? courseText(s.course) : 'not said') },
	changed: { part: 'changed meaning', says: (s) => none(s.changed ?? []) },
	school: { part: 'school', says: (s) => s.school.title.toLowerCase() },
	performer: { part: 'for', says: (s) => (s.performer === 'self' ? 'oneself' : 'a client') },
	orientation: { part: 'seen', says: (s) => s.orientation.replaceAll('-', ' ') },
	goals: {
		part: 'goals',
		says: (s) => none(s.goals.map((g) => `${g.id.replaceAll('-', ' ')}${g.weight === 1 ? '' : ` (${g.weight})`}`))
	},
	medium: {
		part: 'medium',
		says: (s) => (s.medium ? `${s.medium.ml} ml ${s.medium.id.replaceAll('-', ' ')}` : 'none')
	},
	links: { part: 'drain links', says: (s) => (s.links === 'policy' ? 'kept by the school' : 'set by hand') },
	techniques: { part: 'moves taken along', says: (s) => none(s.techniques.map((t) => t.title)) },
	media: { part: 'media taken along', says: (s) => none(s.media.map((m) => m.title)) },
	mutes: { part: 'set aside', says: (s) => none(s.mutes.map((m) => `${m.key.split('|')[0]} (${m.reason})`)) },
	phases: {
		part: 'phases',
		says: (s) => none(s.phases.map((p) => `${p.title}${exitWords(p)}${timesText(p.passes)}${blockWords(p)}`))
	}
} as const satisfies Record<
	Exclude<keyof Sequence, 'format' | 'version' | 'id' | 'revision' | 'updatedAt'>,
	{ readonly part: string; readonly says: (s: Sequence) => string }
>;

const exitWords = (phase: Sequence['phases'][number]): string =>
	phase.exitAfter ? ` (may end here${phase.exitTitle ? `: ${phase.exitTitle}` : ''})` : '';
const timesText = (passes: number | undefined): string => (passes && passes > 1 ? ` (${passes} times)` : '');

/** Blocks of a phase that do one side and then the other, and those with a title. */
function blockWords(phase: Sequence['phases'][number]): string {
	const said = phase.blocks
		.map((b) =>
			[b.title, b.sides === 'asSteps' ? '' : `${b.sides.first} side first`, timesText(b.passes).trim()]
				.filter(Boolean)
				.join(', ')
		)
		.filter(Boolean);
	return said.length ? ` [${said.join('; ')}]` : '';
}

/** What is different in the heads of two sequences, a line each. */
export const headDifferences = (before: Sequence, after: Sequence): string[] =>
	Object.values(HEAD_PARTS).flatMap(({ part, says }) => {
		const [a, b] = [says(before), says(after)];
		return a === b ? [] : [`${part}: ${b}, was ${a}`];
	});

/** What is different in the steps of two versions of a sequence, in the order of the later one; removed steps last. */
export function differences(before: Sequence, after: Sequence): Difference[] {
	const [old, now] = [stepsOf(before), stepsOf(after)];
	const oldById = new Map(old.map((s) => [s.step.id, s]));
	const nowIds = new Set(now.map((s) => s.step.id));
	const stay = unmoved(
		old.map((s) => s.step.id),
		now.map((s) => s.step.id)
	);
	const found = now.flatMap(({ step, number }): Difference[] => {
		const was = oldById.get(step.id);
		const at = { number, stepId: step.id };
		if (!was) return [{ kind: 'added', ...at, text: `${stepTitle(step)}, ${doseText(step.dose)}` }];
		const moved: Difference[] = stay.has(step.id)
			? []
			: [{ kind: 'moved', ...at, text: `${stepTitle(step)}, was ${was.number}` }];
		if (was.step === step) return moved;
		return [...moved, ...partsThatDiffer(was.step, step).map((text): Difference => ({ kind: 'changed', ...at, text }))];
	});
	const gone = old.filter((s) => !nowIds.has(s.step.id));
	return [
		...found,
		...gone.map(({ step, number }): Difference => ({ kind: 'removed', number, stepId: step.id, text: stepTitle(step) }))
	];
}
