import { SCHOOLS } from '../school/schools';
import { RULES } from './index';
import { severityIn, type Rule } from './rule';
import { RULE_TEXTS } from './texts';
import { fixLabel } from './wording';

const schoolsThatDiffer = (rule: Rule): string =>
	SCHOOLS.map((school) => ({ school, severity: severityIn(rule, { stepIds: [] }, school) }))
		.filter(({ severity }) => severity !== rule.severity)
		.map(({ school, severity }) => `${school.title}: ${severity}`)
		.join('; ');

const section = (rule: Rule): string =>
	[
		`## ${RULE_TEXTS[rule.id]!.title} (\`${rule.id}\`)`,
		'',
		RULE_TEXTS[rule.id]!.why,
		'',
		`- Severity: ${rule.severity}${rule.floor === rule.ceiling ? ', in every school' : `, between ${rule.floor} and ${rule.ceiling}`}`,
		...(schoolsThatDiffer(rule) ? [`- Schools that differ: ${schoolsThatDiffer(rule)}`] : []),
		...(rule.fix ? [`- Fix: “${fixLabel(rule.id)}”`] : [])
	].join('\n');

/** The page of all rules, made from the registry; a test holds docs/rules.md to it. */
export function rulesDoc(): string {
	const head = [
		'# The rules',
		'',
		'Made from `src/lib/core/rules/`; do not edit by hand. `npm run docs` writes it anew, and a test compares.',
		'',
		'`stop` may hurt, `caution` undoes the work, `advice` is craft. A school may raise or lower a rule between its floor and its ceiling. A finding is known by its rule, its steps, its place and its side; numbers are no part of that.'
	].join('\n');
	return `${[head, ...RULES.map(section)].join('\n\n')}\n`;
}
