import { capRule } from './capBreaches';

/** The throat: level 1 at most. */
export const throatCap = capRule('throat', { id: 'throat-cap', severity: 'stop', floor: 'stop', ceiling: 'stop' });
