import { allKinds, kindOf, KIND_IDS, type KindId } from '../../core/records/kinds';
import { firstOf, problemOf, type Problem } from '../problem';
import { rowsOf, type SomeRows } from './backupSchema';

/** What a schema cannot say: no id twice in a list, and whatever a record points to is in the file. */
export function crossProblems(rows: SomeRows): Problem[] {
	const problems: Problem[] = [];
	const ids = new Map<string, Set<string>>();
	for (const kind of allKinds()) {
		const seen = new Set<string>();
		rowsOf(rows, kind).forEach(({ id }, i) => {
			if (seen.has(id))
				problems.push(problemOf(`${kind.table}[${i}].id`, `the id stands twice: ${id}`, 'Remove one of the two.'));
			seen.add(id);
		});
		ids.set(kind.id, seen);
	}
	for (const kind of allKinds())
		for (const ref of (kind.refs ?? []).filter((r) => r.must))
			rowsOf(rows, kind).forEach((record, i) => {
				const missing = ref.of(record).find((id) => !ids.get(ref.to)!.has(id));
				if (missing !== undefined)
					problems.push(
						problemOf(
							`${kind.table}[${i}]${ref.index ? `.${ref.index}` : ''}`,
							`no ${titleOf(ref.to)} of the file has this id: ${missing}`,
							`Add the ${titleOf(ref.to)}, or remove the ${kind.title.toLowerCase()}.`
						)
					);
			});
	return firstOf(problems);
}

const titleOf = (id: string): string =>
	KIND_IDS.includes(id as KindId) ? kindOf(id as KindId).title.toLowerCase() : id;
