/** What draws and says the limits of whoever is in the chair: fetched where there are some. */
export { placeWords } from '$lib/core/screening/allowed';
export { default as LimitMarks } from './LimitMarks.svelte';
