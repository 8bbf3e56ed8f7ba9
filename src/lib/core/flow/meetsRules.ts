import type { Finding } from '../rules/rule';
import { markGroups, type MarkGroup } from './markGroups';
import { leftOutWords, markWords, mlText } from './words';
import { WORTH_A_WORD_ML, type Tide, type TideMark } from './tide';

/** Which rules speak of what the model also sees, and of which of its marks. */
const SAME_MATTER: Readonly<Record<string, TideMark['kind']>> = {
	stranded: 'stranded',
	'deep-then-drain': 'stranded',
	'receiver-closed': 'dammed',
	'outlet-closed': 'dammed',
	'opening-missing': 'dammed'
};

/** What the model found where a rule speaks and it marks nothing: no reason is given that was not looked for. */
const FOUND_NOTHING: Record<TideMark['kind'], string> = {
	stranded: 'no place on its way holds more at the end than before',
	dammed: 'no place refused what was sent to it'
};
/** Why a rule may be silent where the model sees something. */
const WHY_SILENT: Record<TideMark['kind'], string> = {
	stranded: 'the rules follow where strokes end, the model how much stays there',
	dammed: 'the rules ask whether a node group was opened, the model how much room is left in it'
};

const marksOf = (tide: Pick<Tide, 'marks'>, kind: TideMark['kind'], stepIds: readonly string[]): readonly TideMark[] =>
	tide.marks.filter((m) => m.kind === kind && stepIds.includes(m.stepId));

/**
 * What the model says to a finding: its amount, that it does not know the step, or why it sees nothing. Null for rules of
 * which it knows nothing.
 * @param stepIds steps of the finding, of all that were joined with it
 */
export function modelOnFinding(
	tide: Pick<Tide, 'marks' | 'leftOut'>,
	finding: Pick<Finding, 'ruleId' | 'stepIds'>
): string | null {
	const kind = SAME_MATTER[finding.ruleId];
	if (!kind || !finding.stepIds.length) return null;
	const marks = marksOf(tide, kind, finding.stepIds);
	const groups = markGroups(marks);
	if (!groups.length) {
		const unknown = tide.leftOut.find((l) => finding.stepIds.includes(l.stepId));
		// What a hold sets free is marked at no place: of it nothing was found, nor not found.
		if (!unknown && finding.ruleId === 'deep-then-drain') return null;
		return unknown
			? leftOutWords(unknown)
			: `In the model ${FOUND_NOTHING[kind]}, by ${mlText(WORTH_A_WORD_ML)} or more.`;
	}
	const sum = marks.reduce((ml, m) => ml + m.ml, 0);
	const rest = groups.length > 1 ? `, ${mlText(sum)} in ${marks.length} places` : '';
	return `In the model ${markWords(groups[0]!)}${rest}.`;
}

/** What only the model sees: marks of steps of which no rule says the same, each with the reason. */
export function onlyTheModel(
	tide: Pick<Tide, 'marks'>,
	findings: readonly Pick<Finding, 'ruleId' | 'stepIds'>[]
): { readonly mark: MarkGroup; readonly why: string }[] {
	const told = new Set(
		findings.flatMap((f) => f.stepIds.map((id) => (SAME_MATTER[f.ruleId] ? `${SAME_MATTER[f.ruleId]} ${id}` : '')))
	);
	return markGroups(tide.marks.filter((m) => !told.has(`${m.kind} ${m.stepId}`))).map((mark) => ({
		mark,
		why: WHY_SILENT[mark.kind]
	}));
}
