import { capRule } from './capBreaches';

/** Eyelids and the skin under the eye: level 1 at most, through a stone's edge 0. */
export const eyeCap = capRule('eye', { id: 'eye-cap', severity: 'stop', floor: 'stop', ceiling: 'stop' });
