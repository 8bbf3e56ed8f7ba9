import { capRule } from './capBreaches';

/** A stone's edge: one level less than by hand. */
export const edgeCap = capRule('edge', { id: 'edge-cap', severity: 'caution', floor: 'caution', ceiling: 'stop' });
