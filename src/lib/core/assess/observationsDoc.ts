import { DEFAULT_WORKING } from '../working/defaultWorking';
import { errorOf } from './change';
import { SECTIONS, type Observation, type Section } from './observation';
import { isChoice, isGrade, isMeasured, observation, OBSERVATION_IDS, type ObservationId } from './registry';

function valuesText(row: Observation): string {
	if (isGrade(row)) return row.words.map((word, grade) => `${grade} ${word}`).join(', ');
	if (isMeasured(row))
		return row.sumOf ? `sum of ${row.sumOf.join(', ')}` : `${row.min} to ${row.max}${row.unit ? ` ${row.unit}` : ''}`;
	return isChoice(row) ? Object.values(row.options).join(', ') + (row.many ? '; several at once' : '') : 'words';
}

function judgedText(id: ObservationId, row: Observation): string {
	const error = errorOf(id, DEFAULT_WORKING);
	if (isGrade(row)) return `changed beyond ${error} ${error === 1 ? 'step' : 'steps'}`;
	return isMeasured(row) ? `changed beyond ± ${error.toFixed(1)} ${row.unit}`.trimEnd() : 'shown, not judged';
}

/** docs/observations.md: every observation as its row says it. */
export function observationsDoc(): string {
	const section = (id: Section): string[] => [
		`## ${SECTIONS[id]}`,
		'',
		'| observation | id | taken | values | a change |',
		'| --- | --- | --- | --- | --- |',
		...OBSERVATION_IDS.filter((o) => observation(o).section === id).map((o) => {
			const row = observation(o);
			const where = row.place === 'zone' ? 'each zone' : 'the whole face';
			return `| ${row.label} | \`${o}\` | ${where}${row.sides ? ', each side' : ''} | ${valuesText(row)} | ${judgedText(o, row)} |`;
		}),
		''
	];
	return [
		'# Observations',
		'',
		'Made from `src/lib/core/assess/observations.ts` by `npm run docs`. An assessment is a list of entries: observation, place, side, value, retake. What is absent was not felt or not measured.',
		'',
		...(Object.keys(SECTIONS) as Section[]).flatMap(section)
	]
		.join('\n')
		.trimEnd()
		.concat('\n');
}
