import { SCHOOLS } from '../school/schools';
import { differences } from '../sequence/difference';
import { edited } from '../sequence/edits';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { exampleGiven, exampleOf } from './examples';
import { RULES } from './index';
import { fixIn, judge } from './judge';
import { RULE_KINDS, severityIn, type Rule, type RuleKind } from './rule';
import { RULE_TEXTS, whyOf } from './texts';
import { fixLabel, sentenceOf } from './wording';

/** The schools by what they hold: "a (Outlet first, Nape first); b (Crown down)". Empty where all hold the same. */
function bySchool(of: (school: (typeof SCHOOLS)[number]) => string): string {
	const groups = new Map<string, string[]>();
	for (const school of SCHOOLS) groups.set(of(school), [...(groups.get(of(school)) ?? []), school.title]);
	return groups.size < 2 ? '' : [...groups].map(([what, titles]) => `${what} (${titles.join(', ')})`).join('; ');
}

/** What the rule says of its example, and what its fix changes there. */
function exampleLines(rule: Rule): string[] {
	const sequence = exampleOf(rule.id);
	const { findings, context } = judge(sequence, { working: DEFAULT_WORKING, ...exampleGiven(rule.id) });
	const finding = findings.find((f) => f.ruleId === rule.id)!;
	const { head, body } = sentenceOf(finding);
	const edit = fixIn(context, finding);
	const changes = edit ? differences(sequence, edited(sequence, edit)).slice(0, 3) : [];
	return [
		`- Says: “${head} ${body}”`,
		...(edit
			? [
					`- Fix “${fixLabel(rule.id)}”${rule.safe ? ', safe to apply with others' : ''}: ${changes.map((d) => `${d.kind} ${d.number} ${d.text}`).join('; ') || edit.label}`
				]
			: [])
	];
}

const section = (rule: Rule): string => {
	const range = rule.floor === rule.ceiling ? ', in every school' : `, between ${rule.floor} and ${rule.ceiling}`;
	const severities = bySchool((school) => severityIn(rule, { stepIds: [] }, school));
	const policies = rule.policy ? bySchool((school) => rule.policy!(school)) : '';
	return [
		`### ${RULE_TEXTS[rule.id]!.title} (\`${rule.id}\`)`,
		'',
		whyOf(rule.id, DEFAULT_WORKING),
		'',
		`- Severity: ${rule.severity}${range}${severities ? `; by school: ${severities}` : ''}`,
		...(policies ? [`- Policies: ${policies}`] : []),
		...exampleLines(rule)
	].join('\n');
};

const chapter = (kind: RuleKind): string[] => {
	const rules = RULES.filter((r) => r.kind === kind);
	return rules.length ? [`## ${RULE_KINDS[kind]}`, ...rules.map(section)] : [];
};

/** The page of all rules, made from the registry and its examples; a test holds docs/rules.md to it. */
export function rulesDoc(): string {
	const fixes = RULES.filter((r) => r.fix).length;
	const head = [
		'# The rules',
		'',
		'Made from `src/lib/core/rules/`; do not edit by hand. `npm run docs` writes it anew, and a test compares.',
		'',
		`${RULES.length} rules, ${fixes} of them with a fix. \`stop\` may hurt, \`caution\` undoes the work, \`advice\` is craft. A school may raise or lower a rule between its floor and its ceiling. A finding is known by its rule, its steps, its place and its side; numbers are no part of that. A finding may be set aside with a reason, a \`stop\` never. What a rule says, and what its fix does, is shown on the example that the Library shows too.`
	].join('\n');
	return `${[head, ...(Object.keys(RULE_KINDS) as RuleKind[]).flatMap(chapter)].join('\n\n')}\n`;
}
