import { DATA_VERSION } from './dataVersion';
import { allKinds } from './kinds';
import { CHAIN } from './migrations/chain';
import { SEQUENCE_MIGRATIONS } from './migrations/sequences';
import { sinceOf, type RecordKind } from './record';

const MEETS: Record<RecordKind['meets'], string> = {
	beside: 'The replaced one is kept as a second version, and offered beside the other.',
	first: 'The one that is here stays: such a record never changes.',
	mine: 'There is one of it, and the one that is here stays.'
};

function section(kind: RecordKind): string[] {
	const goes = (kind.refs ?? [])
		.filter((r) => r.removed === 'go' && r.to !== 'any')
		.map((r) => r.to.replaceAll('-', ' '));
	const forgets = (kind.refs ?? []).filter((r) => r.removed !== 'go').map((r) => r.to.replaceAll('-', ' '));
	return [
		`## ${kind.title}`,
		'',
		kind.what,
		'',
		`- Id \`${kind.id}\`, table and list in a backup \`${kind.table}\`, since version ${sinceOf(kind)}, at most ${kind.limit}.`,
		`- Keys: ${Object.entries(kind.indexes)
			.map(([version, keys]) => `\`${keys}\` (${version})`)
			.join(', ')}.`,
		`- When two versions meet: ${MEETS[kind.meets]}`,
		...(goes.length ? [`- Goes with its ${[...new Set(goes)].join(', ')}.`] : []),
		...(forgets.length ? [`- Forgets a removed ${forgets.join(', ')}.`] : []),
		...(kind.keptWhileReferred ? ['- Goes when nothing refers to it any more.'] : []),
		...(kind.sequences ? ['- Embeds sequences, which are brought up to date with it.'] : []),
		...(kind.bytes
			? ['- In a backup its bytes are a file of their own, named by its id and checked by its hash.']
			: []),
		''
	];
}

/** docs/records.md: every kind of record as the table says it. */
export function recordsDoc(): string {
	return [
		'# Records',
		'',
		`Made from \`src/lib/core/records/kindTable.ts\` by \`npm run docs\`. The data is of version ${DATA_VERSION}, in the database and in a backup alike.`,
		'',
		'Steps that bring older data up to date:',
		'',
		...CHAIN.map((m) => `- to ${m.to}: ${m.name}`),
		...SEQUENCE_MIGRATIONS.map((m) => `- sequences from ${m.from} to ${m.from + 1}: ${m.name}`),
		'',
		...allKinds().flatMap(section)
	]
		.join('\n')
		.trimEnd()
		.concat('\n');
}
