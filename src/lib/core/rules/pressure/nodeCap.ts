import { capRule } from './capBreaches';

/** A move that stays on a node group: level 1 at most. */
export const nodeCap = capRule('node', { id: 'node-cap', severity: 'caution', floor: 'caution', ceiling: 'stop' });
