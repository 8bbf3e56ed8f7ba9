/** What is chosen for a visit before it begins. */
export interface Wishes {
	/** Steps whose condition is met today. */
	readonly met: ReadonlySet<string>;
	/** The option taken of each group, where another one than the sequence has it. */
	readonly taken: Readonly<Record<string, string>>;
	/** Performed as the client may have it; false: as it was planned. */
	readonly fit: boolean;
	/** Why one begins in spite of what stops. */
	readonly reason: string;
}
export const NO_WISHES: Wishes = { met: new Set(), taken: {}, fit: true, reason: '' };
