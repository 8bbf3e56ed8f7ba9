/** What the map shows of the tide, fetched together once there is one. */
export { default as TideMapMarks } from './TideMapMarks.svelte';
export { tideNodes, tideTints } from './tideLayer';
