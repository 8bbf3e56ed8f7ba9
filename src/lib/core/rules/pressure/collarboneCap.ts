import { capRule } from './capBreaches';

/** Above the collarbone: level 1 at most, with two flat fingers 2. */
export const collarboneCap = capRule('collarbone', {
	id: 'collarbone-cap',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop'
});
