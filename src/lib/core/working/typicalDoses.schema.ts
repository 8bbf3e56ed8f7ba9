import { z } from 'zod';
import { AIMS, MOTIONS, type Aim, type Motion } from '../vocabulary/vocabulary';
import { BREATHING, BY_AIM, BY_MOTION, type DoseKind, type DoseRange, type DoseRow } from './typicalDoses';
import { value, type WorkingGroup } from './value';

const UNIT: Record<DoseKind, string> = { reps: 'times', breaths: 'breaths', seconds: 's' };
const GROUP: WorkingGroup = 'usual';
const ENDS = ['least', 'usual', 'most'] as const;

/** A dose of a kind as three values that ascend. */
function rangeSchema(range: DoseRange, kind: DoseKind, label: string) {
	const end = (i: 0 | 1 | 2) =>
		value(
			range[i],
			{ min: 1, max: 1000, whole: kind !== 'seconds' },
			{
				group: GROUP,
				label: `${label}, ${ENDS[i]}`,
				unit: UNIT[kind],
				meaning: 'Repeats outside their range are pointed out; how far a goal is met is counted by them.'
			}
		);
	return z
		.tuple([end(0), end(1), end(2)])
		.refine(([min, target, max]) => min <= target && target <= max, 'least ≤ usual ≤ most is needed')
		.prefault([undefined, undefined, undefined] as never);
}

function rowSchema(row: DoseRow, label: string) {
	const entries = (Object.keys(row) as DoseKind[]).map((kind) => [kind, rangeSchema(row[kind]!, kind, label)] as const);
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
