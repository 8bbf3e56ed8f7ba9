import { isOutlet, placeOf } from '../atlas/places';
import { zoneOf, regionOf, isFace } from '../atlas/regionOf';
import { edited, insertStep, joinEdits, makeEdit, removeSteps } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import type { TimedEvent } from '../sequence/expand';
import { fillPath, linkRoute } from '../atlas/route';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { endPlace, movesFluid } from '../step/levelsOf';
import { basicTechnique } from '../technique/basics';
import { makeStep } from '../technique/makeStep';
import { aimRow } from '../vocabulary/vocabulary';
import type { Working } from '../working/working.schema';
import type { School } from '../school/school.schema';

type Link = Extract<Step['end'], { kind: 'link' }>;
/** The one step that the policy `end` writes. */
export const FINAL_DRAIN_ID = 'policy-drain';
const isPolicyLink = (step: Step): boolean => step.end.kind === 'link' && step.end.by === 'policy';
/**
 * The final drain, also under another id: a text that was pasted has ids of its own. It alone strokes to the outlet and
 * has a link there too; a move that the policy links ends elsewhere.
 */
const isFinalDrain = (step: Step): boolean =>
	step.id === FINAL_DRAIN_ID ||
	(isPolicyLink(step) &&
		step.aim === 'close' &&
		step.places.length > 0 &&
		isOutlet(placeOf(endPlace(step))) &&
		step.end.kind === 'link' &&
		step.end.places.every((p) => isOutlet(placeOf(p))));

/** A move on the face that leaves fluid somewhere. */
const leavesFluid = (step: Step): boolean =>
	step.by === 'practitioner' &&
	aimRow(step.aim).leavesFluid &&
	step.places.length > 0 &&
	isFace(regionOf(step.places[0]!)) &&
	!isOutlet(placeOf(endPlace(step)));

/** What a run of moves has in common, by policy: a link comes where it changes. */
const RUN_OF: Record<Exclude<School['drainPolicy'], 'end'>, (step: Step) => string> = {
	'every-move': (step) => step.id,
	'every-zone': (step) => zoneOf(step.places[0]!),
	'every-region': (step) => regionOf(step.places[0]!)
};

const movesOf = (sequence: Sequence): Step[] =>
	stepsOf(sequence)
		.map((s) => s.step)
		.filter(leavesFluid);

/** The moves on the face after which the school drains, in runs: each move, those of a zone or a region, or all of them. */
export function runsToDrain(sequence: Sequence): readonly (readonly Step[])[] {
	const { drainPolicy } = sequence.school;
	const moves = movesOf(sequence);
	if (drainPolicy === 'end') return moves.length ? [moves] : [];
	const runs: Step[][] = [];
	for (const step of moves) {
		const last = runs.at(-1);
		if (last && RUN_OF[drainPolicy](last[0]!) === RUN_OF[drainPolicy](step)) last.push(step);
		else runs.push([step]);
	}
	return runs;
}

/** Whether a step takes what waits to an outlet: a stroke or a link that ends there. */
const reachesOutlet = (step: Step): boolean =>
	isOutlet(placeOf(step.end.kind === 'link' ? step.end.places.at(-1)! : (step.places.at(-1) ?? 'ear'))) &&
	movesFluid(step) &&
	(step.places.length > 1 || step.end.kind === 'link');

/** The long drain of the policy `end`, and the move after which it stands; null where the user drains herself, or nothing is moved. */
function finalDrain(sequence: Sequence, working: Working): { step: Step; after: string } | null {
	if (sequence.links !== 'policy' || sequence.school.drainPolicy !== 'end') return null;
	const mine = isFinalDrain;
	const steps = stepsOf(sequence).map((s) => s.step);
	const last = movesOf(sequence)
		.filter((s) => !mine(s))
		.at(-1);
	if (!last) return null;
	const drained = steps.slice(steps.indexOf(last)).some((s) => !(mine(s) && isPolicyLink(s)) && reachesOutlet(s));
	const { cheekRoute } = sequence.school;
	const nodes = linkRoute(endPlace(last), cheekRoute);
	const outlet = nodes.at(-1);
	if (drained || !outlet) return null;
	const places = fillPath([placeOf(endPlace(last)), ...nodes], cheekRoute);
	const end = { kind: 'link' as const, places: [outlet], pumps: working.linkPumps, by: 'policy' as const };
	const step = makeStep(basicTechnique('closing-sweep'), {
		id: FINAL_DRAIN_ID,
		places,
		side: 'both',
		overrides: { end, pressure: 1 }
	});
	return { step, after: last.id };
}

