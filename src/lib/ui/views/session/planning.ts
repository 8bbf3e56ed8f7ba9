/**
 * What works out what the client may have today, and what says it. Fetched once the page is on the screen: the board, on which
 * the hands begin, opens without it.
 */
export { sessionToBegin } from '$lib/core/visit/beginSession';
export { hindranceBy, planOfToday } from '$lib/core/visit/planOfToday';
export { default as TodayLimits } from './TodayLimits.svelte';
