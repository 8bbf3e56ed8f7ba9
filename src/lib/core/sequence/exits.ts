import type { Sequence } from './sequence.schema';
import { stepsInPhase } from './walk';
import type { Timing } from './timing';

/** A place where a short version may end, and what is then left out. */
export interface Exit {
	readonly phaseId: string;
	/** What the short version is called; null where nobody named it. */
	readonly title: string | null;
	/** Seconds until there. */
	readonly seconds: number;
	/** What comes after it and is left out. */
	readonly drops: { readonly steps: number; readonly seconds: number; readonly phases: readonly string[] };
}

/** Every place where a sequence may end early, in order; the end itself is none. */
export function exitsOf({ phases }: Sequence, timing: Timing): Exit[] {
	const secondsOf = (list: Sequence['phases']) =>
		list.reduce((sum, p) => sum + (timing.phases.get(p.id)?.expectedSeconds ?? 0), 0);
	return phases.flatMap((phase, i): Exit[] => {
		const after = phases.slice(i + 1);
		if (!phase.exitAfter || !after.length) return [];
		const steps = after.flatMap(stepsInPhase).length;
		const drops = { steps, seconds: secondsOf(after), phases: after.map((p) => p.title) };
		return [{ phaseId: phase.id, title: phase.exitTitle ?? null, seconds: secondsOf(phases.slice(0, i + 1)), drops }];
	});
}
