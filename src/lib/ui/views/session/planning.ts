/**
 * What works out what she may have today, and what says it. Fetched once the page is on the screen: the board, on which the
 * hands begin, opens without it.
 */
export { forOneself } from '$lib/core/fitted/forOneself';
export { makeItFit } from '$lib/core/fitted/makeItFit';
export { plannedCounts } from '$lib/core/perform/account';
export { judge } from '$lib/core/rules/judge';
export { factsOf } from '$lib/core/screening/clientFacts';
export { isOfClient } from '$lib/core/rules/rule';
export { sentenceOf } from '$lib/core/rules/wording';
export { allowedLines } from '$lib/core/screening/allowed';
export { default as TodayLimits } from './TodayLimits.svelte';
