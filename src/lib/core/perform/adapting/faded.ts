import { NODES, type NodeId } from '../../atlas/nodes';
import { Openings } from '../../rules/openings';
import { outletClosed } from '../../rules/order/outletClosed';
import { receiverClosed } from '../../rules/order/receiverClosed';
import type { JudgeContext, RawFinding } from '../../rules/rule';
import { findingKey } from '../../rules/rule';
import { edited } from '../../sequence/edits';
import type { TimedEvent } from '../../sequence/expand';
import { passesOf } from '../../sequence/passes';
import { stepTitle } from '../../step/describe';
import { settled, type Adapted, type Moment } from './moment';
import { secondsPlayed } from '../position';
import type { Stretch } from '../run';

/** An opening that the steps ahead rely on and that is not there any more, or never was. */
export interface Faded {
	readonly node: NodeId;
	/** The step that would need it. */
	readonly stepId: string;
	readonly words: string;
}

/** When a second of the plan was played, in ms since 1970; null where it was not. */
export function playedAtMs(played: readonly Stretch[], seconds: number): number | null {
	for (let i = played.length - 1; i >= 0; i--) {
		const { from, to, startMs } = played[i]!;
		if (seconds > from - 1e-6 && seconds <= to + 1e-6) return startMs + 1000 * (seconds - from);
	}
	return null;
}

/** Less than this part of a stretch played: it was not done. Working value. */
const DONE_FROM = 0.5;

/**
 * What was done, on the clock of the wall but counted back from the second of the plan at hand: what was skipped is absent,
 * and what lies before a halt lies further back.
 */
function asItWas(moment: Moment, played: readonly Stretch[], nowMs: number): TimedEvent[] {
	return moment.judgement.events.flatMap((event, i): TimedEvent[] => {
		if (i >= moment.position.index) return [event];
		const length = event.endSeconds - event.startSeconds;
		if (secondsPlayed(played, event) < DONE_FROM * length) return [];
		const until = Math.min(
			event.endSeconds,
			...played
				.filter((p) => p.from < event.endSeconds && p.to > event.startSeconds)
				.map((p) => p.to)
				.slice(-1)
		);
		const at = playedAtMs(played, until);
		if (at === null) return [event];
		const end = moment.seconds - Math.max(0, nowMs - at) / 1000;
		return [{ ...event, startSeconds: end - length, endSeconds: end }];
	});
}

/**
 * Openings that fluid will be led to and that are closed by what really happened, though the plan had them open: skipped, or
 * faded in a halt. Nothing that the plan lacked anyway is said again.
 */
export function fadedAhead(moment: Moment, played: readonly Stretch[], nowMs: number): Faded[] {
	const planned = moment.judgement.context;
	const events = asItWas(moment, played, nowMs);
	const passes = passesOf(events);
	const openings = new Openings({ passes, byId: planned.byId, working: planned.working });
	const now: JudgeContext = { ...planned, events, passes, openings };
	const ahead = new Set(moment.judgement.events.slice(moment.position.index).map((e) => e.stepId));
	ahead.delete(moment.position.event?.stepId ?? '');
	const found: Faded[] = [];
	for (const rule of [outletClosed, receiverClosed]) {
		const known = new Set(rule.check(planned).map((f) => findingKey(rule.id, f)));
		const news = rule.check(now).filter((f) => ahead.has(f.stepIds[0]!) && !known.has(findingKey(rule.id, f)));
		for (const raw of news) {
			const node = raw.place!.slice(2) as NodeId;
			if (!found.some((f) => f.node === node))
				found.push({ node, stepId: raw.stepIds[0]!, words: wordsOf(raw, node, planned) });
		}
	}
	return found;
}

function wordsOf({ stepIds, params }: RawFinding, node: NodeId, context: JudgeContext): string {
	const { step, number } = context.byId.get(stepIds[0]!)!;
	const minutes = Number(params?.minutesAgo ?? -1);
	const since = minutes > 0 ? `were opened ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} ago` : 'are not open';
	return `${NODES[node].label} ${since}, and step ${number}, ${stepTitle(step)}, leads to it.`;
}

/** The node group is pumped open before the step that needs it; where that one has begun, after it, for what comes then. */
export function reopen(moment: Moment, faded: Faded): Adapted {
	const context = moment.judgement.context;
	const raw: RawFinding = { stepIds: [faded.stepId], place: `n:${faded.node}` };
	const finding = {
		...raw,
		params: {},
		ruleId: receiverClosed.id,
		kind: receiverClosed.kind,
		severity: 'caution',
		key: '',
		fixable: true,
		safe: true
	} as const;
	const edit = receiverClosed.fix!(context, finding);
	if (!edit) return { refused: 'It cannot be opened here.' };
	return settled(
		moment,
		edited(moment.sequence, edit),
		`${NODES[faded.node].label}: opened again before it is needed.`,
		{ worse: true, offered: true }
	);
}
