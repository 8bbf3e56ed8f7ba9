import type { KindId } from '../core/records/tables';
import { liveRows } from '../store/liveRows.svelte';
import { ifHere } from '../store/rows';
import type { VersionPair } from '../store/repository';
import { useApp } from './app.svelte';

type PlainKind = Exclude<KindId, 'sequence'>;

/** Two versions with what they say in words. What knows the words is fetched where there is a second one at all. */
async function told(kind: PlainKind, pair: VersionPair | null) {
	if (!pair) return null;
	const { kindOf } = await import('../core/records/kinds');
	const of = kindOf(kind).facts!;
	const [ours, others] = [new Map(of(pair.stored)), new Map(of(pair.second.record))];
	const names = [...new Set([...ours.keys(), ...others.keys()])];
	const facts = names.map((name) => ({ name, stored: ours.get(name) ?? '', second: others.get(name) ?? '' }));
	return { second: pair.second, facts };
}

/** Another version of a record, beside the stored one, in facts. Must be called during component initialisation. */
export function useSecondVersion(kind: PlainKind, id: () => string | null) {
	const app = useApp();
	const versions = liveRows(id, async (recordId) =>
		recordId ? told(kind, await app.repo.versionPair(kind, recordId)) : null
	);
	const found = () => ifHere(versions.current);
	return {
		/** What differs or not, field by field; null where there is but one version. */
		get facts() {
			return found()?.facts ?? null;
		},
		settle: async (choice: 'stored' | 'second'): Promise<void> => {
			const current = found();
			if (current) await app.run(() => app.repo.settle(current.second, choice));
		}
	};
}