/** Sets, moves or takes out the final drain. */
function keepFinalDrain(sequence: Sequence, working: Working): Edit | null {
	const wanted = finalDrain(sequence, working);
	const steps = stepsOf(sequence);
	const all = steps.filter((s) => isFinalDrain(s.step) && isPolicyLink(s.step));
	const at = all.length ? steps.indexOf(all[0]!) : -1;
	const now = steps[at];
	if (!now && !wanted) return null;
	// A step of that id which the user has made her own stays hers.
	if (!now && steps.some((s) => s.step.id === FINAL_DRAIN_ID)) return null;
	const stands = now && wanted && steps[at - 1]?.step.id === wanted.after && sameDrain(now.step, wanted.step);
	if (stands && all.length === 1) return null;
	const removal = now
		? removeSteps(
				sequence,
				all.map((s) => s.step.id)
			)
		: null;
	const without = removal ? edited(sequence, removal) : sequence;
	const insertion = wanted ? insertStep(without, wanted.step, { after: wanted.after }) : null;
	return joinEdits(
		'Keep the final drain',
		[removal, insertion].filter((e) => e !== null)
	);
}

/** In a block done side by side it has no side of its own. */
const sameDrain = (a: Step, b: Step): boolean => {
	const bare = ({ side: _side, id: _id, ...rest }: Step) => JSON.stringify(Object.entries(rest).sort());
	return bare(a) === bare(b);
};

/** The steps after which the policy drains, with the way of each. A step that ends otherwise, by hand, is left alone. */
export function policyLinks(sequence: Sequence, working: Working): Map<string, Link> {
	const { drainPolicy, cheekRoute } = sequence.school;
	if (drainPolicy === 'end') return new Map();
	const moves = movesOf(sequence);
	const links = new Map<string, Link>();
	moves.forEach((step, i) => {
		const next = moves[i + 1];
		if (next && RUN_OF[drainPolicy](next) === RUN_OF[drainPolicy](step)) return;
		const places = linkRoute(endPlace(step), cheekRoute);
		const free = step.end.kind === 'none' || isPolicyLink(step);
		if (free && places.length) links.set(step.id, { kind: 'link', places, pumps: working.linkPumps, by: 'policy' });
	});
	return links;
}

const sameLink = (a: Step['end'], b: Link): boolean =>
	a.kind === 'link' && a.by === b.by && a.pumps === b.pumps && a.places.join() === b.places.join();

/** Sets, updates and takes out the links at the end of steps. */
function keepLinks(sequence: Sequence, working: Working): Edit | null {
	const wanted = sequence.links === 'policy' ? policyLinks(sequence, working) : new Map<string, Link>();
	const stale = stepsOf(sequence).filter(({ step }) => {
		if (isFinalDrain(step)) return false;
		const link = wanted.get(step.id);
		return link ? !sameLink(step.end, link) : isPolicyLink(step);
	});
	if (!stale.length) return null;
	const ids = new Set(stale.map((s) => s.step.id));
	return makeEdit(sequence, 'Keep the drain links', (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks)
				for (const step of block.steps) if (ids.has(step.id)) step.end = wanted.get(step.id) ?? { kind: 'none' };
	});
}

/**
 * The edit that brings what the policy keeps up to date: links and the final drain that are missing are set, those that
 * moved are updated, those that no longer belong are taken out, and all of them where the links are kept by hand. What
 * the user made is never touched. Null where nothing is to be done; doing it twice changes nothing more.
 */
export function keepPolicyLinks(sequence: Sequence, working: Working): Edit | null {
	const links = keepLinks(sequence, working);
	const final = keepFinalDrain(links ? edited(sequence, links) : sequence, working);
	return links && final ? joinEdits(links.label, [links, final]) : (links ?? final);
}

/** An edit with the upkeep that it calls for: one edit, undone as one. */
export function withUpkeep(sequence: Sequence, edit: Edit, working: Working): Edit {
	const upkeep = keepPolicyLinks(edited(sequence, edit), working);
	return upkeep ? joinEdits(edit.label, [edit, upkeep]) : edit;
}

/** Seconds that the links of the policy take in a sequence, both sides counted as they are done. */
export function policyLinkSeconds(sequence: Sequence, events: readonly TimedEvent[]): number {
	const kept = stepsOf(sequence).filter(({ step }) => isPolicyLink(step));
	const ids = new Set(kept.map(({ step }) => step.id));
	const final = new Set(kept.flatMap(({ step }) => (isFinalDrain(step) ? [step.id] : [])));
	return events.reduce((sum, e) => {
		const counts = final.has(e.stepId) || (e.kind === 'link' && ids.has(e.stepId));
		return sum + (counts ? e.endSeconds - e.startSeconds : 0);
	}, 0);
}
