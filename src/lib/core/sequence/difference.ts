import { labelOf, placeOf, whereOf } from '../atlas/places';
import { LEVEL_NAMES } from '../step/levels';
import {
	BREATHS,
	CONTACTS,
	MOTIONS,
	MOUTHS,
	POSTURES,
	STONE_EDGES,
	TOOLS,
	UNTIL_SIGNS
} from '../vocabulary/vocabulary';
import { clock, doseText, sideText, stepTitle } from '../step/describe';
import type { Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from './walk';
import { levelsOf } from '../step/levelsOf';

export interface Difference {
	readonly kind: 'added' | 'removed' | 'moved' | 'changed';
	/** Where it stands: after the change, or before it where it was removed. */
	readonly number: number;
	readonly stepId: string;
	/** What is different, as words after the number. */
	readonly text: string;
}

const yes = (value: boolean): string => (value ? 'yes' : 'no');
const amount = (hold: { kind: string; amount: number }): string =>
	hold.kind === 'breaths' ? `${hold.amount} breaths` : `${hold.amount} s`;

function endText(end: Step['end']): string {
	if (end.kind !== 'link') return end.kind === 'none' ? 'nothing' : end.kind;
	return `drain link to the ${whereOf(placeOf(end.places.at(-1)!))}${end.by === 'policy' ? ' (policy)' : ''}`;
}

/** Each part of a step in words: two steps differ in a part where its words do. */
export const STEP_PARTS: Readonly<Record<string, (step: Step) => string>> = {
	way: (s) => s.places.map((p) => labelOf(placeOf(p)).toLowerCase()).join(' > ') || 'no place',
	pressure: (s) => [...new Set(levelsOf(s))].map((l) => `${LEVEL_NAMES[l].toLowerCase()} (${l})`).join(', '),
	dose: (s) => `${doseText(s.dose)} (${s.dose.min} to ${s.dose.max})`,
	pace: (s) => `${s.paceSeconds} s`,
	side: (s) => sideText(s.side),
	contact: (s) => CONTACTS[s.contact].toLowerCase(),
	tool: (s) =>
		s.tool
			? [
					TOOLS[s.tool.id].toLowerCase(),
					s.tool.edge ? STONE_EDGES[s.tool.edge].toLowerCase() : '',
					s.tool.tiltDegrees === undefined ? '' : `${s.tool.tiltDegrees}°`
				]
					.filter(Boolean)
					.join(', ')
			: 'none',
	motion: (s) => MOTIONS[s.motion].toLowerCase(),
	stations: (s) => (s.stations ? `${s.stations.places.length} of ${amount(s.stations.hold)}` : 'none'),
	lanes: (s) => String(s.lanes),
	'way back': (s) => yes(s.reverse),
	until: (s) => (s.until ? `${UNTIL_SIGNS[s.until.sign]}, ${s.until.capSeconds} s at most` : 'counted'),
	end: (s) => endText(s.end),
	support: (s) =>
		s.support ? (s.support.place ? `at ${labelOf(placeOf(s.support.place)).toLowerCase()}` : 'one hand stays') : 'none',
	posture: (s) => POSTURES[s.posture].toLowerCase(),
	mouth: (s) => MOUTHS[s.mouth].toLowerCase(),
	eyes: (s) => s.eyes,
	breath: (s) => BREATHS[s.breath].toLowerCase(),
	'done by': (s) => s.by,
	medium: (s) => (s.medium ? `${s.medium.ml} ml ${s.medium.id.replaceAll('-', ' ')}` : 'none'),
	tape: (s) => (s.tape ? `${s.tape.lengthMm} × ${s.tape.widthMm} mm, ${s.tape.wearHours} h` : 'none'),
	replaces: (s) => s.replaces ?? 'nothing',
	reason: (s) => s.reason ?? 'none',
	optional: (s) => yes(s.optional),
	note: (s) => s.note || 'none'
};

function partsThatDiffer(before: Step, after: Step): string[] {
	return Object.entries(STEP_PARTS).flatMap(([part, text]) => {
		const [a, b] = [text(before), text(after)];
		return a === b ? [] : [`${part} ${b}, was ${a}`];
	});
}

/** The longest run of ids that stand in the same order before and after: those outside it were moved. */
function unmoved(before: readonly string[], after: readonly string[]): Set<string> {
	const at = new Map(after.map((id, i) => [id, i]));
	const kept = before.filter((id) => at.has(id));
	const best: { length: number; from: number }[] = [];
	kept.forEach((id, i) => {
		best[i] = { length: 1, from: -1 };
		for (let j = 0; j < i; j++)
			if (at.get(kept[j]!)! < at.get(id)! && best[j]!.length + 1 > best[i]!.length)
				best[i] = { length: best[j]!.length + 1, from: j };
	});
	const stay = new Set<string>();
	let i = best.reduce((top, b, k) => (b.length > (best[top]?.length ?? 0) ? k : top), best.length ? 0 : -1);
	for (; i >= 0; i = best[i]!.from) stay.add(kept[i]!);
	return stay;
}

/** What is said of a sequence as a whole, in words. */
const HEAD_PARTS: Readonly<Record<string, (s: Sequence) => string>> = {
	title: (s) => s.title,
	time: (s) => clock(s.budgetSeconds),
	school: (s) => s.school.title.toLowerCase(),
	for: (s) => (s.performer === 'self' ? 'oneself' : 'a client'),
	goals: (s) => s.goals.map((g) => g.id.replaceAll('-', ' ')).join(', ') || 'none',
	medium: (s) => (s.medium ? `${s.medium.ml} ml ${s.medium.id.replaceAll('-', ' ')}` : 'none'),
	'drain links': (s) => (s.links === 'policy' ? 'kept by the school' : 'set by hand'),
	phases: (s) => s.phases.map((p) => p.title).join(', ')
};

/** What is different in the heads of two sequences, a line each. */
export const headDifferences = (before: Sequence, after: Sequence): string[] =>
	Object.entries(HEAD_PARTS).flatMap(([part, text]) => {
		const [a, b] = [text(before), text(after)];
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
