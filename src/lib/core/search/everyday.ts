import type { ZoneId } from '../atlas/zones';
import type { GoalId } from '../goalIds';
import type { Aim, ToolId } from '../vocabulary/vocabulary';
import words from './everyday.json' with { type: 'json' };

/** What clients and colleagues call things, by what it means here: search takes them; nothing is named so. */
interface Everyday {
	readonly goals: Partial<Record<GoalId, string>>;
	readonly zones: Partial<Record<ZoneId, string>>;
	readonly tools: Partial<Record<ToolId, string>>;
	readonly aims: Partial<Record<Aim, string>>;
}
export const EVERYDAY: Everyday = words;
