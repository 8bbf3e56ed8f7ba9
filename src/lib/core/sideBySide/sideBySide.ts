import { SIDES } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { alignLines } from '../notation/align';
import { writeStep } from '../notation/stepLine';
import { LEVELS, type Level } from '../step/levels';
import { judge, type Judgement } from '../rules/judge';
import type { Severity } from '../school/school.schema';
import { differences, headDifferences, type Difference } from '../sequence/difference';
import type { ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { mapSteps, stepsOf } from '../sequence/walk';

/** What a sequence comes to, in figures that two of them can be held against each other by. */
export interface Figures {
	readonly judgement: Judgement;
	readonly steps: number;
	readonly seconds: number;
	/** Seconds on each side. */
	readonly leftSeconds: number;
	readonly rightSeconds: number;
	/** Seconds at each pressure level, of the hand's time. */
	readonly levelSeconds: Readonly<Record<Level, number>>;
	readonly findings: Readonly<Record<Severity, number>>;
}
export interface ZoneRow {
	readonly zone: ZoneId;
	/** Seconds in the first and in the second, the mean of both sides. */
	readonly seconds: readonly [number, number];
}
export interface Comparison {
	readonly figures: readonly [Figures, Figures];
	/** Zones that one of them works, the most worked first. */
	readonly zones: readonly ZoneRow[];
	readonly head: readonly string[];
	readonly steps: readonly Difference[];
}

function figuresOf(sequence: Sequence, context: ExpandContext): Figures {
	const judgement = judge(sequence, context);
	const levelSeconds = Object.fromEntries(LEVELS.map((l) => [l, 0])) as Record<Level, number>;
	for (const event of judgement.events) {
		if (event.kind === 'transition' || event.kind === 'rest') continue;
		const each = (event.endSeconds - event.startSeconds) / Math.max(1, event.levels.length);
		for (const level of event.levels) levelSeconds[level] += each;
	}
	const findings = { stop: 0, caution: 0, advice: 0 };
	for (const f of judgement.findings) findings[f.severity] += 1;
	const { left, right } = judgement.balance.overall;
	return {
		judgement,
		steps: judgement.context.steps.length,
		seconds: judgement.timing.expectedSeconds,
		leftSeconds: left.seconds,
		rightSeconds: right.seconds,
		levelSeconds,
		findings
	};
}

/** The second with the step ids of the first where it says the same: so that two that were made apart can be compared. */
export function withIdsOf(first: Sequence, second: Sequence): Sequence {
	const lines = (s: Sequence) => stepsOf(s).map(({ step }) => writeStep(step).join('\n'));
	const old = stepsOf(first);
	const from = alignLines(lines(first), lines(second), false);
	const ids = new Map(
		stepsOf(second).map(({ step }, i) => [step.id, from[i]! < 0 ? `new-${i}` : old[from[i]!]!.step.id])
	);
	return mapSteps(second, (s) => ({ ...s, id: ids.get(s.id)! }));
}

/** Two sequences held against each other: figures, time on each zone, findings, and the difference in words. */
export function sideBySide(first: Sequence, second: Sequence, context: ExpandContext): Comparison {
	const figures = [figuresOf(first, context), figuresOf(second, context)] as const;
	const secondsOn = (zone: ZoneId, { judgement }: Figures) => {
		const load = judgement.balance.zones.get(zone);
		return load ? SIDES.reduce((sum, side) => sum + load[side].seconds / 2, 0) : 0;
	};
	const zones = ZONE_IDS.map((zone) => ({
		zone,
		seconds: [secondsOn(zone, figures[0]), secondsOn(zone, figures[1])] as const
	}))
		.filter(({ seconds: [a, b] }) => a + b > 0)
		.sort((x, y) => Math.max(...y.seconds) - Math.max(...x.seconds));
	return { figures, zones, head: headDifferences(first, second), steps: differences(first, withIdsOf(first, second)) };
}
