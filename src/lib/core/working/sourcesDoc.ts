import { workingGroups } from './workingValues';

/** docs/sources.md: the ground of each working value. */
export function sourcesDoc(): string {
	const rows = workingGroups().flatMap(({ label, values }) => [
		`## ${label}`,
		'',
		'| value | name | as shipped | range | ground |',
		'| --- | --- | --- | --- | --- |',
		...values.map(
			(v) =>
				`| ${v.label} | \`${v.name}\` | ${v.shipped} ${v.unit} | ${v.min} to ${v.max}${v.bound ? `; ${v.bound}` : ''} | ${v.source} |`
		),
		''
	]);
	return [
		'# Where the numbers come from',
		'',
		'Made from `src/lib/core/working/working.schema.ts` by `npm run docs`. A *working value* is our own choice: a default to begin with, to be checked by whoever uses it. *Practice* says that practitioners named it. None is a measured truth, and none can loosen a bound of eye, throat or carotid sinus.',
		'',
		'Elsewhere: the smallest change worth believing is 1.96 × √2 × the typical error (Weir, J Strength Cond Res 2005;19:231). The tape distances are those of Smith et al., Otolaryngol Head Neck Surg 2015;152:284. The ways of the fluid follow Pan, Le Roux, Briggs, Plast Reconstr Surg 2011;127(2):611; shares and capacities are working values of the model ([model.md](model.md)).',
		'',
		...rows
	]
		.join('\n')
		.trimEnd()
		.concat('\n');
}
