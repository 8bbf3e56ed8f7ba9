import { capRule } from './capBreaches';

/** The side of the neck: level 2 at most, with anything. */
export const neckCap = capRule('neck', { id: 'neck-cap', severity: 'stop', floor: 'stop', ceiling: 'stop' });
