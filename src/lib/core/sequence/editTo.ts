import { dequal } from 'dequal';
import { makeEdit } from './edits';
import type { Edit } from './edit.schema';
import type { Sequence } from './sequence.schema';

/** An edit that turns one sequence into another, touching only what differs; null where nothing does. */
export function editTo(before: Sequence, after: Sequence, label: string): Edit | null {
	const edit = makeEdit(before, label, (draft) => {
		for (const key of Object.keys(after) as (keyof Sequence)[])
			if (key !== 'phases' && !dequal(before[key], after[key])) Object.assign(draft, { [key]: after[key] });
		const ids = (s: Sequence) =>
			s.phases.map((p) => [p.id, p.title, p.exitAfter, p.blocks.map((b) => [b.id, b.title, b.sides])]);
		if (!dequal(ids(before), ids(after))) {
			if (!dequal(before.phases, after.phases)) Object.assign(draft, { phases: after.phases });
			return;
		}
		after.phases.forEach((phase, p) =>
			phase.blocks.forEach((block, b) => {
				const was = before.phases[p]!.blocks[b]!.steps;
				const now = draft.phases[p]!.blocks[b]!;
				if (was.length === block.steps.length && was.every((s, i) => s.id === block.steps[i]!.id))
					block.steps.forEach((step, s) => {
						if (!dequal(was[s], step)) Object.assign(now.steps, { [s]: step });
					});
				else Object.assign(now, { steps: block.steps });
			})
		);
	});
	return edit.patch.length ? edit : null;
}
