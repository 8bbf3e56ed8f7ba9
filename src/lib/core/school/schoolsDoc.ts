import { policiesOf } from './policies';
import type { School } from './school.schema';
import { SCHOOLS } from './schools';

const section = (school: School): string =>
	[
		`## ${school.title} (\`${school.id}\`)`,
		'',
		school.reason,
		'',
		`**Others say:** ${school.others}`,
		'',
		...policiesOf(school).map((p) => `- ${p.name}: ${p.text}. ${p.why}`)
	].join('\n');

/** The page of the schools, made from their policies; a test holds docs/schools.md to it. */
export function schoolsDoc(): string {
	const head = [
		'# The schools',
		'',
		'Made from `src/lib/core/school/`; do not edit by hand. `npm run docs` writes it anew, and a test compares.',
		'',
		'A school is a set of policies, not a name on a template. A sequence embeds the whole of its school, so that it is judged the same everywhere. Changing the school changes severities, defaults and proposals, and the drain links that the school keeps itself; never a step of the user’s. All values are working values: copy a school in the Library and change it.'
	].join('\n');
	return `${[head, ...SCHOOLS.map(section)].join('\n\n')}\n`;
}
