/** What the score panel shows of the tide, fetched together once there is one. */
export { LANE_PX, RIBBON_PX, ribbonsOf } from './ribbons';
export { WORTH_PX } from './worthMarks';
export { default as WorthLane } from './WorthLane.svelte';
export { default as TideNames } from './TideNames.svelte';
export { default as TideRibbons } from './TideRibbons.svelte';
export { default as TideStrip } from './TideStrip.svelte';
