import { z } from 'zod';
import { AIMS, MOTIONS, type Aim, type Motion } from '../vocabulary/vocabulary';
import { value, type WorkingGroup } from './value';

/** Least, usual and most of a dose, per side: counts, seconds or breaths. */
export type DoseRange = readonly [min: number, target: number, max: number];
type Kind = 'reps' | 'breaths' | 'seconds';
export type DoseRow = Partial<Record<Kind, DoseRange>>;

const HOLD: DoseRow = { breaths: [1, 2, 4], seconds: [10, 20, 40], reps: [2, 5, 10] };

/** By motion, whatever it is for. Source: practice, typical doses. */
export const BY_MOTION: Partial<Record<Motion, DoseRow>> = {
	'press-hold': HOLD,
	pump: { reps: [5, 7, 15] },
	'hand-over-hand': { reps: [10, 20, 30] },
	'pinned-circle': { reps: [6, 10, 20], seconds: [10, 20, 60] },
	vibrate: { reps: [15, 20, 25], seconds: [8, 15, 30] },
	knead: { seconds: [20, 45, 120], reps: [5, 15, 40] },
	tap: { seconds: [10, 20, 40], reps: [20, 80, 160] },
	'pinch-roll': { reps: [4, 8, 16] },
	'skin-lift': { reps: [3, 6, 12] },
	'opposed-stretch': { reps: [3, 5, 8] },
	'lift-hold': { ...HOLD, reps: [3, 6, 10] },
	wiggle: { reps: [3, 5, 10], seconds: [5, 15, 30] },
	resisted: { reps: [3, 8, 40], seconds: [5, 20, 60] }
};
/** By aim, where the motion says nothing: by hand and with a tool. */
export const BY_AIM: Partial<Record<Aim, { readonly hand: DoseRow; readonly tool: DoseRow }>> = {
	drain: { hand: { reps: [3, 7, 10] }, tool: { reps: [2, 4, 8] } },
	close: { hand: { reps: [2, 5, 12] }, tool: { reps: [2, 4, 8] } },
	lift: { hand: { reps: [5, 8, 15] }, tool: { reps: [2, 4, 8] } },
	release: { hand: { reps: [4, 8, 16], seconds: [20, 40, 120] }, tool: { reps: [2, 4, 8], seconds: [10, 30, 90] } }
};
const BREATHING: DoseRow = { breaths: [1, 3, 12] };

const UNIT: Record<Kind, string> = { reps: 'times', breaths: 'breaths', seconds: 's' };
const GROUP: WorkingGroup = 'usual';
const ENDS = ['least', 'usual', 'most'] as const;

/** A dose of a kind as three values that ascend. */
function rangeSchema(range: DoseRange, kind: Kind, label: string) {
	const end = (i: 0 | 1 | 2) =>
		value(
			range[i],
			{ min: 1, max: 1000, whole: kind !== 'seconds' },
			{
				group: GROUP,
				label: `${label}, ${ENDS[i]}`,
				unit: UNIT[kind],
				meaning: 'A dose outside its range is pointed out; full doses of a goal are counted in it.'
			}
		);
	return z
		.tuple([end(0), end(1), end(2)])
		.refine(([min, target, max]) => min <= target && target <= max, 'least ≤ usual ≤ most is needed')
		.prefault([undefined, undefined, undefined] as never);
}

function rowSchema(row: DoseRow, label: string) {
	const entries = (Object.keys(row) as Kind[]).map((kind) => [kind, rangeSchema(row[kind]!, kind, label)] as const);
	return z.strictObject(Object.fromEntries(entries)).prefault({} as never);
}

const rows: Record<string, ReturnType<typeof rowSchema>> = {
	...Object.fromEntries(
		(Object.keys(BY_MOTION) as Motion[]).map((m) => [m, rowSchema(BY_MOTION[m]!, MOTIONS[m])] as const)
	),
	...Object.fromEntries(
		(Object.keys(BY_AIM) as Aim[]).flatMap((aim) =>
			(['hand', 'tool'] as const).map(
				(by) =>
					[
						`${aim}-${by}`,
						rowSchema(BY_AIM[aim]![by], `${AIMS[aim]} ${by === 'hand' ? 'by hand' : 'with a tool'}`)
					] as const
			)
		)
	),
	breathing: rowSchema(BREATHING, 'Settle and cool')
};

/** What is usually done of a move, by motion, else by aim with hand or tool; and of what is counted in breaths. */
export const TypicalDosesSchema = z.strictObject(rows).prefault({} as never) as unknown as z.ZodType<
	Readonly<Record<string, DoseRow | undefined>>,
	unknown
>;
