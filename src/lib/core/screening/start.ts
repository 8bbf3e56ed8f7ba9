import type { Limit, LimitOf } from './limit.schema';
import { limitsThat } from './limit';

/** What ends the day: a session is not begun, whatever is asked for and by whatever way. */
export const refusals = (limits: readonly Limit[]): readonly LimitOf<'refer'>[] => limitsThat(limits, 'refer');
export const isRefused = (limits: readonly Limit[]): boolean => refusals(limits).length > 0;
