import { kindOf, type KindId } from '../core/records/kinds';
import { liveRows } from '../store/liveRows.svelte';
import { useApp } from './app.svelte';

/** Another version of a record, beside the stored one, in facts. Must be called during component initialisation. */
export function useSecondVersion(kind: Exclude<KindId, 'sequence'>, id: () => string | null) {
	const app = useApp();
	const pair = liveRows(
		id,
		(recordId) => (recordId ? app.repo.versionPair(kind, recordId) : Promise.resolve(null)),
		null
	);
	return {
		/** What differs or not, field by field; null where there is but one version. */
		get facts() {
			if (!pair.current) return null;
			const of = kindOf(kind).facts!;
			const others = of(pair.current.second.record);
			return of(pair.current.stored).map(([name, stored], i) => ({ name, stored, second: others[i]?.[1] ?? '' }));
		},
		settle: async (choice: 'stored' | 'second'): Promise<void> => {
			if (pair.current) await app.run(() => app.repo.settle(pair.current!.second, choice));
		}
	};
}
